import { armAndWaders } from '#core/units/bodyGauge';
import { parseNumber } from '#core/sets/numberText';
import { notArmedSentence, unanswered } from '#core/sets/arming';
import { CLASS_WORDS } from '#core/devices/sizes';
import { againstLive } from '#core/sets/fit';
import { layOut, placeOf, settingAt, withSetting } from '#core/sets/standing';
import { CRITIQUE } from '#core/words/critique';
import { tell } from '#core/words/finding';
import { numberFaults } from '#core/sets/ranges';
import { keptAs } from '#core/sets/fills';
import { numberSpec, type FilledPosition, type NumberSpec, type SetType } from '#core/sets/setType';
import type { MeasureId } from '#core/stations/measures';
import type { Device, Draft, Setting, Stay, TrapSet } from '#core/record/kinds';
import type { Station } from '#core/stations/placed';
import { sameLures } from '#core/lure/lure';
import { luresFrom } from '#core/lure/typed';
import { wholeMinute } from '#core/time/localTime';
import { askIfFar } from '#lib/form/askIfFar';
import type { Place } from '#lib/bench/place';
import type { Reader } from '#lib/form/reader';
import { ruledIn } from '#lib/bench/ruledIn';
import { idBeside } from '#lib/form/newId';
import type { Written } from '#core/record/written';
import { index } from '#lib/season/season';

export interface BenchWrite {
  set: TrapSet;
  /** the set as the record held it; undefined when it is new */
  before: Written<TrapSet> | undefined;
  /** readings taken at placing */
  readings: Draft<'reading'>[];
  /** the break that was opened for it */
  opening: Draft<'opening'> | null;
  at: Date;
  /** numbers of it that are kept at its place from now on */
  kept: { what: MeasureId; value: number }[];
  /** why it went live although something speaks against it; empty where nothing does */
  reason: string;
}

/** The numbers of a set as its type asks for them; an empty field is left out and the type's default stands. */
export function readNumbers(read: Reader, type: SetType): { numbers: Record<string, number>; choices: Record<string, string> } {
  const numbers: Record<string, number> = {};
  for (const [key, spec] of Object.entries(type.numbers)) {
    const value = readNumber(read, `n.${key}`, spec);
    if (value !== undefined) numbers[key] = value;
  }
  for (const [key, sentence] of numberFaults(type, numbers, read.who.person.system)) read.refuse(`n.${key}`, sentence);
  const choices: Record<string, string> = {};
  for (const [key, spec] of Object.entries(type.choices)) {
    const value = read.text(`c.${key}`);
    choices[key] = Object.hasOwn(spec.options, value) ? value : spec.default;
  }
  return { numbers, choices };
}

function readNumber(read: Reader, name: string, spec: NumberSpec): number | undefined {
  if (read.text(name) === '') return undefined;
  const number = parseNumber(spec, read.text(name), read.who.person.system, read.who.words);
  if (number.ok) return number.value;
  read.refuse(name, number.sentence);
  return undefined;
}

/** The devices chosen for each position, and the sentence for one that does not fit. */
export function readDevices(read: Reader, type: SetType, shed: Record<string, Device>): Record<string, Device> {
  const chosen: Record<string, Device> = {};
  for (const { id, label } of type.positions) {
    const chosenId = read.text(`d.${id}`);
    const device = Object.hasOwn(shed, chosenId) ? shed[chosenId] : undefined;
    if (!device) continue;
    if (!type.devices.includes(device.class)) {
      read.refuse(
        `d.${id}`,
        `${label}: a ${type.name.toLowerCase()} takes a ${type.devices.map((c) => CLASS_WORDS[c]).join(' or ')}; ${device.tag} is a ${CLASS_WORDS[device.class]}.`,
      );
    }
    if (Object.values(chosen).some((other) => other.id === device.id)) read.refuse(`d.${id}`, `${device.tag} is chosen twice.`);
    chosen[id] = device;
  }
  return chosen;
}

/**
 * Reads the bench's form into what the record takes. Faults stand in `read.errors`; null when there are any.
 * A change of numbers, choices or traps at a live set is a remake: it begins a new setting and asks the arming check again.
 */
export async function readBench(read: Reader, place: Place): Promise<BenchWrite | null> {
  const { season, station, type, before, now, by } = place;
  const entry = read.text('entry');
  const at = read.text('at') === '' ? wholeMinute(now) : read.instant('at', season.line.zone);
  const number = read.number('number');
  const { numbers: typed, choices } = readNumbers(read, type);
  const kept = keptHere(read, type, station, typed);
  // what is kept at the place is no longer the set's own: it follows the place
  const numbers = Object.fromEntries(Object.entries(typed).filter(([key]) => !kept.some((k) => k.key === key)));
  const said = luresFrom(read.text);
  for (const [field, sentence] of Object.entries(said.faults)) read.refuse(field, sentence);
  const devices = readDevices(read, type, index<Device>(season.shed));
  const state = read.text('state') as TrapSet['state'];
  const readings = at ? await readingsAt(read, place, at, state === 'live') : null;
  if (number === undefined) read.refuse('number', 'A set has a number.');
  if (at && at > now) read.refuse('at', 'A set cannot be placed in the future: prepare it, with the date on which it opens.');
  if (state === 'live') refuseUnarmed(read, place, { type, devices, choices, numbers: typed });
  const opening = at && state === 'live' && before?.state !== 'live' ? openingOf(read, place, at) : null;
  if (!at || !readings || number === undefined || !read.ok()) return null;

  const held = before ? settingAt(before, at) : undefined;
  // a form that does not speak of it leaves what draws as it is
  const lures = read.has('lure') ? said.lures : held?.lures;
  const sameBuilt = held && sameSetting(held, numbers, choices) && before?.state === state;
  const same = sameBuilt && sameLures(held.lures, lures);
  const setting: Setting = same
    ? held
    : { id: idBeside(entry, 'setting'), at: at.toISOString(), numbers, choices, ...(lures ? { lures } : {}) };
  const remade = state === 'live' && (!sameBuilt || changedDevices(before, devices));
  const made = { numbers: typed, choices, devices, ...(lures ? { lures } : {}) };
  const reason = remade ? await despite(read, place, at, made) : '';
  const ruled = ruledIn(read, place, at, { ...made, isSet: remade });
  if (!read.ok()) return null;
  return {
    at,
    before,
    reason,
    readings,
    opening,
    kept,
    set: {
      id: before?.id ?? read.text('id'),
      line: season.line.id,
      number,
      name: read.text('name'),
      type: type.id as TrapSet['type'],
      species: (read.text('species') || type.species[0]) as TrapSet['species'],
      station: station.id,
      state,
      opens: state === 'prepared' ? read.text('opens') || null : null,
      settings: same ? before.settings : withSetting(before?.settings ?? [], setting),
      stays: state === 'live' ? staysOf(before, devices, at, entry) : (before?.stays ?? []),
      reserved:
        state === 'planned' || state === 'prepared'
          ? Object.fromEntries(Object.entries(devices).map(([position, d]) => [position, d.id]))
          : {},
      armed: remade ? { at: at.toISOString(), answers: read.many('arm') } : (before?.armed ?? null),
      anchor: read.text('anchor'),
      hole: read.text('hole'),
      photoLeft: before?.photoLeft ?? null,
      photoFound: before?.photoFound ?? null,
      by: before?.by ?? by,
      took: read.has('took') ? (read.number('took') ?? null) : (before?.took ?? null),
      leftBecause: read.text('leftBecause'),
      overruled: overruledIn(read),
      ...ruled,
      note: read.text('note'),
    },
  };
}

/** What somebody knows better than the critique, by the rule. */
const overruledIn = (read: Reader): Record<string, string> =>
  Object.fromEntries(
    Object.keys(CRITIQUE).flatMap((id) => {
      const reason = read.text(`k.${id}`).slice(0, 300);
      return reason === '' ? [] : [[id, reason]];
    }),
  );

/** The typed numbers whose box says that they belong to the place. */
function keptHere(read: Reader, type: SetType, station: Station, numbers: Readonly<Record<string, number>>) {
  return read.many('keep').flatMap((key) => {
    const spec = numberSpec(type, key);
    const what = spec && keptAs(spec, station.kind);
    const value = numbers[key];
    return what && value !== undefined ? [{ key, what, value }] : [];
  });
}

/** What fails at the heights and choices of a set that goes live: what cannot be built is refused at its field, what is doubtful wants a reason. */
async function despite(
  read: Reader,
  { season, station, type, system, surfacesAt }: Place,
  at: Date,
  made: { numbers: Record<string, number>; choices: Record<string, string>; devices: Record<string, Device> },
): Promise<string> {
  const { water, surface } = station;
  const surfaces = await surfacesAt([{ water, surface, at }]);
  const level = read.length('level');
  const known = surfaces.at(water, surface, at);
  const here = level === undefined ? (known.how === 'unknown' ? 0 : known.level) : surfaces.elevation(water, surface, at, level);
  const laid = {
    ...made,
    then: { [surface]: here },
    place: placeOf(station, season.follows[station.id] ?? null),
    hands: armAndWaders(read.who.person.measures),
  };
  const { impossible, doubtful } = againstLive(layOut(type, laid, system), laid.then, system);
  for (const finding of impossible) {
    const field = finding.field && finding.field in type.choices ? `c.${finding.field}` : `n.${finding.field ?? ''}`;
    read.refuse(finding.field ? field : 'state', `${tell(finding, system).sentence} It cannot go live so; keep it planned, or change it.`);
  }
  const reason = read.text('despite').slice(0, 300);
  if (doubtful.length > 0 && reason === '')
    read.refuse(
      'despite',
      `This does not work by its own figures: ${doubtful.join(', ')}. Say why it goes live all the same, or change it.`,
    );
  return doubtful.length > 0 && reason ? `live although it fails by ${doubtful.join(', ')}: ${reason}` : '';
}

interface Armed {
  type: SetType;
  devices: Record<string, Device>;
  choices: Record<string, string>;
  numbers: Record<string, number>;
}

function refuseUnarmed(read: Reader, { before, now }: Place, { type, devices, choices, numbers }: Armed): void {
  for (const position of type.positions) {
    if (!position.optional && !devices[position.id])
      read.refuse(`d.${position.id}`, `A live set needs its ${position.label.toLowerCase()}: choose a tag.`);
  }
  const held = before?.state === 'live' ? settingAt(before, now) : undefined;
  if (held && sameSetting(held, numbers, choices) && !changedDevices(before, devices)) return;
  const open = unanswered(type, devices as Record<string, FilledPosition>, choices, read.many('arm'));
  if (open.length > 0) read.refuse('arm', notArmedSentence(open));
  if (read.text('anchor') === '') read.refuse('anchor', 'Anchored to what, and where? It is how the trap is found again.');
}

function sameSetting(held: Setting, numbers: Record<string, number>, choices: Record<string, string>): boolean {
  const keys = new Set([...Object.keys(held.numbers), ...Object.keys(numbers)]);
  // a printed length reads back within half a mark of the tape
  const near = (key: string): boolean => Math.abs((held.numbers[key] ?? NaN) - (numbers[key] ?? NaN)) < 0.0033;
  return (
    [...keys].every(near) && Object.entries(choices).every(([key, value]) => held.choices[key] === undefined || held.choices[key] === value)
  );
}

function changedDevices(before: TrapSet | undefined, devices: Record<string, Device>): boolean {
  const standing = (before?.stays ?? []).filter((stay) => stay.to === null);
  return standing.length !== Object.keys(devices).length || standing.some((stay) => devices[stay.position]?.id !== stay.device);
}

function staysOf(before: TrapSet | undefined, devices: Record<string, Device>, at: Date, entry: string): Stay[] {
  const old = (before?.stays ?? []).map((stay) =>
    stay.to === null && devices[stay.position]?.id !== stay.device ? { ...stay, to: at.toISOString() } : stay,
  );
  const standing = old.filter((stay) => stay.to === null);
  const fresh = Object.entries(devices).flatMap(([position, device]) =>
    standing.some((stay) => stay.position === position)
      ? []
      : [{ id: idBeside(entry, `stay ${position}`), position, device: device.id, from: at.toISOString(), to: null }],
  );
  return [...old, ...fresh];
}

/** The break that was opened as the set went live, where its type opens one and nobody said no. */
function openingOf(read: Reader, { type, station, before }: Place, at: Date): Draft<'opening'> | null {
  const { acts } = type;
  if (!acts || read.text('breakOpened') !== 'yes') return null;
  const [width, sill] = [read.length('breakWide'), read.length('breakBottom')];
  if (width === undefined) read.refuse('breakWide', 'Type how wide the break is at the water, or say that none was opened.');
  if (sill === undefined) read.refuse('breakBottom', 'Type the level of its lowest point on the gauge, or say that none was opened.');
  if (width === undefined || sill === undefined) return null;
  const id = idBeside(read.text('entry'), 'break');
  return {
    id,
    water: station.water,
    shape: acts.shape,
    opened: at.toISOString(),
    states: [{ id: idBeside(id, 'state'), at: at.toISOString(), width, sill }],
    by: 'us',
    set: before?.id ?? read.text('id'),
    count: acts.breaks,
  };
}

/** What was typed of the level at placing, as a reading. A live set needs a level to be measured from: none is ever made up for it. */
async function readingsAt(read: Reader, { season, station, surfacesAt }: Place, at: Date, needed: boolean): Promise<Draft<'reading'>[]> {
  const { water, surface } = station;
  const gauge = season.gauges.find((g) => g.water === water && g.surface === surface);
  const level = read.length('level');
  if (level === undefined) {
    const known = (await surfacesAt([{ water, surface, at }])).at(water, surface, at);
    if (gauge && needed && known.how === 'unknown' && !read.errors.level)
      read.refuse(
        'level',
        'No level was read here by then. Type what the gauge shows; without a gauge drive a stake, call the water on it 0, and type 0.',
      );
    return [];
  }
  if (!gauge) {
    read.refuse('level', 'This water has no gauge on that surface.');
    return [];
  }
  askIfFar(read, 'level', gauge, at, season);
  const id = idBeside(read.text('entry'), `reading ${surface}`);
  return [{ id, gauge: gauge.id, at: at.toISOString(), level, bound: 'exact', source: 'gauge', set: null, note: 'read at placing' }];
}
