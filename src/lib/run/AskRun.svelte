<script lang="ts">
  import { MODES } from '#core/run/travel';
  import SelectField from '$lib/ui/SelectField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import type { RunDay } from '#lib/run/page';

  interface Props {
    day: RunDay;
    /** kept in the address when it is asked anew */
    keep: Record<string, string>;
  }
  let { day, keep }: Props = $props();
  const MINUTES = ['0', '20', '30', '45', '60'];
</script>

<form class="asked-in-a-row no-print" method="GET">
  {#each Object.entries(keep) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
  <TimeField label="Begin" name="from" value={day.asked.from} error={day.problem || undefined} help="" />
  {#if day.accesses.length > 0}<SelectField label="From and back to" name="begin" value={day.asked.begin} options={day.accesses} />{/if}
  <SelectField
    label="At the water"
    name="by"
    value={day.asked.by}
    options={Object.entries(MODES).map(([value, { label }]) => ({ value, text: label }))}
  />
  <SelectField
    label="People"
    name="people"
    value={String(day.asked.people)}
    options={['1', '2'].map((value) => ({ value, text: value }))}
  />
  <SelectField
    label="Lunch after noon"
    name="lunch"
    value={day.asked.lunch}
    options={MINUTES.map((value) => ({ value, text: value === '0' ? 'none' : `${value} min` }))}
  />
  <button class="btn">Work it out</button>
</form>
