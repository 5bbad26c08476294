import type { Species } from '../animals/species';
import type { DeviceClass } from '../devices/sizes';
import { suggestionsFor, type Suggestion } from '../planning/suggest';
import { drawnRate } from '../planning/plan';
import { setTypeOf } from '../sets/catalogue';
import type { Offered } from '../sets/offer';
import { many } from '../units/many';

/** What was tried at a place: a type, how often it was looked at, and what it caught. */
export interface Tried {
  type: string;
  looks: number;
  caught: number;
}

export interface DesignAsked {
  species: Species;
  offered: Offered;
  month: number;
  /** free traps, by class and size */
  owned: readonly { class: DeviceClass; size: string }[];
  tried: readonly Tried[];
}

/** A design that an old hand would choose, with what speaks for it and against it. */
export interface Choice {
  type: string;
  name: string;
  why: string;
  /** what it gave at the place; empty where it gave nothing */
  gave: string;
  against: string[];
  /** a free trap that it can be built with; null where there is none */
  device: { class: DeviceClass; size: string } | null;
  /** why it stands after the one before it; empty for the first */
  after: string;
}

/** Looks without a catch after which a type is no first choice at its place. [practice] */
const ENOUGH_LOOKS = 4;
const FIRST = 3;

/** The designs to choose from at a place, in the order of an old hand: what is tried first there, can be built now and has not failed there. */
export function choicesFor({ species, offered, month, owned, tried }: DesignAsked): Choice[] {
  const ranked = suggestionsFor(species, offered, month)
    .map((suggestion, n) => ({ suggestion, n, ...held(suggestion, owned, tried) }))
    .sort((a, b) => a.penalty - b.penalty || a.n - b.n);
  return ranked.map(({ suggestion, device, failed, gave, against }, n) => ({
    type: suggestion.built,
    name: suggestion.type,
    why: suggestion.why,
    gave,
    against,
    device,
    after: n === 0 ? '' : afterWhy(suggestion, { device, failed }, ranked[n - 1]?.suggestion),
  }));
}

/** The first three, and why not the fourth. */
export function firstThree(asked: DesignAsked): { first: Choice[]; next: Choice | null } {
  const all = choicesFor(asked);
  return { first: all.slice(0, FIRST), next: all[FIRST] ?? null };
}

function held({ built, first }: Suggestion, owned: DesignAsked['owned'], tried: readonly Tried[]) {
  const type = setTypeOf(built);
  const device =
    owned.find((d) => d.class === type.usual.class && d.size === type.usual.size) ??
    owned.find((d) => type.devices.includes(d.class)) ??
    null;
  const own = tried.filter((t) => t.type === built);
  const looks = own.reduce((sum, t) => sum + t.looks, 0);
  const caught = own.reduce((sum, t) => sum + t.caught, 0);
  const failed = caught === 0 && looks >= ENOUGH_LOOKS;
  const against = [
    ...(device ? [] : ['no free trap of its kind in the shed']),
    ...(device && device.size !== type.usual.size && device.class === type.usual.class
      ? [`no ${type.usual.size} is free: with a ${device.size}`]
      : []),
    ...(looks > 0 && caught === 0 ? [`it stood here for ${many(looks, 'look')} without a catch`] : []),
    ...type.faults.slice(0, 1),
  ];
  const gave = caught > 0 ? `it caught ${caught} here in ${many(looks, 'look')}` : '';
  return { device, failed, gave, against, penalty: (device ? 0 : 2) + (failed ? 1 : 0) + (first ? 0 : 0.5) };
}

function afterWhy({ first }: Suggestion, { device, failed }: { device: unknown; failed: boolean }, before: Suggestion | undefined): string {
  const named = before?.type.toLowerCase() ?? 'the one before';
  if (!device) return `after ${named}: nothing in the shed builds it`;
  if (failed) return `after ${named}: it stood here and caught nothing`;
  if (!first) return `after ${named}: it fits here, and is not what is tried first`;
  return `after ${named}, which is tried before it at such places`;
}

/** What a design or a whole plan costs, and what it is likely to give. */
export interface Cost {
  name: string;
  /** of placing it, walking included */
  minutes: number;
  /** of looking at it once */
  look: number;
  traps: number;
  /** pieces to carry or cut, and cable, m */
  pieces: number;
  cable: number;
  /** animals a night, drawn towards the crew's mean where nights are few */
  perNight: number;
  /** what that rests on */
  rests: string;
}

export interface CostAsked {
  name: string;
  sets: number;
  traps: number;
  underIce: boolean;
  minutes: Readonly<Record<'place' | 'ice' | 'look', number>>;
  pieces: number;
  cable: number;
  caught: number;
  nights: number;
  mean: number;
}

export function costOf({ name, sets, traps, underIce, minutes, pieces, cable, caught, nights, mean }: CostAsked): Cost {
  const perNight = drawnRate(caught, nights, mean) * sets;
  return {
    name,
    minutes: (underIce ? minutes.ice : minutes.place) * sets,
    look: minutes.look * sets,
    traps,
    pieces,
    cable,
    perNight,
    rests:
      nights < 1
        ? 'the mean of all sets: none of these yet'
        : `${caught} in ${many(Math.round(nights), 'night')} of such sets, and the mean of all`,
  };
}
