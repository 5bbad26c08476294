<script lang="ts">
  import { travelText } from '#core/units/speed';
  import type { SubmitFunction } from '@sveltejs/kit';
  import { TRUCK_KMH, DETOUR, MODES, UNPLACED } from '#core/run/travel';
  import type { RunDay } from '#lib/run/page';
  import type { Kept } from '$lib/ui/kept';
  import PrintHead from '$lib/ui/PrintHead.svelte';
  import AskRun from './AskRun.svelte';
  import DayPage from './DayPage.svelte';

  /** The run of a day, on the desk and on a device out of reach. */
  interface Props {
    day: RunDay;
    /** the address of the check of a set */
    link: (set: string) => string;
    /** kept in the address when it is asked anew */
    keep?: Record<string, string>;
    isDesk?: boolean;
    share: { entry: string; kept: Kept | null; send: SubmitFunction };
  }
  let { day, link, keep = {}, isDesk = true, share }: Props = $props();
</script>

{#if day.stops.length === 0}
  <PrintHead title="No check is owed that day." button={null} />
  <AskRun {day} {keep} />
{:else}
  <DayPage {day} {link} {keep} {isDesk} {share} />
  <p class="quiet mt-4">
    Ways are straight lines and {Math.round((DETOUR - 1) * 100)}% more, {travelText(MODES[day.asked.by].kmh, day.system)}
    {MODES[day.asked.by].label}, {travelText(TRUCK_KMH, day.system)} by truck between access points (rule of thumb); minutes as under
    {#if isDesk}<a class="link" href="/people">People</a>{:else}People{/if}.{day.unplaced > 0
      ? ` ${day.unplaced} lie nowhere yet: ${UNPLACED} min each.`
      : ''}{day.left > 0 ? ` ${day.left} more are not due that day.` : ''}
  </p>
{/if}
