// Tables read by their rows: the formatter leaves them alone.
import type { DeviceClass } from '#core/devices/sizes';
import type { Body, CameraRoll, Kind } from '#core/record/kinds';
import type { MeasureId } from '#core/stations/measures';
import { simulateNight, type Family } from '#core/sim/camera';
import { addColonies } from './colonies';
import { addDays, localDate, wholeMinute } from '#core/time/localTime';
import { sunOf, type Place } from '#core/time/sun';
import { feet, inches } from '#core/units/factors';

type Add = <K extends Kind>(kind: K, body: Body<K>, at: Date, by?: string | null, opened?: string) => string;

export interface DemoContext {
  now: Date;
  zone: string;
  place: Place;
  at: (daysBack: number, clock: string) => Date;
  idOf: (key: string) => string;
  make: (at?: Date) => string;
  add: Add;
}

/** What was measured at a place, in inches, feet for what is longer than a reach (`ft`), degrees and yes (1) or no (0). */
// prettier-ignore
export const MEASURED: Record<string, Partial<Record<MeasureId, number>>> = {
  eastrun: { widthSurface: 31, widthBed: 16, depth: 33, pushIn: 2, bearing: 95, sink: 3 },
  westrun: { widthSurface: 28, widthBed: 15, depth: 38, pushIn: 3, bearing: 250, sink: 5 },
  lodge: { across: 168, overWater: 21, runs: 2, sink: 9 },
  dam: { crestLength: 1400, crestHeight: 38, head: 32, channelOff: 30, channelDepth: 20 },
  face: { width: 22, overPond: 6, overTail: 38, footClear: 1 },
  upinlet: { feeds: 1 },
  uplodge: { across: 180, overWater: 38, runs: 2, sink: 4 },
  uppile: { extent: 60, shows: 4 },
  updam: { crestLength: 4200, crestHeight: 30, head: 22 },
  mosslodge: { across: 114, overWater: 8, runs: 2, sink: 24 },
  mossrun: { widthSurface: 30, widthBed: 18, depth: 31, pushIn: 5, bearing: 140, sink: 4 },
  mosspile: { extent: 150, shows: 1, edgeDepth: 36 },
  spillroot: { trapDepth: 5, besideDepth: 8, roof: 8, poolDepth: 14, sink: 1 },
  spilllog: { overWater: 9, slope: 6, fixed: 1 },
  lanebridge: { passages: 3, widthSurface: 96, ceiling: 40, flow: 0.4 },
};
/** The bed across a place: feet from the edge, inches deep on the first day. */
// prettier-ignore
export const PROFILES: Record<string, [feet: number, inches: number][]> = {
  eastrun: [[0, 2], [1, 12], [2, 30], [2.7, 33], [3.4, 31], [4.2, 14], [5, 4]],
  spillroot: [[0, 1], [1, 8], [2, 12], [3, 7], [4, 5], [5, 5]],
};
const PLAIN: readonly string[] = ['runs', 'bearing', 'passages', 'flow', 'slope', 'fixed', 'footClear'];
export const inMetres = (what: string, value: number): number => (PLAIN.includes(what) ? value : inches(value));

/** Depths read at a station, in, days back, with the gauge at that many inches. */
// prettier-ignore
const OWN_DEPTHS: [station: string, daysBack: number, depth: number, gauge: number][] = [
  ['racebend', 15, 22, 19], ['racebend', 6, 27.5, 26.5],
  ['spillroot', 14, 5, 8.5], ['spillroot', 5, 9, 15], ['spillroot', 2, 6.5, 11],
  ['spillbend', 8, 7.5, 9.5],
];

// prettier-ignore
const EARLIER: { water: string; station?: string; who: string; season: string; used: string; devices?: DeviceClass[]; survivors?: 'none' | 'some' | 'shy'; species: 'beaver' | 'muskrat' | 'mink'; caught: number | null; nights: number | null; note: string }[] = [
  { water: 'header', station: 'face', who: 'the growers’ own man', season: 'two winters ago', used: 'body-grips in every break, no fence', devices: ['bodyGrip'], survivors: 'shy', species: 'beaver', caught: 2, nights: 60, note: 'Two caught, three traps fired empty; the rest learned breaks' },
  { water: 'header', who: 'a neighbour', season: 'four winters ago', used: 'snares on the slides', devices: ['snare'], survivors: 'some', species: 'beaver', caught: 5, nights: null, note: 'Whole family but the old female' },
  { water: 'upper', who: 'the growers’ own man', season: 'last winter', used: 'footholds at the lodge', devices: ['foothold'], survivors: 'none', species: 'beaver', caught: 4, nights: 80, note: 'He thinks it was all of them' },
  { water: 'race', who: 'hatchery hands', season: 'every spring', used: 'culvert screens only', species: 'muskrat', caught: null, nights: null, note: 'Nothing was trapped' },
];

/** Who lives before each simulated camera, and the nights it watched, counted back. */
// prettier-ignore
const CAMERAS: { station: string; from: number; to: number; family: Family; camera: string }[] = [
  { station: 'eastrun', camera: 'C1', from: 13, to: 8, family: { species: 'beaver', large: 2, middle: 1, small: 2, passes: 6 } },
  { station: 'face', camera: 'C1', from: 8, to: 5, family: { species: 'beaver', large: 1, middle: 1, small: 0, passes: 2 } },
  { station: 'uplodge', camera: 'C2', from: 10, to: 5, family: { species: 'muskrat', large: 0, middle: 1, small: 0, passes: 1 } },
  { station: 'racebend', camera: 'C3', from: 2, to: 0, family: { species: 'beaver', large: 0, middle: 0, small: 0, passes: 0 } },
  { station: 'mosslodge', camera: 'C2', from: 5, to: 1, family: { species: 'beaver', large: 2, middle: 0, small: 1, passes: 4 } },
];

/** A set of last season: what it gave, by days back. */
// prettier-ignore
const LAST_SEASON: { number: number; station: string; type: 'lodge-run' | 'castor-foothold' | 'channel-snare' | 'float'; species: 'beaver' | 'muskrat'; tag: string; position: string; from: number; to: number; looks: number[]; caught: number[]; numbers: Record<string, number> }[] = [
  { number: 1, station: 'eastrun', type: 'lodge-run', species: 'beaver', tag: 'K-07', position: 'outer', from: 385, to: 364, looks: [384, 382, 380, 377, 374, 370, 366], caught: [382, 377, 370], numbers: { topUnder: 12, depth: 30 } },
  { number: 2, station: 'westrun', type: 'lodge-run', species: 'beaver', tag: 'K-08', position: 'outer', from: 385, to: 364, looks: [384, 382, 380, 377, 374, 370, 366], caught: [374], numbers: { topUnder: 12, depth: 30 } },
  { number: 3, station: 'mound', type: 'castor-foothold', species: 'beaver', tag: 'K-32', position: 'trap', from: 384, to: 364, looks: [382, 380, 377, 374, 370], caught: [], numbers: { panUnder: 3, depth: 9 } },
  { number: 4, station: 'flume', type: 'channel-snare', species: 'beaver', tag: 'K-51', position: 'snare', from: 383, to: 364, looks: [382, 380, 377, 374, 370], caught: [380, 374], numbers: { loop: 9, share: 0.6, depth: 18 } },
  { number: 5, station: 'patrol', type: 'lodge-run', species: 'beaver', tag: 'K-10', position: 'outer', from: 380, to: 364, looks: [377, 374, 370, 366], caught: [377], numbers: { topUnder: 4, depth: 21 } },
  { number: 6, station: 'uprun', type: 'lodge-run', species: 'beaver', tag: 'K-12', position: 'outer', from: 378, to: 364, looks: [377, 374, 370, 366], caught: [], numbers: { topUnder: 10, depth: 40 } },
  { number: 7, station: 'feedbed', type: 'float', species: 'muskrat', tag: 'K-61', position: 'left', from: 384, to: 368, looks: [382, 380, 377, 374, 370], caught: [382, 380, 377, 370], numbers: { panOver: 0.5, depth: 40, lineRise: 20 } },
  { number: 8, station: 'postfloat', type: 'float', species: 'muskrat', tag: 'K-63', position: 'left', from: 384, to: 368, looks: [382, 380, 377, 374, 370], caught: [380, 374], numbers: { panOver: 0.5, depth: 24, lineRise: 12 } },
];

export function addLastSeason(
  { at, idOf, make, add }: DemoContext,
  stations: Map<string, { id: string }>,
  answers: (type: string, tag: string) => string[],
  line: Omit<Body<'line'>, 'id' | 'season'>,
): void {
  const begun = at(390, '08:00');
  add('line', { ...line, id: idOf('line 2'), season: '2' }, begun);
  const wren = idOf('wren');
  for (const plan of LAST_SEASON) {
    const station = stations.get(plan.station);
    if (!station) continue;
    const [placed, pulled] = [at(plan.from, '10:00'), at(plan.to, '14:00')];
    const numbers = Object.fromEntries(Object.entries(plan.numbers).map(([key, n]) => [key, key === 'share' ? n : inches(n)]));
    const set: Body<'set'> = {
      id: idOf(`last season ${plan.number}`),
      line: idOf('line 2'),
      number: plan.number,
      name: plan.station,
      type: plan.type,
      species: plan.species,
      station: station.id,
      state: 'live',
      opens: null,
      settings: [{ id: make(placed), at: placed.toISOString(), numbers, choices: {} }],
      reserved: {},
      stays: [{ id: make(placed), position: plan.position, device: idOf(plan.tag), from: placed.toISOString(), to: null }],
      armed: { at: placed.toISOString(), answers: answers(plan.type, plan.tag) },
      anchor: 'as every year',
      by: wren,
      took: null,
      leftBecause: '',
      overruled: {},
      situation: null,
      attested: [],
      exemption: '',
      judged: null,
      hole: '',
      photoLeft: null,
      photoFound: null,
      note: '',
    };
    const entry = add('set', set, placed);
    for (const day of plan.looks) {
      const when = at(day, '11:20');
      const caught = plan.caught.includes(day);
      add(
        'check',
        {
          id: make(when),
          set: set.id,
          at: when.toISOString(),
          by: wren,
          change: caught ? 'remade' : 'as it was',
          changeNote: '',
          asked: null,
          took: null,
          photo: null,
          note: '',
          devices: [
            {
              id: make(when),
              stay: set.stays[0]?.id ?? '',
              outcome: caught ? 'catch' : 'untouched',
              cause: 'not asked',
              flags: [],
              ...{ searched: '', felt: 'not said' as const, baitBy: 'not said' as const },
              catch: caught
                ? {
                    id: make(when),
                    species: plan.species,
                    sex: 'unknown',
                    age: 'adult',
                    weight: null,
                    estimated: true,
                    strikes: [],
                    alive: false,
                    pelt: 'not looked',
                    eatenBy: 'not said',
                    lay: 'not said',
                    bites: 'not looked',
                    fate: 'kept',
                    tag: '',
                  }
                : null,
            },
          ],
        },
        when,
      );
    }
    add('set', { ...set, state: 'pulled', stays: set.stays.map((s) => ({ ...s, to: pulled.toISOString() })) }, pulled, wren, entry);
  }
}

/** Own depths, earlier trapping, cameras, guided readings and what is intended. */
export function addScouting(context: DemoContext): void {
  const { at, idOf, make, add, now } = context;
  for (const [station, daysBack, depth] of OWN_DEPTHS) {
    const when = at(daysBack, '13:10');
    add(
      'stationLevel',
      { id: make(when), station: idOf(`station ${station}`), at: when.toISOString(), depth: inches(depth), note: '' },
      when,
    );
  }
  const told = at(20, '17:00');
  for (const { water, station, ...rest } of EARLIER)
    add(
      'earlier',
      {
        id: make(told),
        water: idOf(water),
        station: station ? idOf(`station ${station}`) : null,
        devices: [],
        survivors: 'not known',
        ...rest,
      },
      told,
    );
  const warned = at(2, '18:00');
  add(
    'told',
    {
      ...{ id: make(warned), gauge: idOf('spill-pond'), at: warned.toISOString(), until: at(1, '10:00').toISOString() },
      ...{ rise: inches(5), doubt: inches(2), who: 'the radio', note: '' },
    },
    warned,
  );
  const crest = at(5, '13:20');
  add(
    'reading',
    {
      id: make(crest),
      gauge: idOf('spill-pond'),
      at: crest.toISOString(),
      level: inches(24),
      bound: 'crest',
      source: 'debris',
      since: at(7, '08:00').toISOString(),
      doubt: inches(3),
      clarity: 'muddy',
      set: null,
      note: 'grass hung in the alders at the bridge',
    },
    crest,
  );
  const cut = at(1, '16:50');
  add(
    'opening',
    {
      id: make(cut),
      water: idOf('header'),
      shape: 'rectangle',
      states: [{ id: make(cut), at: cut.toISOString(), width: inches(9), sill: inches(27) }],
      set: idOf('s30'),
      opened: cut.toISOString(),
      mended: null,
      by: 'us',
      count: 1,
      expect: 'not mended',
      widens: true,
      note: 'north end of the dam, with leave of the growers',
    },
    cut,
  );
  for (const camera of CAMERAS) addCamera(context, camera);
  addColonies(context);
  addSurveys(context);
  const planned = at(3, '18:00');
  if (planned <= now) {
    add(
      'intent',
      {
        id: make(planned),
        line: idOf('line'),
        station: idOf('station spillroot'),
        doing: 'planned',
        type: 'Undercut bank, 160',
        opens: null,
        because: '',
      },
      planned,
    );
    add(
      'intent',
      {
        id: make(planned),
        line: idOf('line'),
        station: idOf('station bridgeright'),
        doing: 'left',
        type: '',
        opens: null,
        because: 'Old tracks only; the left wall is set first',
      },
      planned,
    );
  }
}

function addCamera(
  { now, zone, place, at, idOf, make, add }: DemoContext,
  { station, camera, from, to, family }: (typeof CAMERAS)[number],
): void {
  const today = localDate(now, zone);
  const events: CameraRoll['events'] = [];
  for (let day = from; day > to; day -= 1) {
    const date = addDays(today, -day);
    const [evening, morning] = [sunOf(date, zone, place).sunset, sunOf(addDays(date, 1), zone, place).sunrise];
    if (!evening || !morning) continue;
    for (const event of simulateNight(day * 31 + station.length, evening, morning, family))
      events.push({
        at: event.at.toISOString(),
        species: event.species as 'beaver',
        count: event.count,
        size: event.size,
        did: 'not seen',
      });
  }
  const end = at(to, '12:00');
  const [watchedFrom, watchedTo] = [at(from, '15:00'), wholeMinute(end < now ? end : now)];
  add(
    'camera',
    {
      id: make(watchedTo),
      ...{ station: idOf(`station ${station}`), set: null },
      camera,
      from: watchedFrom.toISOString(),
      to: watchedTo.toISOString(),
      source: 'simulated',
      events,
      note: '',
    },
    watchedTo,
  );
}

function addSurveys({ at, idOf, make, add }: DemoContext): void {
  const crossing = at(13, '14:10');
  const gap = (place: 'middle' | 'left end' | 'right end', yes: string, width: number) => ({
    place,
    worn: yes.includes('o'),
    wet: yes.includes('w'),
    dark: yes.includes('d'),
    bare: yes.includes('b'),
    channel: yes.includes('c'),
    poles: false,
    unused: false,
    width: inches(width),
  });
  add(
    'survey',
    {
      id: make(crossing),
      water: idOf('header'),
      station: idOf('station dam'),
      at: crossing.toISOString(),
      found: { kind: 'crossing', gaps: [gap('middle', 'owdbc', 22), gap('left end', 'w', 14), gap('right end', 'd', 30)], main: 0 },
      note: '',
    },
    crossing,
  );
  const lodge = at(2, '09:30');
  const hole = (felt: 'sticks' | 'edge of the sticks' | 'clear', away: number, bearing: number) => ({
    felt,
    distance: feet(away),
    bearing,
    ice: inches(2.5),
  });
  add(
    'survey',
    {
      id: make(lodge),
      water: idOf('moss'),
      station: idOf('station mosslodge'),
      at: lodge.toISOString(),
      found: {
        kind: 'lodge',
        seen: ['frostedVent', 'greenPile', 'weeds'],
        ledge: 150,
        pile: 165,
        radius: inches(57),
        holes: [hole('sticks', 6, 140), hole('edge of the sticks', 9, 140), hole('clear', 13, 205)],
      },
      note: 'Two inches of new ice at the edge, none in the middle',
    },
    lodge,
  );
  const brook = at(14, '10:20');
  add(
    'survey',
    {
      id: make(brook),
      water: idOf('spill'),
      station: null,
      at: brook.toISOString(),
      found: {
        kind: 'brook',
        marks: [
          { along: feet(60), mark: 'bend', depth: inches(11), roof: null, pool: false, outside: false },
          { along: feet(130), mark: 'undercut', depth: inches(7), roof: inches(7), pool: false, outside: true },
          { along: feet(270), mark: 'root wad', depth: inches(5), roof: inches(8), pool: true, outside: true },
          { along: feet(400), mark: 'log across', depth: null, roof: null, pool: false, outside: false },
          { along: feet(520), mark: 'bridge or culvert', depth: inches(6), roof: inches(40), pool: true, outside: false },
        ],
      },
      note: '',
    },
    brook,
  );
}
