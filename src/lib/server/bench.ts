import { notArmedSentence, unanswered } from '#core/sets/arming';
import { CLASS_WORDS } from '#core/devices/sizes';
import { settingAt } from '#core/sets/standing';
import { numberFaults } from '#core/sets/ranges';
import type { FilledPosition, SetType } from '#core/sets/setType';
import type { Device, Draft, Setting, Station, Stay, TrapSet } from '#core/record/kinds';
import { wholeMinute } from '#core/time/localTime';
import { levelNow } from '#core/water/series';
import type { Reader } from './form';
import { idBeside } from './newId';
import { index, type Season } from './season';

export interface BenchWrite {
  set: TrapSet;
  /** readings taken at placing, or the zero of a water that was never read */
  readings: Draft<'reading'>[];
  at: Date;
}

interface Place {
  season: Season;
  station: Station;
  type: SetType;
  /** the set as the record holds it; undefined when it is new */
  before: TrapSet | undefined;
  now: Date;
  by: string;
}

/** The numbers of a set as its type asks for them; an empty field is left out and the type's default stands. */
export function readNumbers(read: Reader, type: SetType): { numbers: Record<string, number>; choices: Record<string, string> } {
  const numbers: Record<string, number> = {};
  for (const [key, spec] of Object.entries(type.numbers)) {
    const value = spec.unit === 'length' ? read.length(`n.${key}`) : readShare(read, `n.${key}`);
    if (value !== undefined) numbers[key] = value;
  }
  for (const [key, sentence] of numberFaults(type, numbers)) read.refuse(`n.${key}`, sentence);
  const choices: Record<string, string> = {};
  for (const [key, spec] of Object.entries(type.choices)) {
    const value = read.text(`c.${key}`);
    choices[key] = value in spec.options ? value : spec.default;
  }
  return { numbers, choices };
}

function readShare(read: Reader, name: string): number | undefined {
  const text = read.text(name);
  const fraction = /^(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (fraction && Number(fraction[2]) > 0) return Number(fraction[1]) / Number(fraction[2]);
  const value = text.endsWith('%') ? Number(text.slice(0, -1)) / 100 : Number(text.replace(',', '.'));
  if (text === '') return undefined;
  if (!Number.isFinite(value)) read.refuse(name, `“${text.slice(0, 40)}” is not a share. Write it like 2/3, 0.6 or 60 %.`);
  return Number.isFinite(value) ? value : undefined;
}

/** The devices chosen for each position, and the sentence for one that does not fit. */
export function readDevices(read: Reader, type: SetType, shed: Record<string, Device>): Record<string, Device> {
  const chosen: Record<string, Device> = {};
  for (const { id, label } of type.positions) {
    const device = shed[read.text(`d.${id}`)];
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
export function readBench(read: Reader, place: Place): BenchWrite | null {
  const { season, station, type, before, now, by } = place;
  const entry = read.text('entry');
  const at = read.text('at') === '' ? wholeMinute(now) : read.instant('at', season.line.zone);
  const number = read.number('number');
  const { numbers, choices } = readNumbers(read, type);
  const devices = readDevices(read, type, index<Device>(season.shed));
  const state = read.text('state') as TrapSet['state'];
  const readings = at ? levelsAt(read, place, at) : null;
  if (number === undefined) read.refuse('number', 'A set has a number.');
  if (at && at > now) read.refuse('at', 'A set cannot be placed in the future: prepare it, with the date on which it opens.');
  if (state === 'live') refuseUnarmed(read, type, devices, choices, place, numbers);
  if (!at || !readings || number === undefined || !read.ok()) return null;

  const held = before ? settingAt(before, now) : undefined;
  const same = held && sameSetting(held, numbers, choices) && before?.state === state;
  const setting: Setting = same
    ? held
    : { id: idBeside(entry, 'setting'), at: at.toISOString(), numbers, choices, pond: readings.pond, tail: readings.tail };
  const remade = state === 'live' && (!same || changedDevices(before, devices));
  return {
    at,
    readings: readings.entries,
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
      settings: same ? before.settings : [...(before?.settings ?? []).filter((s) => s.at < setting.at), setting],
      stays: state === 'live' ? staysOf(before, devices, at, entry) : (before?.stays ?? []),
      armed: remade ? { at: at.toISOString(), answers: read.many('arm') } : (before?.armed ?? null),
      anchor: read.text('anchor'),
      hole: read.text('hole'),
      photoLeft: before?.photoLeft ?? null,
      photoFound: before?.photoFound ?? null,
      by: before?.by ?? by,
      leftBecause: read.text('leftBecause'),
      note: read.text('note'),
    },
  };
}

function refuseUnarmed(
  read: Reader,
  type: SetType,
  devices: Record<string, Device>,
  choices: Record<string, string>,
  { before, now }: Place,
  numbers: Record<string, number>,
): void {
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

/** The levels that stood when the set was made: typed, or as last read. A water that was never read takes this placing as its zero. */
function levelsAt(
  read: Reader,
  { season, station }: Place,
  at: Date,
): { pond: number | null; tail: number | null; entries: Draft<'reading'>[] } {
  const entries: Draft<'reading'>[] = [];
  const of = (surface: 'pond' | 'tail'): number | null => {
    const gauge = season.gauges.find((g) => g.water === station.water && g.surface === surface);
    if (!gauge) return null;
    const typed = surface === station.surface ? read.length('level') : undefined;
    const known = levelNow(season.readings[gauge.id] ?? [], at)?.level;
    const level = typed === undefined ? known : typed + gauge.zero;
    if (level === undefined && surface !== station.surface) return null;
    if (typed !== undefined || level === undefined) {
      const note = level === undefined ? 'never read before: the level at this placing is taken as zero' : 'read at placing';
      entries.push({
        id: idBeside(read.text('entry'), `reading ${surface}`),
        gauge: gauge.id,
        at: at.toISOString(),
        level: level ?? 0,
        bound: 'exact',
        source: level === undefined ? 'set' : 'gauge',
        set: null,
        note,
      });
    }
    return level ?? 0;
  };
  return { pond: of('pond'), tail: of('tail'), entries };
}
