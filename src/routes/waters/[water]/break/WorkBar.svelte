<script lang="ts">
  /** How long a set works, on one time axis for all sets of the table: solid while it surely does, pale while it may, open once it failed. */
  let { earliest, latest }: { earliest: number; latest: number } = $props();
  const LONG = 260;
</script>

<svg height="16" viewBox="0 0 {LONG} 16" preserveAspectRatio="none" aria-hidden="true">
  <rect x="0.75" y="3" width={LONG - 1.5} height="10" fill="none" stroke="var(--out)" stroke-width="1.5" stroke-dasharray="3 3" />
  <rect x="0" y="2" width={latest * LONG} height="12" fill="var(--paper)" />
  <rect x="0" y="2" width={latest * LONG} height="12" fill="var(--fine)" opacity="0.35" />
  <rect x="0" y="2" width={earliest * LONG} height="12" fill="var(--fine)" />
</svg>

<style>
  svg {
    width: min(260px, 32vw);
  }
</style>
