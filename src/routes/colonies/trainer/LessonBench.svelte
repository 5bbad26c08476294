<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { ordersOf } from '#core/sets/secondTie';
  import type { Station } from '#core/stations/placed';
  import { LESSONS } from '#core/trainer/lessons';
  import { fits, minutesFor, type Build, type Move } from '#core/trainer/lived';
  import type { System } from '#core/units/factors';
  import { inWords } from '#core/units/inWords';
  import { fullDayText } from '#core/words/trainer';
  import { benchDesign } from '$lib/bench/design.svelte';
  import Drawings from '$lib/bench/Drawings.svelte';
  import Findings from '$lib/bench/Findings.svelte';
  import NumberFields from '$lib/bench/NumberFields.svelte';
  import Remarks from '$lib/bench/Remarks.svelte';
  import { benchOf } from '$lib/trainer/bench';
  import { isBuild, readBuild } from '$lib/trainer/readBuild';
  import type { Playing } from '$lib/trainer/moves.svelte';
  import Arming from '$lib/ui/Arming.svelte';
  import Field from '$lib/ui/Field.svelte';
  import type { Kept } from '$lib/ui/kept';
  import Steps from '$lib/ui/Steps.svelte';

  /** The bench of the record, for a set of a lesson. */
  interface Props {
    game: Playing;
    station: Station;
    type: string;
    /** as it stands there already */
    held: Build | null;
    id: string;
    system: System;
    /** where the page goes on once it stands */
    back: string;
  }
  let { game, station, type, held, id, system, back }: Props = $props();
  // made anew for another place, type or day: the page keys it
  const bench = untrack(() => benchOf(game.pond, game.lesson, { station, type, held, id }, system));
  let kept = $state.raw<Kept | null>(null);
  const it = untrack(() => benchDesign(bench, () => kept, system, null));
  let form: HTMLFormElement;

  const placing = $derived<Move>({ do: 'set', build: { id, station: station.id, type, numbers: {}, choices: {}, traps: {}, anchor: '' } });
  const needs = $derived(minutesFor(game.lesson, placing));
  const isFull = $derived(!fits(game.pond, game.lesson, placing));
  const who = $derived(page.data.who?.person);

  async function set(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!who) return;
    const { pond, lesson } = game;
    const at = { pond, lesson, station: station.id, type: it.type, id };
    const read = readBuild(new FormData(form), { crew: '', person: who, words: {} }, at);
    if (isBuild(read)) {
      game.play({ do: 'set', build: read });
      await goto(back, { noScroll: true });
      return;
    }
    kept = read;
    await tick();
    (
      form.querySelector<HTMLElement>('[aria-invalid="true"]') ?? form.querySelector<HTMLElement>('input[name="arm"]:not(:checked)')
    )?.focus();
  }
</script>

<form bind:this={form} onsubmit={set} class="bench mt-3">
  <div>
    <h3>{it.type.name}</h3>
    <p>{inWords(it.type.idea, system)}</p>
    <details open={game.pond.level !== 'first' || kept !== null}>
      <summary><b>Measure and change it</b></summary>
      <NumberFields {bench} {it} {kept} {system} keeps={false} />
    </details>
    {#each it.type.positions as position (position.id)}
      <Field
        label="{position.label}, by tag"
        name="d.{position.id}"
        error={kept?.errors?.[`d.${position.id}`] ?? (position.optional ? undefined : kept?.errors?.d)}
      >
        {#snippet children(attributes)}
          <select class="select w-full" name="d.{position.id}" bind:value={it.fields[`d.${position.id}`]} {...attributes}>
            <option value="">none</option>
            {#each bench.shed as trap (trap.id)}<option value={trap.id}>{trap.text}</option>{/each}
          </select>
        {/snippet}
      </Field>
    {/each}
    <Field label="Anchored to what, where" name="anchor" error={kept?.errors?.anchor}>
      {#snippet children(attributes)}<input
          class="input w-full"
          name="anchor"
          autocomplete="off"
          bind:value={it.fields.anchor}
          {...attributes}
        />{/snippet}
    </Field>
  </div>
  <div>
    <Drawings {it} title={it.type.name} {system} surface={station.surface} />
    <details class="mt-3">
      <summary><b>In this order</b></summary>
      <Steps device={it.atWork.device} orders={ordersOf(it.type, it.atWork)} {system} />
    </details>
  </div>
  <div>
    <Findings
      states={it.states}
      findings={it.findings}
      measured={it.measured}
      {system}
      higher={it.higher}
      aims={it.aims}
      names={Object.fromEntries(it.type.positions.map((p) => [p.id, p.label]))}
    />
    <Remarks {it} overruled={{}} kept={null} {system} canOverrule={false} />
    <Arming groups={it.arming} {kept} state="live" />
    {#if isFull}<p class="problem">{fullDayText(needs, LESSONS[game.pond.level].minutes - game.lesson.minutes)}</p>{/if}
    <button class="btn btn-primary btn-lg w-full mt-3" disabled={isFull || !who}
      >{held ? 'Build it anew' : 'Set it'}, {needs} minutes</button
    >
  </div>
</form>

<style>
  .bench {
    display: grid;
    grid-template-columns: 270px minmax(320px, 1fr) 330px;
    gap: 0 20px;
    align-items: start;
  }
  summary {
    cursor: pointer;
    min-height: 36px;
    align-content: center;
  }
  @media (max-width: 1050px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
