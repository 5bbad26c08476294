<script lang="ts">
  import { browser } from '$app/environment';

  /** One tap on arriving at a set: the minutes there are counted on this device, over a reload and an empty battery, until its check is saved. */
  interface Props {
    /** of one stop: the set and its last look */
    stop: string;
    /** the moment of the page, ms by the clock of the record */
    now: number;
    /** minutes so far; empty where nobody tapped */
    minutes: string;
  }
  let { stop, now, minutes = $bindable() }: Props = $props();

  /** Nobody stands at one set for so long: it was forgotten, ms. */
  const FORGOTTEN = 4 * 3_600_000;
  const key = $derived(`here ${stop}`);
  const opened = performance.now();
  const passed = (): number => performance.now() - opened;
  let tick = $state(0);
  let begun = $state<number | null>(null);

  $effect(() => {
    const kept = browser ? Number(localStorage.getItem(key) ?? NaN) : NaN;
    begun = Number.isFinite(kept) && now - kept < FORGOTTEN && kept - now < 60_000 ? kept : null;
  });
  $effect(() => {
    if (begun === null) return;
    const timer = setInterval(() => (tick += 1), 5000);
    return () => clearInterval(timer);
  });
  $effect(() => {
    void tick;
    minutes = begun === null ? '' : Math.max(0.5, (now + passed() - begun) / 60_000).toFixed(1);
  });

  function arrive(): void {
    begun = now + passed();
    localStorage.setItem(key, String(begun));
  }
  function forget(): void {
    begun = null;
    localStorage.removeItem(key);
  }
</script>

{#if begun === null}
  <button type="button" class="btn here" onclick={arrive}>I am here</button>
{:else}
  <button type="button" class="btn here" onclick={forget} aria-label="Here for {Math.round(Number(minutes))} min: do not count it"
    >Here {Math.round(Number(minutes))} min</button
  >
{/if}

<style>
  .here {
    float: right;
    min-height: 56px;
  }
</style>
