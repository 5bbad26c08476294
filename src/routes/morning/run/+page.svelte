<script lang="ts">
  import { TRUCK_KMH, DETOUR, MODES, UNPLACED } from '#core/run/travel';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import type { PageData } from './$types';
  import AskRun from './AskRun.svelte';
  import DayPage from './DayPage.svelte';

  let { data } = $props();
  type Day = Extract<PageData, { start: number }>;
  const day = $derived(data.line === null ? null : (data as Day));
</script>

<svelte:head><title>The run of the day · Zaprud</title></svelte:head>

<div class="page">
  <p class="no-print"><a class="link" href="/morning">Rounds</a> – <a class="link" href="/field">the run without a signal</a></p>
  {#if !day}
    <PrintHead title="No line was begun yet." button={null} />
    <p><a class="link" href="/begin">Begin with your crew, your line and one water</a>.</p>
  {:else if day.stops.length === 0}
    <PrintHead title="No check is owed that day." button={null} />
    <AskRun {day} />
  {:else}
    <DayPage {day} />
    <p class="quiet mt-4">
      Ways are straight lines and {Math.round((DETOUR - 1) * 100)} % more, {MODES[day.asked.by].kmh} km/h {MODES[day.asked.by].label}, {TRUCK_KMH}
      km/h by truck between access points (rule of thumb); minutes as under
      <a class="link" href="/people">People</a>.{day.unplaced > 0
        ? ` ${day.unplaced} lie nowhere yet: ${UNPLACED} min each.`
        : ''}{day.left > 0 ? ` ${day.left} more are not due that day.` : ''}
    </p>
  {/if}
</div>
