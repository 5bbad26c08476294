import { armingCheck } from '#core/sets/arming';
import { setTypeOf } from '#core/sets/catalogue';
import { layOut, placeOf, stateOf } from '#core/sets/standing';
import { placed as placedStation } from '#core/stations/placed';
import { plainFrame } from '#core/units/frame';
import { knownAt, levelAt, type Surfaces } from '#core/water/levelAt';
import type { Body, Check, Device, Kind, ReadingBody, TrapSet } from '#core/record/kinds';
import { seeded } from '#core/sim/random';
import { simulatePond, simulateStream, simulateWeather, type SimulatedGauge, type Weather } from '#core/sim/season';
import { rulebookFor } from './rulebook';
import { addDays, instantOf, localDate, wholeMinute } from '#core/time/localTime';
import { feet, inches } from '#core/units/factors';
import { idMaker } from './ids';
import { demoGround, positionAlong } from './ground';
import { addLastSeason, addScouting, inMetres, MEASURED, PROFILES, type DemoContext } from './scouting';
import { addMoving, demoWeather } from './moving';
import type { Reading } from '#core/water/series';
import { addLastRound } from './lastRound';
import { addShed } from './shed';
import { FILLS, GAUGES, LYING, NOTHING, PEOPLE, SETS, SHED, SIGNS, SITES, STATIONS, WATERS } from './scenario';
import { visitOf } from './visits';

export const ZONE = 'America/Chicago';
export const PLACE = { lat: 45.5, lon: -90.5 };
/** Days of the season before today. */
export const DAYS = 35;
/** On this day, counted back, nobody could go. */
const NOBODY = 9;
const STORM = 6;

export interface DemoEntry<K extends Kind = Kind> {
  id: string;
  kind: K;
  occurredAt: Date;
  by: string | null;
  body: Body<K>;
  corrects?: string;
  opened?: string;
  reason?: string;
}

/** Everything that one loading of the demo writes, oldest first. Nothing in it lies after `now`. */
export function buildDemo(now: Date, seed = 7): { crew: string; entries: DemoEntry[] } {
  const make = idMaker(seed);
  const ids = new Map<string, string>();
  const idOf = (key: string): string => {
    const known = ids.get(key) ?? make();
    ids.set(key, known);
    return known;
  };
  const today = localDate(now, ZONE);
  const at = (daysBack: number, clock: string): Date => instantOf(addDays(today, -daysBack), clock, ZONE);
  const entries: DemoEntry[] = [];
  const start = at(DAYS, '08:00');
  /** places are known for longer than this season */
  const founded = at(400, '08:00');
  const wren = idOf('wren');
  const add = <K extends Kind>(kind: K, body: Body<K>, occurredAt: Date = start, by: string | null = wren, opened?: string): string => {
    const id = make(occurredAt);
    entries.push({ id, kind, occurredAt, by, body, ...(opened ? { opened } : {}) } as DemoEntry);
    return id;
  };

  add('crew', { id: idOf('crew'), name: 'Kettle Row', halfLives: {} }, founded, null);
  for (const { key, name, system, measures } of PEOPLE) {
    add(
      'person',
      {
        id: idOf(key),
        name,
        system,
        times: null,
        minutes: {},
        measures: Object.fromEntries(Object.entries(measures).map(([word, n]) => [word, inches(n)])),
      },
      founded,
      null,
    );
  }
  const line = {
    name: 'Kettle Row',
    zone: ZONE,
    ...PLACE,
    rule: { kind: 'elapsed' as const, hours: 24 },
    rulebook: 'Otter were here before the closure: keep the camera on the inlet.',
    book: idOf('rulebook'),
    schools: { hold: 'other', break: 'other', lure: 'one' } as const,
  };
  add('rulebook', { id: idOf('rulebook'), version: 1, book: rulebookFor(today), note: 'invented for the demo' }, founded);
  add('line', { ...line, id: idOf('line'), season: '3' });
  for (const { key, ...site } of SITES) add('site', { id: idOf(key), ...site, area: '' }, founded);
  for (const { key, site, profile, ...water } of WATERS) {
    const safe =
      'safe' in water && water.safe ? { level: inches(water.safe.level), at: founded.toISOString(), what: water.safe.what } : null;
    const fills = FILLS[key] ?? NOTHING;
    const bed = profile.map(([along, z]) => ({ along: feet(along), bed: inches(z) }));
    add(
      'water',
      {
        id: idOf(key),
        site: idOf(site),
        ...water,
        safe,
        ...fills,
        pipes: fills.pipes.map((pipe) => ({ ...pipe, at: founded.toISOString() })),
        profile: bed,
      },
      founded,
    );
  }
  for (const { key, water, ...gauge } of GAUGES)
    add('gauge', { id: idOf(key), water: idOf(water), zero: 0, earlier: [], ...gauge }, founded);
  for (const { key, site, water, ...ground } of demoGround())
    add('ground', { id: idOf(`ground ${key}`), site: idOf(site), water: water && idOf(water), properties: {}, ...ground }, founded);

  const rain = simulateWeather(seed, DAYS + 1, DAYS - STORM);
  const levels = simulateLevels(seed, rain);
  const levelOf = (water: string, surface: 'pond' | 'tail', day: number, half: 'morning' | 'evening'): number => {
    const series = levels[`${water}-${surface}`]?.[half];
    return series?.[DAYS - day] ?? 0;
  };
  for (const { key, water, surface } of GAUGES) {
    const id = make(founded);
    const level = levelOf(water, surface, DAYS, 'morning');
    add('reading', { ...EXACT, id, gauge: idOf(key), at: founded.toISOString(), level }, founded);
  }
  const stations = new Map<string, Body<'station'>>();
  for (const { key, water, depth, along, crest, note = '', surface = 'pond', parent, ...rest } of STATIONS) {
    const body: Body<'station'> = {
      id: idOf(`station ${key}`),
      water: idOf(water),
      ...rest,
      surface,
      along: feet(along),
      lon: positionAlong(water, feet(along))[0],
      lat: positionAlong(water, feet(along))[1],
      parent: parent ? idOf(`station ${parent}`) : null,
      measures: Object.entries(MEASURED[key] ?? {}).map(([what, value]) => ({
        what: what as keyof (typeof MEASURED)[string],
        value: inMetres(what, value),
        at: founded.toISOString(),
      })),
      across: PROFILES[key]
        ? { points: PROFILES[key].map(([d, z]) => ({ distance: feet(d), depth: inches(z) })), at: founded.toISOString() }
        : null,
      photo: null,
      lies: (LYING[key] ?? []).map(({ what, where, day }) => ({
        ...{ what, where, gone: null, id: idOf(`lies ${key} ${what}`) },
        at: at(day, '10:00').toISOString(),
      })),
      note,
      crest: crest === undefined ? null : { height: inches(crest), at: founded.toISOString() },
      bed: depth === undefined ? null : { depth: inches(depth), at: founded.toISOString() },
    };
    stations.set(key, body);
    add('station', body, founded);
  }
  const shed: Record<string, Device> = {};
  for (const { tag, size, note = '', ...device } of SHED) {
    const body: Device = { id: idOf(tag), tag, size, condition: 'good', note, ...device };
    shed[body.id] = body;
    add('device', body, founded);
  }
  const context: DemoContext = { now, zone: ZONE, place: PLACE, at, idOf, make, add };
  const answers = (type: string, tag: string): string[] => {
    const of = setTypeOf(type);
    const position = of.positions[0]?.id ?? '';
    const choices = Object.fromEntries(Object.entries(of.choices).map(([key, choice]) => [key, choice.default]));
    return armingCheck(of, { [position]: shed[idOf(tag)] as Device }, choices).flatMap((group) => group.asks.map((ask) => ask.id));
  };
  addLastSeason(context, stations, answers, line);

  const readings = addReadings(levels, now, at, idOf, make, add, entries);
  addMoving({ context, weather: demoWeather(seed + 20, now, ZONE, rain.rain, DAYS), readings, days: DAYS });

  for (const [station, kind, species, freshness, daysBack, note] of SIGNS) {
    const when = at(daysBack, '10:40');
    add(
      'sign',
      {
        id: make(when),
        station: idOf(`station ${station}`),
        at: when.toISOString(),
        kind,
        species,
        freshness,
        count: null,
        direction: '',
        note,
        photo: null,
        lat: null,
        lon: null,
      },
      when,
    );
  }

  addScouting(context);
  addShed(context);

  const random = seeded(seed + 1);
  for (const plan of SETS) {
    const station = stations.get(plan.station);
    if (!station) continue;
    const water = STATIONS.find((s) => s.key === plan.station)?.water ?? '';
    const type = setTypeOf(plan.type);
    const choices = { ...Object.fromEntries(Object.entries(type.choices).map(([key, choice]) => [key, choice.default])), ...plan.choices };
    const placed = at(...plan.placed);
    const pulled = plan.pulled ? at(...plan.pulled) : null;
    const surfaces: Surfaces = {
      at: (_, surface, when) => levelAt(readings[`${water}-${surface}`] ?? [], new Date(when)),
      elevation: (_, __, ___, shown) => shown,
    };
    const numbers = Object.fromEntries(Object.entries(plan.numbers).map(([key, n]) => [key, key === 'share' ? n : inches(n)]));
    const lures = plan.lures?.map(([what, where, amount, jar]) => ({ what, where, amount, stock: jar ? idOf(`stock ${jar}`) : null }));
    const setting = { id: make(placed), at: placed.toISOString(), numbers, choices, ...(lures ? { lures } : {}) };
    const positions = Object.fromEntries(Object.entries(plan.devices).map(([position, tag]) => [position, shed[idOf(tag)] as Device]));
    const live = plan.state === 'live' || plan.state === 'pulled';
    const set: TrapSet = {
      id: idOf(plan.key),
      line: idOf('line'),
      number: plan.number,
      name: plan.name,
      type: plan.type,
      species: plan.species,
      station: station.id,
      state: live ? 'live' : plan.state,
      opens: plan.opensIn ? addDays(today, plan.opensIn) : null,
      settings: [setting],
      reserved: {},
      stays: live
        ? Object.entries(plan.devices).map(([position, tag]) => ({
            id: make(placed),
            position,
            device: idOf(tag),
            from: placed.toISOString(),
            to: null,
          }))
        : [],
      armed: live
        ? { at: placed.toISOString(), answers: armingCheck(type, positions, choices).flatMap((group) => group.asks.map((ask) => ask.id)) }
        : null,
      anchor: plan.anchor,
      by: wren,
      took: null,
      leftBecause: plan.leftBecause ?? '',
      overruled: {},
      situation: null,
      attested: [],
      exemption: '',
      judged: null,
      note: '',
      hole: '',
      photoLeft: null,
      photoFound: null,
    };
    if (placed > now) continue;
    const entry = add('set', set, placed);
    if (!live) continue;

    const here = placedStation(station, surfaces);
    const laid = { numbers, choices, then: knownAt(surfaces, '', placed), place: placeOf(here), devices: positions };
    const layout = layOut(type, laid, 'us');
    let calm = 0;
    for (const { day, clock } of rounds(now, at, plan.placed[0], plan.pulled?.[0] ?? 0, water, random)) {
      const when = at(day, clock);
      if (when <= placed || when > now || day === NOBODY || (pulled && when >= pulled)) continue;
      const half = clock < '12:00' ? 'morning' : 'evening';
      const now0 = { pond: levelOf(water, 'pond', day, half), tail: water === 'header' ? levelOf(water, 'tail', day, half) : 0 };
      const state = stateOf({ layout, devices: [] }, { known: now0, age: { pond: 0, tail: 0 }, atMost: {} }, plainFrame('us'));
      const visit = visitOf({
        set,
        species: plan.species,
        yields: plan.yields,
        dry: state?.verdict === 'outOfWater',
        deep: state?.verdict === 'tooDeep' || state?.verdict === 'heldUnder',
        day,
        calm,
        random,
        make: () => make(when),
        at: when,
        by: random() < 0.6 ? wren : idOf('corin'),
      });
      calm = visit.devices.every((d) => d.outcome === 'untouched') ? calm + 1 : 0;
      add('check', visit as Check, when, visit.by);
      const closed = (visit as Check).devices.find((d) => d.catch?.species === 'otter')?.catch;
      if (closed) {
        const told = new Date(when.getTime() + 3 * 3_600_000);
        const body = {
          id: make(told),
          catch: closed.id,
          rule: 'tell-incidental',
          at: told.toISOString(),
          note: 'by telephone; released at the inlet',
        };
        add('duty', body, told, visit.by);
      }
    }
    if (pulled && pulled <= now) {
      add('set', { ...set, state: 'pulled', stays: set.stays.map((stay) => ({ ...stay, to: pulled.toISOString() })) }, pulled, wren, entry);
    }
  }
  addLastRound(context);
  const ordered = entries
    .map((entry, i) => ({ entry, i }))
    .sort((a, b) => Number(a.entry.occurredAt) - Number(b.entry.occurredAt) || a.i - b.i);
  return { crew: idOf('crew'), entries: ordered.map(({ entry }) => entry) };
}

function simulateLevels(seed: number, weather: Weather): Record<string, SimulatedGauge> {
  return {
    'header-pond': simulatePond(seed + 2, weather, inches(40.5), inches(9.25)),
    'header-tail': simulateStream(seed + 3, weather, inches(9.5), inches(1.2)),
    'race-pond': simulateStream(seed + 4, weather, inches(18.5), inches(6.5)),
    'ditch-pond': simulateStream(seed + 5, weather, inches(22), inches(3)),
    'upper-pond': simulatePond(seed + 6, weather, inches(24), inches(0.5)),
    'spill-pond': simulateStream(seed + 7, weather, inches(8.5), inches(6)),
    'moss-pond': simulatePond(seed + 8, weather, inches(18), 0),
    'ponds-pond': simulatePond(seed + 9, weather, inches(20), inches(0.25)),
    'outfall-pond': simulateStream(seed + 10, weather, inches(9), inches(4)),
  };
}

const EXACT = { bound: 'exact', source: 'simulated', since: null, doubt: null, clarity: 'not looked', set: null, note: '' } as const;

/** Morning and evening readings of every gauge; one of them typed with its figures swapped and corrected later. */
function addReadings(
  levels: Record<string, SimulatedGauge>,
  now: Date,
  at: (day: number, clock: string) => Date,
  idOf: (key: string) => string,
  make: (at?: Date) => string,
  add: <K extends Kind>(kind: K, body: Body<K>, at: Date) => string,
  entries: DemoEntry[],
): Record<string, Reading[]> {
  const found: Record<string, Reading[]> = {};
  const slipDay = 12;
  for (const { key } of GAUGES) {
    for (let day = DAYS; day >= 0; day -= 1) {
      for (const [half, clock] of [
        ['morning', '05:10'],
        ['evening', '16:45'],
      ] as const) {
        const when = day === 0 && half === 'morning' ? firstReading(now, at) : at(day, clock);
        const level = levels[key]?.[half][DAYS - day];
        if (level === undefined || when > now || (day === NOBODY && half === 'evening')) continue;
        const body: ReadingBody = {
          id: make(when),
          gauge: idOf(key),
          at: when.toISOString(),
          level,
          bound: 'exact',
          source: 'simulated',
          since: null,
          doubt: null,
          clarity: key.endsWith('race-pond') || key.startsWith('outfall') ? 'clear' : 'not looked',
          set: null,
          note: '',
        };
        (found[key] ??= []).push({ at: when, level, bound: 'exact' });
        const slipped = key === 'header-pond' && day === slipDay && half === 'morning';
        const entry = add('reading', slipped ? { ...body, level: inches(14) } : body, when);
        if (!slipped) continue;
        const noticed = at(slipDay, '17:20');
        entries.push({
          id: make(noticed),
          kind: 'reading',
          occurredAt: noticed,
          by: idOf('wren'),
          body,
          corrects: entry,
          reason: 'figures swapped: 14 for 41',
        });
      }
    }
  }
  return found;
}

/** This morning's reading: ten past five, or a little before `now` when the demo is started in the night. */
function firstReading(now: Date, at: (day: number, clock: string) => Date): Date {
  const usual = at(0, '05:10');
  const just = wholeMinute(new Date(now.getTime() - 12 * 60_000));
  return now >= usual ? usual : just > at(0, '00:00') ? just : at(0, '00:00');
}

/** When a set was looked at: once a day, on wet days twice, late when the season ran late; today's only when the day is old enough for the pond to have been seen. */
function rounds(now: Date, at: (day: number, clock: string) => Date, from: number, to: number, water: string, random: () => number) {
  const clock = (hour: number, span: number): string => {
    const minutes = hour * 60 + Math.floor(random() * span);
    return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
  };
  const morning = water === 'header';
  const late = now >= at(0, '09:00');
  const found: { day: number; clock: string }[] = [];
  for (let day = from; day >= Math.max(to, 1); day -= 1) {
    const last = day === 1 && late;
    found.push({ day, clock: last ? clock(15, 90) : morning ? clock(9, 75) : clock(13, 90) });
    if (random() < 0.08 && day > 1) found.push({ day, clock: clock(16, 20) });
  }
  if (to === 0 && now >= at(0, '14:30')) found.push({ day: 0, clock: clock(7, 90) });
  return found;
}
