<script lang="ts">
  import type { Verdict } from '#core/water/need';

  /** The state of a set by its shape first; the word stands beside it or is heard. */
  let {
    verdict,
    size = 18,
    label = '',
  }: { verdict: Verdict | 'beyond' | 'prepared' | 'planned' | 'pulled'; size?: number; label?: string } = $props();
</script>

<svg
  width={size}
  height={size}
  viewBox="0 0 18 18"
  role={label ? 'img' : undefined}
  aria-label={label || undefined}
  aria-hidden={label ? undefined : 'true'}
>
  {#if verdict === 'fine'}
    <circle cx="9" cy="9" r="6" fill="none" stroke="var(--fine)" stroke-width="2.4" />
  {:else if verdict === 'nearEdge'}
    <path d="M9 2v14M2 9h14" stroke="var(--edge)" stroke-width="2.6" />
  {:else if verdict === 'spent'}
    <path d="M3.5 3.5l11 11M14.5 3.5l-11 11" stroke="var(--out)" stroke-width="2.6" />
  {:else if verdict === 'perhaps'}
    <path d="M9 2v14M2 9h14" stroke="var(--edge)" stroke-width="2" stroke-dasharray="3 2" />
  {:else if verdict === 'outOfWater' || verdict === 'noLongerSubmerging'}
    <path d="M9 2 17 16H1z" fill="var(--out)" />
  {:else if verdict === 'aground'}
    <path d="M9 1 16 12H2z" fill="var(--out)" /><path d="M1 16h16" stroke="var(--out)" stroke-width="2.4" />
  {:else if verdict === 'tooDeep' || verdict === 'heldUnder'}
    <path d="M2.5 3.5h13L9 15z" fill="none" stroke="var(--out)" stroke-width="2.2" stroke-linejoin="round" />
  {:else if verdict === 'beyond'}
    <path d="M9 2v13M4 10l5 5 5-5" fill="none" stroke="var(--edge)" stroke-width="2.4" />
  {:else if verdict === 'frozen'}
    <path d="M2 6h14M2 12h14M6 2v14M12 2v14" stroke="var(--edge)" stroke-width="2" />
  {:else if verdict === 'prepared'}
    <rect x="2.5" y="2.5" width="13" height="13" fill="none" stroke="var(--ink)" stroke-width="2" stroke-dasharray="3 2.4" />
  {:else if verdict === 'planned'}
    <rect x="5" y="5" width="8" height="8" fill="none" stroke="var(--mute)" stroke-width="1.8" />
  {:else if verdict === 'pulled'}
    <path d="M3 9h12" stroke="var(--mute)" stroke-width="2.4" />
  {:else}
    <path d="M5.2 6.2a3.8 3.8 0 1 1 5.4 3.5c-1.2.6-1.6 1.2-1.6 2.4" fill="none" stroke="var(--mute)" stroke-width="2.2" /><circle
      cx="9"
      cy="15.4"
      r="1.4"
      fill="var(--mute)"
    />
  {/if}
</svg>

<style>
  svg {
    flex: none;
  }
</style>
