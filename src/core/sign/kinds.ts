/** What a sign tells: that the place is used, or that it is not. */
export interface SignKind {
  id: string;
  label: string;
  tells: 'use' | 'contrary';
  /** days after which it counts for half. [practice], no published source */
  halfLife: number;
  /** how much one of it counts when fresh, 0 to 1. [practice] */
  weight: number;
}

const use = (id: string, label: string, halfLife: number, weight = 0.5): SignKind => ({ id, label, tells: 'use', halfLife, weight });
const contrary = (id: string, label: string, halfLife: number): SignKind => ({ id, label, tells: 'contrary', halfLife, weight: 0.5 });

/** A catch tells that its place is used; it comes from the checks and is never noted by hand. */
export const CAUGHT = 'catch';

/** @source common practice, from memory; the user may set other half-lives */
export const SIGN_KINDS: readonly SignKind[] = [
  use('tracksMud', 'tracks in mud', 2),
  use('tracksSnow', 'tracks in snow', 1),
  use('wetSlide', 'wet slide', 2),
  use('cuttings', 'fresh cuttings', 5),
  use('peeledSticks', 'peeled sticks, wet', 3),
  use('mound', 'scent mound', 4),
  use('droppings', 'droppings', 3),
  use('latrine', 'otter latrine', 10),
  use('mendedLeak', 'fresh dam repair', 2),
  use('frostedVent', 'frosted vent', 3),
  use('greenPile', 'green sticks in the pile', 20),
  use('wornGap', 'worn or wet crossing', 3),
  use('camera', 'camera event', 1, 0.9),
  use('seen', 'animal seen', 1, 0.9),
  use(CAUGHT, 'catch', 7, 0.9),
  contrary('weeds', 'weeds on the lodge', 20),
  contrary('drySticks', 'dry sticks only', 30),
  contrary('unmended', 'leak not plugged for two nights', 3),
  contrary('polesAcross', 'poles across the gap, not in use', 10),
  contrary('plugged', 'plugged with mud or sticks', 10),
];

/** The kinds that a person notes. */
export const NOTED_KINDS = SIGN_KINDS.filter((k) => k.id !== CAUGHT);

export const SIGN_IDS = NOTED_KINDS.map((k) => k.id) as [string, ...string[]];

/** How old a sign already was when it was found, days. [practice] */
export const FRESHNESS = { hours: 0.25, days: 2, weeks: 10, old: 45 } as const;
export type Freshness = keyof typeof FRESHNESS;
export const FRESHNESSES = ['hours', 'days', 'weeks', 'old'] as const;

/** The kind of that id. @throws RangeError when there is none */
export function signKind(id: string): SignKind {
  const kind = SIGN_KINDS.find((k) => k.id === id);
  if (!kind) throw new RangeError(`no sign is called “${id}”`);
  return kind;
}
