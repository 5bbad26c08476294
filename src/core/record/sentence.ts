import { sizeText } from '../devices/sizes';
import { many } from '../units/many';
import type { System } from '../units/factors';
import { printLength, printLevel } from '../units/length';
import { printWeight } from '../units/weight';
import { riseText } from '../water/toldRise';
import { setTypeOf } from '../sets/catalogue';
import { signKind } from '../sign/kinds';
import { CAUSE_WORDS, sureText } from '../words/interview';
import { causeText } from './checks';
import type { Body, Catch, CheckedDevice, Kind } from './kinds';

/** Names of the things that entries point to, by id. */
export type Names = Readonly<Record<string, string>>;

type Say = { [K in Kind]: (body: Body<K>, names: Names, system: System) => string };

const SAY: Say = {
  crew: ({ name }) => `Crew ${name}`,
  person: ({ name }) => `${name} works on this line`,
  site: ({ name }) => `Site ${name}`,
  water: ({ name, kind }) => `Water ${name}, ${kind}`,
  gauge: ({ name, surface, water }, names) =>
    `${name === 'gauge' ? 'Gauge' : `Gauge ${name}`}${surface === 'tail' ? ' below the dam' : ''} of ${names[water] ?? 'a water'}`,
  station: ({ number, name, kind, water }, names) => `Location ${number} ${name}, ${kind} at ${names[water] ?? 'a water'}`,
  reading: ({ gauge, level, bound, source, note, clarity, doubt }, names, system) =>
    `${names[gauge] ?? 'Gauge'}: ${bound === 'atMost' ? 'at most ' : ''}${printLevel(level, system)}${source === 'simulated' ? ' (simulated)' : source === 'set' ? ' (a set as gauge)' : bound === 'crest' ? ` (a high-water mark${doubt ? `, give or take ${printLength(doubt, system)}` : ''})` : ''}${clarity === undefined || clarity === 'not looked' ? '' : `, ${clarity}`}${note ? `, ${note}` : ''}`,
  line: ({ name, season }) => `Line ${name}, season ${season}`,
  device: ({ tag, class: kind, size, condition }) => `Tag ${tag}, ${sizeText(kind, size)}, ${condition}`,
  set: ({ number, name, type, state, opens }) => {
    const called = setTypeOf(type).name.toLowerCase();
    return `Set ${number} ${name}${called === name.toLowerCase() ? '' : `, ${called}`}: ${state}${opens ? ` for ${opens}` : ''}`;
  },
  check: ({ set, devices, change, changeNote, note, photo }, names, system) =>
    `${names[set] ?? 'Set'}: ${outcomesText(devices.map((d) => outcomeText(d, system)))}${change === 'as it was' ? '' : `, ${change}`}${changeNote ? ` (${changeNote})` : ''}${note ? `, ${note}` : ''}${photo ? ', with a photo' : ''}`,
  sign: ({ station, kind, species, freshness, count, note, photo }, names) =>
    `${names[station] ?? 'Location'}: ${count ? `${count} × ` : ''}${signKind(kind).label}, ${species}, ${freshness === 'old' ? 'old' : `${freshness} old`}${note ? `, ${note}` : ''}${photo ? ', with a photo' : ''}`,
  stationLevel: ({ station, depth }, names, system) => `${names[station] ?? 'Location'}: ${printLength(depth, system)} deep`,
  ground: ({ name, kind }) => `${kind} ${name}`,
  earlier: ({ water, who, season, used, species, caught }, names) =>
    `${names[water] ?? 'Water'}: ${who}, ${season}, ${used}${caught === null ? '' : `, ${caught} ${species}`}`,
  survey: ({ water, station, found }, names) => `${names[station ?? ''] ?? names[water] ?? 'Water'}: ${surveyText(found)}`,
  camera: ({ station, camera, events, source }, names) =>
    `${camera} at ${names[station] ?? 'a location'}: ${events.length} ${events.length === 1 ? 'event' : 'events'}${source === 'simulated' ? ' (simulated)' : ''}`,
  opening: ({ water, shape, states, by, mended, count }, names, system) => {
    const { width = 0, sill = 0 } = states.at(-1) ?? {};
    return `${names[water] ?? 'Water'}: ${count > 1 ? `${count} breaks alike, ` : ''}${shape === 'V' ? 'V-shaped break' : 'break'} ${printLength(width, system)} wide, bottom at ${printLevel(sill, system)}, opened by ${by}${states.length > 1 ? `, seen changed ${many(states.length - 1, 'time')}` : ''}${mended ? ', plugged since' : ''}`;
  },
  weather: ({ station, hours, source }) =>
    `${station}: ${many(hours.length, 'hour')} of weather${source === 'simulated' ? ' (simulated)' : ''}`,
  ice: ({ water, station, seen, thickness, white, note }, names, system) =>
    `${names[station ?? ''] ?? names[water] ?? 'Water'}: ${seen === 'measured' ? `${printLength(thickness, system)} of ${white ? 'white ' : ''}ice` : seen}${note ? `, ${note}` : ''}`,
  logged: ({ gauge, name, rows }, names) => `${names[gauge] ?? 'Gauge'}: ${many(rows, 'row')} of a logger, ${name}`,
  forecast: ({ gauge, points }, names, system) =>
    `${names[gauge] ?? 'Gauge'}: expected at ${printLevel(points.at(-1)?.middle ?? 0, system)}, between ${printLevel(points.at(-1)?.low ?? 0, system)} and ${printLevel(points.at(-1)?.high ?? 0, system)}`,
  told: ({ gauge, rise, doubt, who }, names, system) => `${names[gauge] ?? 'Gauge'}: ${riseText({ rise, doubt }, system)}, told by ${who}`,
  stock: ({ name, kind }) => `${name}, ${kind}`,
  stockMove: ({ stock, why, amount, count }, names) =>
    `${names[stock] ?? 'Stock'}: ${why}, ${count ?? `${amount > 0 ? '+' : '−'}${Math.round(Math.abs(amount) * 100) / 100}`}`,
  rulebook: ({ version, book }) => `Rulebook ${book.jurisdiction}${book.edition ? `, ${book.edition}` : ''}, version ${version}`,
  duty: ({ rule, note }) => `Told of a catch (${rule})${note ? `: ${note}` : ''}`,
  interview: ({ set, cause, share, note }, names) =>
    `${set ? `${names[set] ?? 'Set'}: ` : ''}${CAUSE_WORDS[cause].is} ${sureText(share)}${note ? `, ${note}` : ''}`,
  reply: ({ set, from, text }, names) => `${names[set] ?? 'Set'}: ${from} answered: ${text.length > 160 ? `${text.slice(0, 160)}…` : text}`,
  share: ({ day, parts, note }, names) =>
    `${day}: ${parts.map(({ person, stops }) => `${names[person] ?? 'somebody'} ${many(stops.length, 'set')}`).join(', ')}${note ? `, ${note}` : ''}`,
  colony: ({ name, waters, species, done }, names) =>
    `${name}, ${species} of ${waters.map((w) => names[w] ?? 'a water').join(', ')}${done ? ', called done' : ''}`,
  leftWord: ({ who, where, back }) => `${who}: ${where}${back ? ', back' : ''}`,
  kit: ({ name, items }) => `Kit ${name}, ${many(items.length, 'thing')}`,
  intent: ({ station, doing, type, opens, because }, names) =>
    `${names[station] ?? 'Location'}: ${doing === 'left' ? 'left unset' : `${type}, ${doing}`}${opens ? ` for ${opens}` : ''}${because ? `: ${because}` : ''}`,
};

function surveyText(found: Body<'survey'>['found']): string {
  if (found.kind === 'crossing') return `dam crossing read, ${many(found.gaps.length, 'gap')}`;
  if (found.kind === 'lodge') return `winter lodge read, ${many(found.holes.length, 'hole')}`;
  return `creek walked, ${many(found.marks.length, 'mark')}`;
}

/** What was found, alike things counted: `all 4 untouched`. */
export function outcomesText(found: readonly string[]): string {
  const kinds = [...new Set(found)];
  if (kinds.length === 1 && found.length > 1) return `${found.length === 2 ? 'both' : `all ${found.length}`} ${kinds[0] ?? ''}`;
  return kinds
    .map((kind) => [found.filter((f) => f === kind).length, kind] as const)
    .map(([n, kind]) => (n === 1 ? kind : `${n} × ${kind}`))
    .join('; ');
}

export function outcomeText({ outcome, cause, flags, catch: caught, searched, felt, baitBy }: CheckedDevice, system: System): string {
  const said = caught
    ? catchText(caught, system)
    : outcome +
      (cause === 'not asked' ? '' : cause === 'do not know' ? ', by what is not known' : ` by ${causeText(cause)}`) +
      (searched ? (outcome === 'not reached' ? `: ${searched}` : `, looked ${searched}`) : '') +
      (felt === 'not said' ? '' : `, ${felt}`) +
      (baitBy === 'not said' ? '' : outcome === 'bait taken' ? ` by ${baitBy}` : `, bait taken by ${baitBy}`);
  return flags.length > 0 ? `${said} (${flags.join(', ')})` : said;
}

const PELT_SAID: Record<Exclude<Catch['pelt'], 'not looked' | 'good'>, string> = {
  rubbed: 'pelt rubbed',
  slipping: 'hair slipping',
  chewed: 'pelt chewed',
  eaten: 'eaten by others',
};

/** `beaver, adult female, 44 lb est., neck`. */
export function catchText(
  { species, sex, age, weight, estimated, strikes, alive, bites, fate, pelt, eatenBy, lay, tag }: Catch,
  system: System,
): string {
  const who = [age === 'unknown' ? '' : age === 'two years' ? 'two-year-old' : age, sex === 'unknown' ? '' : sex].filter(Boolean).join(' ');
  const heavy = weight === null ? '' : `${printWeight(weight, system)}${estimated ? ' est.' : ''}`;
  return [
    species,
    who,
    heavy,
    strikes.join(' and '),
    alive ? 'alive' : '',
    lay === 'not said' ? '' : lay,
    bites === 'fresh' || bites === 'healed' ? `${bites} bite marks` : '',
    pelt === 'not looked' || pelt === 'good' ? '' : pelt === 'eaten' && eatenBy !== 'not said' ? `eaten by ${eatenBy}` : PELT_SAID[pelt],
    fate === 'kept' || fate === 'not said' ? '' : fate,
    tag ? `tag ${tag}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** What an entry says, in one line. */
export function entrySentence<K extends Kind>(kind: K, body: Body<K>, names: Names, system: System): string {
  return SAY[kind](body, names, system);
}
