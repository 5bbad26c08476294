<script lang="ts">
  import { enhance } from '$app/forms';
  import { cutAndCarry } from '#core/gear/carry';
  import { sideView } from '#core/scene/sideView';
  import { armingCheck, LAST_REACH } from '#core/sets/arming';
  import { setTypeOf } from '#core/sets/catalogue';
  import { layOutSetting, placeOf, statesOf, usualDevices } from '#core/sets/standing';
  import type { FilledPosition } from '#core/sets/setType';
  import type { System } from '#core/units/factors';
  import { parseLength, printLength, smallUnit } from '#core/units/length';
  import type { BenchData } from '$lib/server/benchData';
  import Problem from '$lib/ui/Problem.svelte';
  import SideView from '$lib/ui/drawing/SideView.svelte';
  import { typed, type Kept } from '$lib/ui/kept';
  import { keeping } from '$lib/ui/keeping';
  import Arming from './Arming.svelte';
  import BenchFields from './BenchFields.svelte';
  import Findings from './Findings.svelte';

  interface Props {
    bench: BenchData;
    kept: Kept | null;
    system: System;
    title: string;
    isNew?: boolean;
  }
  let { bench, kept, system, title, isNew = false }: Props = $props();

  const type = $derived(setTypeOf(bench.type));
  let fields: Record<string, string> = $state(startFields());
  function startFields(): Record<string, string> {
    return Object.fromEntries(Object.entries(bench.fields).map(([name, value]) => [name, typed(kept, name, value)]));
  }

  const numbers = $derived.by(() => {
    const found: Record<string, number> = {};
    for (const [key, spec] of Object.entries(type.numbers)) {
      const text = fields[`n.${key}`]?.trim() ?? '';
      if (text === '') continue;
      const value = spec.unit === 'length' ? parsed(text) : share(text);
      if (value !== null) found[key] = value;
    }
    return found;
  });
  const parsed = (text: string): number | null => {
    const read = parseLength(text, smallUnit(system), bench.words);
    return read.ok ? read.value : null;
  };
  const share = (text: string): number | null => {
    const [a, b] = text.split('/').map(Number);
    const value = text.endsWith('%') ? Number(text.slice(0, -1)) / 100 : b ? (a ?? 0) / b : Number(text);
    return Number.isFinite(value) ? value : null;
  };
  const choices = $derived(Object.fromEntries(Object.keys(type.choices).map((key) => [key, fields[`c.${key}`] ?? ''])));
  const chosen = $derived(
    Object.fromEntries(
      type.positions.flatMap(({ id }): [string, FilledPosition][] => {
        const device = bench.shed.find((d) => d.id === fields[`d.${id}`]);
        return device ? [[id, { class: device.class, size: device.size }]] : [];
      }),
    ),
  );
  const devices = $derived(Object.keys(chosen).length > 0 ? chosen : usualDevices(type));
  /** the level it is measured from: typed now, as it was when it was set, or the last reading */
  const levelNow = $derived(parsed(fields.level ?? '') ?? bench.levels.known[bench.station.surface] ?? null);
  const sheet = $derived(numbers.ice ?? bench.ice?.now ?? null);
  const then = $derived({
    ...bench.levels.known,
    ...(levelNow === null ? {} : { [bench.station.surface]: levelNow }),
    ...(sheet === null ? {} : { sheet }),
  });
  const unchanged = $derived(
    bench.held !== null && Object.keys(bench.fields).every((name) => !/^[nc]\./.test(name) || fields[name] === bench.fields[name]),
  );
  const from = $derived(
    unchanged && bench.held ? { pond: bench.held.pond, tail: bench.held.tail } : { pond: then.pond ?? null, tail: then.tail ?? null },
  );
  const layout = $derived(
    layOutSetting(type, { numbers, choices, ...from }, placeOf(bench.station, bench.follows), devices, system, bench.ice ?? {}),
  );
  const known = $derived(levelNow === null ? { ...then, [bench.station.surface]: 0 } : then);
  const scene = $derived(sideView(layout, known, bench.station.surface, { width: 620, height: 430 }, system));
  const states = $derived(statesOf({ layout, devices: [] }, { known, age: {}, atMost: {} }, system));
  const carry = $derived(cutAndCarry(layout));
  const arming = $derived(armingCheck(type, chosen, choices));
  const origin = (key: string): string => {
    const spec = type.numbers[key];
    if (!spec) return '';
    if ((fields[`n.${key}`] ?? '').trim() !== '') return 'yours';
    if (spec.default === undefined) return 'not measured';
    return `${spec.unit === 'share' ? `${Math.round(spec.default * 100)} %` : printLength(spec.default, system)}, ${spec.origin}`;
  };
</script>

<form method="POST" action={isNew ? undefined : '?/save'} class="page bench" use:enhance={keeping}>
  <input type="hidden" name="entry" value={typed(kept, 'entry', bench.ids.entry)} />
  <input type="hidden" name="id" value={typed(kept, 'id', bench.ids.id)} />
  <div class="left">
    <h1>{title}</h1>
    <p class="quiet">{bench.waterName}, {bench.station.kind}, {type.name.toLowerCase()}</p>
    <Problem text={kept?.problem} />
    <BenchFields {bench} {type} bind:fields {kept} {origin} {system} />
  </div>
  <div class="middle">
    <SideView {scene} title="{type.name} at {bench.station.name}" />
    <p class="quiet small">{scene.twin.join(' ')} To scale, both ways; sticks across the travel are drawn where they stand along it.</p>
    {#if bench.ice}<p class="mt-2"><b>{bench.ice.text}</b></p>{/if}
    <h2 class="mt-4">Cut and carry</h2>
    <p>{carry.map(({ what, count }) => `${count} × ${what}`).join(', ')}</p>
    <h2 class="mt-4">In this order</h2>
    <ol class="order">
      {#each type.steps as step (step.do)}
        <li class:last={step.lastReach}>
          {step.do}{#if step.lastReach}
            <b class="ml-1">{type.devices[0] ? LAST_REACH[type.devices[0]] : ''}</b>{/if}{#if step.caution}<br /><span class="caution"
              >{step.caution}</span
            >{/if}
        </li>
      {/each}
    </ol>
  </div>
  <div class="right">
    <Findings {states} findings={layout.findings} measured={levelNow !== null} {system} />
    <Arming groups={arming} {kept} state={fields.state ?? 'live'} repeat={!isNew && bench.fields.state === 'live'} />
    <button class="btn btn-primary btn-lg w-full mt-3">{isNew ? 'Save the set' : 'Save the changes'}</button>
    <p class="quiet small mt-2">
      Seasons, devices and places that are allowed are for your rulebook and your agency to say; Zaprud does not.
    </p>
  </div>
</form>

<style>
  .bench {
    display: grid;
    grid-template-columns: 290px minmax(360px, 1fr) 340px;
    gap: 20px;
    align-items: start;
  }
  .small {
    font-size: 0.9rem;
  }
  .order {
    list-style: decimal;
    padding-left: 1.4rem;
  }
  .order li {
    padding: 3px 0;
  }
  .order .last {
    border-left: 4px solid var(--edge);
    padding-left: 8px;
    margin-left: -12px;
  }
  .caution {
    color: var(--out);
    font-weight: 600;
  }
  @media (max-width: 1050px) {
    .bench {
      grid-template-columns: 1fr;
    }
    .right {
      order: -1;
    }
    .middle {
      order: 0;
    }
    .left {
      order: 1;
    }
  }
</style>
