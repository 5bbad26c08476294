import { knownAt, type Moment, type Surfaces } from '#core/water/levelAt';
import type { Known } from '#core/water/levels';
import { elevationOf, shownBy } from '#core/water/gauge';
import { SLIDE_FIRST } from '#core/check/advice';
import { foundAt, rearmed } from '#core/check/rearmed';
import { seenAsLevel } from '#core/check/seenAsLevel';
import { notArmedSentence, unanswered } from '#core/sets/arming';
import { setTypeOf } from '#core/sets/catalogue';
import { restated } from '#core/sets/restate';
import type { SetView } from '#core/sets/standing';
import { settingAt } from '#core/sets/standing';
import type { FilledPosition } from '#core/sets/setType';
import type { Catch, Check, CheckedDevice, Device, Draft, TrapSet } from '#core/record/kinds';
import { wholeMinute } from '#core/time/localTime';
import { smallUnit } from '#core/units/length';
import { withSetting } from '#core/sets/standing';
import { askIfFar } from '#lib/form/askIfFar';
import { openedOn, type Reader } from '#lib/form/reader';
import { idBeside } from '#lib/form/newId';
import { bodyOf, type Written } from '#core/record/written';
import type { NewEntry } from '#core/record/entry';
import type { DeviceWhere, StockHad } from '#core/gear/where';
import type { Season } from '#lib/season/season';
import type { Who } from '#lib/season/who';
import { breakAt } from './page';
import { usedUp } from './usedUp';

export interface CheckPlace {
  season: Season;
  set: Written<TrapSet>;
  view: SetView;
  now: Date;
  who: Who;
  /** what of the shed a check may use up */
  supplies: readonly StockHad[];
  surfacesAt: (moments: readonly Moment[]) => Surfaces | Promise<Surfaces>;
}

/** Reads the form of a check into entries: the visit, what it read of the level, and what it changed at the set. Null when a field was refused. */
export async function readCheck(read: Reader, place: CheckPlace): Promise<NewEntry[] | null> {
  const { season, set, view, now, who } = place;
  const form = read.text('entry');
  const at = read.text('at') === '' ? wholeMinute(now) : read.instant('at', season.line.zone);
  const change = (read.text('change') || 'as it was') as Check['change'];
  const devices = view.devices.flatMap((d) => deviceOf(read, d.stay, set, form));
  if (devices.length === 0) read.refuse('devices', 'Say what was found at one trap at least; a glance at one is no check of the other.');
  for (const { stay, flags } of devices) {
    const snare = view.devices.find((d) => d.stay === stay)?.class === 'snare';
    if (snare && flags.some(isUnfit) && (change === 'remade' || change === 'moved'))
      read.refuse('change', 'A damaged or twisted snare is not set again. Save it as it was, then hang another at the bench.');
  }
  if (at && at > now) read.refuse('at', 'A check cannot lie in the future.');
  const readings = at ? readingsOf(read, place, at, form) : [];
  const remade =
    at && (change === 'remade' || change === 'moved') ? await remadeSet(read, place, { at, form, readings, devices, change }) : null;
  const ice = at ? iceOf(read, place, at, form) : [];
  const plugged = at ? pluggedAt(read, place, at, form) : [];
  const used = at ? usedUp(read, { set: set.id, at, form, supplies: place.supplies }) : [];
  if (!at || !read.ok()) return null;
  const common = { crew: who.crew, occurredAt: at, by: read.text('by') || who.person.id };
  const visit: Check = {
    id: read.text('id'),
    set: set.id,
    at: at.toISOString(),
    by: common.by,
    change,
    changeNote: read.text('changeNote'),
    asked: askedOf(read),
    took: read.number('took') ?? null,
    photo: read.text('photo') || null,
    devices,
    note: read.text('note'),
  };
  const pulled =
    change === 'pulled'
      ? { ...bodyOf(set), state: 'pulled' as const, stays: set.stays.map((s) => (s.to === null ? { ...s, to: at.toISOString() } : s)) }
      : null;
  const after = pulled ?? remade;
  return [
    { ...common, id: form, kind: 'check', body: visit },
    ...readings.map((body): NewEntry => ({ ...common, id: idBeside(body.id, 'entry'), kind: 'reading', body })),
    ...ice,
    ...plugged,
    ...used,
    ...(after ? [{ ...common, id: idBeside(form, 'set'), kind: 'set' as const, ...openedOn(read, set), body: after }] : []),
    ...damaged(place, devices, change).map((device): NewEntry => {
      const id = idBeside(form, `damaged ${device.id}`);
      return { ...common, id, kind: 'device', opened: device.entry, body: bodyOf(device) };
    }),
  ];
}

/** The field of the form that a path of a check was typed in. */
export const fieldOfCheck =
  (visit: Pick<Check, 'devices'>) =>
  (path: string): string => {
    const own = /^devices\.(\d+)\.(?:catch\.)?(\w+)$/.exec(path);
    const stay = own && visit.devices[Number(own[1])]?.stay;
    return own && stay ? `${stay}.${own[2]}` : path;
  };

function deviceOf(read: Reader, stay: string, set: TrapSet, form: string): CheckedDevice[] {
  const field = (name: string): string => `${stay}.${name}`;
  const outcome = read.text(field('outcome'));
  if (outcome === '') return [];
  const onSlide = set.settings.at(-1)?.choices.hold === 'slide';
  if (outcome === 'missing' && onSlide && !read.has(field('deepDrawn'))) read.refuse(field('deepDrawn'), SLIDE_FIRST);
  const weight = outcome === 'catch' ? read.weight(field('weight')) : undefined;
  const text = (name: string, otherwise: string): string => read.text(field(name)) || otherwise;
  if (outcome === 'catch' && read.text(field('alive')) === '') read.refuse(field('alive'), 'Say whether it lived when you came.');
  const caught: Catch | null =
    outcome === 'catch'
      ? {
          id: idBeside(form, `catch ${stay}`),
          species: text('species', set.species) as Catch['species'],
          sex: text('sex', 'unknown') as Catch['sex'],
          age: text('age', 'unknown') as Catch['age'],
          weight: weight ?? null,
          estimated: read.has(field('estimated')),
          strikes: read.many(field('strikes')) as Catch['strikes'],
          alive: read.text(field('alive')) === 'yes',
          bites: text('bites', 'not looked') as Catch['bites'],
          fate: text('fate', 'not said') as Catch['fate'],
          pelt: text('pelt', 'not looked') as Catch['pelt'],
          eatenBy: text('eatenBy', 'not said') as Catch['eatenBy'],
          lay: text('lay', 'not said') as Catch['lay'],
          tag: text('tag', '').slice(0, 40),
        }
      : null;
  return [
    {
      id: idBeside(form, `device ${stay}`),
      stay,
      outcome: outcome as CheckedDevice['outcome'],
      cause: text('cause', 'not asked') as CheckedDevice['cause'],
      flags: read.many(field('flags')) as CheckedDevice['flags'],
      searched: read.text(field('searched')),
      felt: text('felt', 'not said') as CheckedDevice['felt'],
      baitBy: text('baitBy', 'not said') as CheckedDevice['baitBy'],
      catch: caught,
    },
  ];
}

function askedOf(read: Reader): Check['asked'] {
  if (!read.has('seenOnCamera')) return null;
  return { seenOnCamera: read.text('seenOnCamera') as 'yes', inUse: read.text('inUse') as 'yes', usedBefore: read.text('usedBefore') };
}

function readingsOf(read: Reader, { season, set, view, who }: CheckPlace, at: Date, form: string): Draft<'reading'>[] {
  const found: Draft<'reading'>[] = [];
  const gaugeOf = (surface: 'pond' | 'tail') => season.gauges.find((g) => g.water === view.station.water && g.surface === surface);
  type Seen = Pick<Draft<'reading'>, 'level' | 'bound' | 'source' | 'note'> & { surface: 'pond' | 'tail' };
  const add = (name: string, { surface, level, bound, source, note }: Seen): void => {
    const gauge = gaugeOf(surface);
    if (!gauge) return read.refuse(name, 'This water has no gauge on that surface.');
    if (source === 'gauge') askIfFar(read, name, gauge, at, season);
    found.push({
      id: idBeside(form, name),
      gauge: gauge.id,
      at: at.toISOString(),
      level,
      bound,
      source,
      set: source === 'set' ? set.id : null,
      note,
    });
  };
  const level = read.length('level');
  const { surface } = view.station;
  if (level !== undefined) add('level', { surface, level, bound: 'exact', source: 'gauge', note: 'read at a check' });
  if (read.text('seen') !== '') {
    const device = view.devices[0]?.position ?? '';
    const known = season.levels[view.station.water]?.known ?? {};
    const seen = seenAsLevel(read.text('seen'), { layout: view.layout, device, known }, smallUnit(who.person.system), who.words);
    if (seen.ok)
      add('seen', {
        surface: seen.surface,
        level: shownBy(gaugeOf(seen.surface), seen.level, at.getTime()),
        bound: seen.bound,
        source: 'set',
        note: `seen at set ${set.number}: ${read.text('seen')}`,
      });
    else read.refuse('seen', seen.sentence);
  }
  return found;
}

/** Ice that was measured at the hole of the set: one reading for every set of its water. */
function iceOf(read: Reader, { view, set, who }: CheckPlace, at: Date, form: string): NewEntry[] {
  const thickness = read.length('ice');
  if (thickness === undefined) return [];
  const { id: station, water } = view.station;
  const note = `measured at set ${set.number}${set.hole ? `, hole ${set.hole}` : ''}`;
  const body: Draft<'ice'> = {
    ...{ id: idBeside(form, 'ice'), water, station, at: at.toISOString(), seen: 'measured', thickness, white: false, snow: 0 },
    ...{ by: who.person.id, note },
  };
  return [{ crew: who.crew, occurredAt: at, by: who.person.id, id: idBeside(body.id, 'entry'), kind: 'ice', body }];
}

/** The break of the set, found plugged: they are at home, and it runs out no more. */
function pluggedAt(read: Reader, { season, set, view, who }: CheckPlace, at: Date, form: string): NewEntry[] {
  const open = breakAt(season, set, view);
  if (!open || read.text('breakNow') !== 'plugged') return [];
  const when = read.text('mended') === '' ? at : read.instant('mended', season.line.zone);
  if (when && (when > at || when < new Date(open.opened)))
    read.refuse('mended', 'It was plugged after it was opened, and before this look: look at the day and the hour.');
  if (!when) return [];
  const entry = { crew: who.crew, occurredAt: at, by: who.person.id, id: idBeside(form, `plugged ${open.id}`) };
  return [{ ...entry, kind: 'opening', opened: open.entry, body: { ...bodyOf(open), mended: when.toISOString() } }];
}

interface Remake {
  at: Date;
  form: string;
  readings: readonly Draft<'reading'>[];
  devices: readonly CheckedDevice[];
  change: Check['change'];
}

/** The set as a remake leaves it: put lower or higher, and armed again where a hand was laid on it. */
async function remadeSet(
  read: Reader,
  { season, set, view, surfacesAt }: CheckPlace,
  { at, form, readings, devices: found, change }: Remake,
): Promise<TrapSet | null> {
  const type = setTypeOf(set.type);
  const held = settingAt(set, at);
  const lower = read.length('lower') ?? 0;
  const touched = rearmed(foundAt(view.devices, found), change, Math.abs(lower) > 1e-9);
  const armed = view.devices.filter((d) => touched.includes(d.stay));
  const devices = Object.fromEntries(armed.map((d): [string, FilledPosition] => [d.position, d]));
  const open = unanswered(type, devices, held.choices, read.many('arm'));
  if (open.length > 0) read.refuse('arm', notArmedSentence(open));
  const stands = (set.armed?.answers ?? []).filter((id) => !armed.some((d) => id.startsWith(`${d.position}:`)));
  const known = await knownThen({ season, surfacesAt }, view.station.water, at, readings);
  const setting =
    Math.abs(lower) < 1e-9
      ? null
      : {
          id: idBeside(form, 'setting'),
          choices: held.choices,
          ...(held.lures ? { lures: held.lures } : {}),
          at: at.toISOString(),
          numbers: restated(type, held, { then: view.then, layout: view.layout, surface: view.station.surface, known, lower }),
        };
  if (!read.ok()) return null;
  return {
    ...bodyOf(set),
    settings: setting ? withSetting(set.settings, setting) : set.settings,
    armed: { at: at.toISOString(), answers: [...new Set([...stands, ...read.many('arm')])] },
  };
}

/** The levels at a moment: by the readings beside it, and by what this form reads at that very moment. */
async function knownThen(
  { season, surfacesAt }: Pick<CheckPlace, 'season' | 'surfacesAt'>,
  water: string,
  at: Date,
  readings: readonly Draft<'reading'>[],
): Promise<Known> {
  const moments = (['pond', 'tail'] as const).map((surface) => ({ water, surface, at }));
  const known: Known = knownAt(await surfacesAt(moments), water, at);
  const sheet = season.levels[water]?.known.sheet;
  if (sheet !== undefined) known.sheet = sheet;
  for (const { gauge: id, level, bound } of readings) {
    const gauge = season.gauges.find((g) => g.id === id);
    if (gauge && bound === 'exact') known[gauge.surface] = elevationOf(gauge, level, at.getTime());
  }
  return known;
}

/** A cable that is twisted or damaged does not go live again. */
const isUnfit = (flag: CheckedDevice['flags'][number]): boolean => flag === 'damaged' || flag === 'cable twisted';

/** Devices that were found damaged: out of use, or worn when the set was made again with them; one that was stolen is lost. */
function damaged({ season, set }: CheckPlace, devices: readonly CheckedDevice[], change: Check['change']): (Device & { entry: string })[] {
  return devices.flatMap(({ stay, flags, outcome }) => {
    const id = set.stays.find((s) => s.id === stay)?.device;
    const device = season.shed.find((d) => d.id === id);
    const isStolen = outcome === 'stolen';
    if (!device || !(isStolen || flags.some(isUnfit))) return [];
    const { set: _, ...body }: DeviceWhere = device;
    const left = change === 'remade' || change === 'moved' ? ('worn' as const) : ('broken' as const);
    return [{ ...body, condition: isStolen ? ('lost' as const) : left }];
  });
}
