import { lookAfter } from '#core/check/lookAfter';
import type { NewEntry } from '#core/record/entry';
import { SCHEMAS, type Body, type Check, type Kind, type TrapSet } from '#core/record/kinds';
import type { Written } from '#core/record/written';
import { taskOf } from '#core/run/work';
import { setTypeOf } from '#core/sets/catalogue';
import { elevationOf } from '#core/water/gauge';
import type { Reading } from '#core/water/series';
import type { Facts } from '#lib/season/facts';
import { withGauge, type Snapshot } from './snapshot';

/** What the snapshot says once entries that still wait to be sent are in it: every room of the device works on that. */
export const withEntries = (snapshot: Snapshot, entries: readonly NewEntry[]): Snapshot => entries.reduce(withEntry, snapshot);

function withEntry(all: Snapshot, { id, kind, body: sent, by }: NewEntry): Snapshot {
  const put = PUTS[kind] as Put<Kind> | undefined;
  // what an older version of the page wrote and this one cannot read is for the record to answer
  const body = SCHEMAS[kind].safeParse(sent);
  return put && body.success ? put(all, body.data as Body<Kind>, { entry: id, by }) : all;
}

type Put<K extends Kind> = (all: Snapshot, body: Body<K>, from: { entry: string; by: string | null }) => Snapshot;

const into = (all: Snapshot, facts: Partial<Facts>): Snapshot => ({ ...all, facts: { ...all.facts, ...facts } });

/** A thing written anew in its list, or put behind the others. */
function anew<T extends { id: string }>(list: readonly T[], thing: T): T[] {
  return list.some(({ id }) => id === thing.id) ? list.map((old) => (old.id === thing.id ? { ...old, ...thing } : old)) : [...list, thing];
}

const PUTS: { [K in Kind]?: Put<K> } = {
  check: withCheck,
  reading: withReading,
  set: withSet,
  device: (all, body, { entry }) => {
    const set = all.facts.shed.find(({ id }) => id === body.id)?.set ?? null;
    return into(all, { shed: anew(all.facts.shed, { ...body, entry, set }) });
  },
  station: (all, body, { entry }) => into(all, { places: anew(all.facts.places, { ...body, entry }) }),
  ice: (all, body, { entry }) => into(all, { seen: anew(all.facts.seen, { ...body, entry }) }),
  opening: (all, body, { entry }) => into(all, { openings: anew(all.facts.openings, { ...body, entry }) }),
  leftWord: (all, body, { entry }) => into(all, { words: anew(all.facts.words, { ...body, entry }).filter((w) => w.back === null) }),
  share: (all, body, { entry }) => into(all, { shares: anew(all.facts.shares, { ...body, entry }) }),
  stockMove: (all, { stock, amount, count }) => ({
    ...all,
    supplies: all.supplies.map((s) => (s.id === stock ? { ...s, have: count ?? s.have + (amount ?? 0) } : s)),
  }),
};

function withCheck(all: Snapshot, visit: Check): Snapshot {
  const looks = { ...all.facts.looks };
  for (const { stay } of visit.devices) looks[stay] = lookAfter(looks[stay], visit, stay);
  const at = new Date(visit.at);
  const caught = visit.devices.flatMap(({ catch: c }) => (c ? [{ species: c.species, at }] : []));
  const before = all.past[visit.set] ?? [];
  const past = [...before.filter(({ id }) => id !== visit.id), visit].sort((a, b) => b.at.localeCompare(a.at)).slice(0, 6);
  return {
    ...into(all, { looks, times: [...timesOf(all, visit), ...all.facts.times] }),
    past: { ...all.past, [visit.set]: past },
    caught: [...all.caught, ...caught],
  };
}

function timesOf({ facts }: Snapshot, { took, devices, change, set }: Check): Facts['times'] {
  const type = facts.sets.find(({ id }) => id === set)?.type;
  if (took === null || !type || setTypeOf(type).underIce) return [];
  const isAlive = devices.some((d) => d.catch?.alive);
  const task = taskOf({ outcomes: devices.map((d) => d.outcome), change, isAlive });
  return task ? [{ task, minutes: took }] : [];
}

function withReading(all: Snapshot, { gauge, at, level, bound, since, doubt }: Body<'reading'>, { by }: { by: string | null }): Snapshot {
  const board = all.facts.boards.find(({ id }) => id === gauge);
  const when = new Date(at);
  const row = [when.getTime(), level, bound, by, since ? Date.parse(since) : null, doubt ?? null] as const;
  const own = all.facts.packed.find(({ gauge_id }) => gauge_id === gauge)?.packed ?? [];
  const rows = [...own, [...row] as (typeof own)[number]].sort((a, b) => a[0] - b[0]);
  const packed = withGauge(all.facts.packed, { gauge_id: gauge, packed: rows });
  if (bound !== 'exact') return into(all, { packed });
  const reading: Reading = { at: when, level: elevationOf(board, level, when.getTime()), bound, by };
  const beside = new Map(
    [...all.facts.beside].map(([key, readings]): [string, Reading[]] => [
      key,
      key.startsWith(gauge) ? [...readings, reading].sort((a, b) => a.at.getTime() - b.at.getTime()) : readings,
    ]),
  );
  return into(all, { packed, beside });
}

function withSet(all: Snapshot, body: TrapSet, { entry }: { entry: string }): Snapshot {
  const set: Written<TrapSet> = { ...body, entry };
  const standing = new Set(body.stays.filter((s) => s.to === null).map((s) => s.device));
  const name = { id: set.id, number: set.number, name: set.name };
  const shed = all.facts.shed.map((device) => {
    if (standing.has(device.id)) return { ...device, set: name };
    return device.set?.id === set.id ? { ...device, set: null } : device;
  });
  const sets = anew(all.facts.sets, set).sort((a, b) => a.number - b.number);
  return into(all, { sets, shed });
}
