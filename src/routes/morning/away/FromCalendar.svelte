<script lang="ts">
  import { momentText, type Clock } from '#core/time/clock';
  import { toField } from '#core/time/localTime';
  import type { Absence } from '$lib/exchange/absences';
  import Field from '$lib/ui/Field.svelte';

  /** Days away out of a calendar file, read on this device alone: one tap works one of them out. */
  let { zone, clock, now }: { zone: string; clock: Clock; now: number } = $props();
  let found = $state.raw<Absence[] | null>(null);
  let problem = $state('');
  const MOST = 12;

  async function read(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const [file] = event.currentTarget.files ?? [];
    if (!file) return;
    const { absencesIn } = await import('$lib/exchange/absences');
    [found, problem] = [null, ''];
    try {
      found = absencesIn(await file.text(), zone, new Date(now));
      if (found.length === 0) problem = 'It holds nothing of the next 90 days.';
    } catch (error) {
      problem = error instanceof RangeError ? error.message : 'That file cannot be read.';
    }
  }
  const linkOf = ({ from, to }: Absence): string =>
    `?${new URLSearchParams({ from: toField(from, zone), to: toField(to, zone) }).toString()}`;
</script>

<details class="only-script no-print mt-2">
  <summary>Out of a calendar</summary>
  <Field label="Calendar file (.ics)" name="calendar" error={problem || undefined}>
    {#snippet children(attributes)}
      <input type="file" accept=".ics,text/calendar" class="file-input w-full" onchange={read} {...attributes} />
    {/snippet}
  </Field>
  {#if found && found.length > 0}
    <ul>
      {#each found.slice(0, MOST) as absence (`${absence.title} ${absence.from.getTime()}`)}
        <li>
          <a class="link font-bold" href={linkOf(absence)}>{absence.title}</a>: {momentText(absence.from, clock)} to {momentText(
            absence.to,
            clock,
          )}
        </li>
      {/each}
    </ul>
    {#if found.length > MOST}<p class="quiet">{found.length - MOST} more, later.</p>{/if}
  {/if}
  <p class="quiet mb-3">It is read on this device and kept nowhere.</p>
</details>

<style>
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
  }
  li {
    padding: 3px 0;
  }
</style>
