<script lang="ts">
  import { enhance } from '$app/forms';
  import { datedText, type Clock } from '#core/time/clock';
  import { many } from '#core/units/many';
  import type { LengthUnit } from '#core/units/length';
  import { packed, planLogger, type LoggerPlan } from '#core/water/logger';
  import Field from '$lib/ui/Field.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { keeping } from '$lib/ui/keeping';
  import type { Kept } from '$lib/ui/kept';

  /** A logger's file: read here, looked at before anything is saved, sent thinned. */
  interface Props {
    kept: Kept | null;
    form: string;
    surface: string;
    unit: LengthUnit;
    now: number;
    clock: Clock;
  }
  let { kept, form, surface, unit, now, clock }: Props = $props();
  let plan = $state<LoggerPlan | null>(null);
  let name = $state('');
  let problem = $state('');
  let reading = $state(false);

  async function choose(event: Event): Promise<void> {
    const file = (event.currentTarget as HTMLInputElement).files?.[0];
    plan = null;
    problem = '';
    if (!file) return;
    reading = true;
    name = file.name.slice(0, 120);
    const { csvRows } = await import('$lib/exchange/csv');
    const { rows, problem: broken } = csvRows(await file.text());
    const planned = planLogger(rows, clock, unit, now);
    plan = planned;
    problem = planned.problem ?? (planned.points.length === 0 ? (broken ?? '') : '');
    reading = false;
  }
</script>

<form method="POST" action="?/logger&surface={surface}" class="sheet" use:enhance={keeping}>
  <h2>A logger’s file</h2>
  <p class="quiet mb-2">
    CSV with a column time and a column level, its unit in brackets: level (cm). Times without an offset count in {clock.zone}.
  </p>
  <Problem text={kept?.values && 'points' in kept.values ? kept.problem : undefined} />
  <input type="hidden" name="form" value={form} />
  <input type="hidden" name="points" value={plan ? packed(plan.points) : ''} />
  <input type="hidden" name="rows" value={plan?.rows ?? 0} />
  <input type="hidden" name="name" value={name} />
  <Field label="CSV of a level logger" name="file" error={problem || kept?.errors?.file}>
    {#snippet children(attributes)}<input
        type="file"
        class="file-input w-full"
        accept=".csv,.txt"
        onchange={choose}
        {...attributes}
      />{/snippet}
  </Field>
  {#if reading}<p role="status">Reading…</p>{/if}
  {#if plan && !plan.problem}
    {@const [first, last] = [plan.points[0], plan.points.at(-1)]}
    <div aria-live="polite">
      <p>
        <b>{many(plan.rows, 'row')}</b>{#if first && last}, from {datedText(new Date(first.at), clock)} to {datedText(
            new Date(last.at),
            clock,
          )}{/if}; kept as {many(plan.points.length, 'point')}, no row farther than ⅛ in from the line between them. {plan.refused.length >
        0
          ? `${many(plan.refused.length, 'row')} refused.`
          : ''}
      </p>
      <ul class="list">
        {#each plan.warnings as w (w)}<li>{w}</li>{/each}
        {#each plan.refused.slice(0, 6) as r (r.row)}<li>Row {r.row}: {r.reason}</li>{/each}
      </ul>
    </div>
    <button class="btn btn-primary mt-2" disabled={plan.points.length === 0}>Take the whole stretch</button>
  {/if}
</form>

<style>
  .list {
    list-style: disc;
    padding-left: 1.2em;
  }
</style>
