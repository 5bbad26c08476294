<script lang="ts">
  import type { Mark } from '#core/colony/story';

  /** One mark of the nights: by its shape, not by its colour. */
  let { mark }: { mark: Mark } = $props();
</script>

<svg viewBox="0 0 14 14" aria-hidden="true">
  {#if mark === 'caught'}<circle cx="7" cy="7" r="5.2" class="full" />
  {:else if mark === 'other'}<rect x="3" y="3" width="8" height="8" class="full faint" />
  {:else if mark === 'met'}<circle cx="7" cy="7" r="4.4" class="ring" />
  {:else if mark === 'turned'}<path d="M3 12 V7 a4 4 0 0 1 8 0 V11 M8.6 8.8 L11 11.4 L13.4 8.8" class="ring" />
  {:else if mark === 'passed'}<path d="M1 7 H13 M9.5 3.8 L13 7 L9.5 10.2" class="ring thin" />
  {:else if mark === 'mended'}<path d="M2 11.5 H12 M3.5 11.5 V5 H10.5 V11.5 M3.5 8 H10.5" class="ring thin" />
  {:else}<path d="M7 2.4 V11.6 M2.4 7 H11.6" class="ring thin" />{/if}
</svg>

<style>
  svg {
    width: 14px;
    height: 14px;
    flex: none;
    overflow: visible;
  }
  .full {
    fill: var(--ink);
  }
  .faint {
    fill: var(--mute);
  }
  .ring {
    fill: none;
    stroke: var(--out);
    stroke-width: 2;
  }
  .thin {
    stroke: var(--linetext);
    stroke-width: 1.6;
  }
</style>
