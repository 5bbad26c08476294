<script lang="ts">
  import type { DeviceClass } from '#core/devices/sizes';

  /** The three device classes from their real outlines: square frame with its two springs, jaw arc, loop with its tail. */
  let { kind, width = 40 }: { kind: DeviceClass; width?: number } = $props();
</script>

<svg {width} height={width * 0.6} viewBox="0 0 40 24" fill="none" stroke="var(--steel)" stroke-width="1.7" aria-hidden="true">
  {#if kind === 'bodyGrip'}
    <rect x="11" y="3" width="18" height="18" rx="2.5" />
    <path d="M11 12H6M29 12h5M18 4l-2.4 9M22 4l2.4 9" />
    <circle cx="4" cy="12" r="2.2" /><circle cx="36" cy="12" r="2.2" />
  {:else if kind === 'foothold'}
    <path d="M7 17a13 9 0 0 1 26 0" /><path d="M3 17.5h34" stroke-width="2.4" /><path d="M15 15.5h10" stroke-width="2.6" />
  {:else if kind === 'enclosed'}
    <path d="M13 5h14v12a7 5 0 0 1-14 0z" /><path d="M13 5a7 2.4 0 0 0 14 0a7 2.4 0 0 0-14 0M20 6v9" />
  {:else}
    <circle cx="16" cy="12" r="9" /><path d="M23 6.4c5-4.6 11-3 14 3" /><circle cx="22.8" cy="6.2" r="1.6" fill="var(--steel)" />
  {/if}
</svg>
