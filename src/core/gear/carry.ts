import type { Design, Supply } from '../sets/design';
import type { Part, PartKind } from '../water/part';

/** Where a thing is got, in the order of the list: from the shed, cut at the water, measured out of a roll, or carried as a tool. */
const KINDS = [
  'device',
  'stand',
  'stake',
  'stick',
  'made',
  'cable',
  'wire',
  'rope',
  'lock',
  'swivel',
  'fill',
  'bait',
  'lure',
  'tool',
] as const;
export type GearKind = (typeof KINDS)[number];

export interface Carried {
  kind: GearKind;
  what: string;
  count: number;
  /** m of cable, wire or rope, kg of fill */
  amount?: number;
  /** the jar or bundle of the shed that it is taken from */
  jar?: string;
}

const KIND: Partial<Record<PartKind, GearKind>> = {
  jaws: 'device',
  pan: 'device',
  loop: 'device',
  tube: 'device',
  stand: 'stand',
  bar: 'made',
  stake: 'stake',
  slideStop: 'made',
  raft: 'made',
  platform: 'made',
  box: 'made',
  bag: 'made',
  bait: 'bait',
};
const kindOf = (part: Part): GearKind => KIND[part.kind] ?? 'stick';

/** Kinds whose parts are only drawn: what they take comes by length, from the supplies. */
const BY_LENGTH: readonly PartKind[] = ['line'];

/** Supplies that are counted; the others are measured out. */
const COUNTED: readonly GearKind[] = ['lure', 'bait', 'lock', 'swivel'];

/** What a supply is worth as a row of the list. */
const row = ({ kind, what, amount, jar }: Supply): Carried => ({
  ...(COUNTED.includes(kind) ? { kind, what, count: amount } : { kind, what, count: 1, amount }),
  ...(jar ? { jar } : {}),
});

/** What sets a spring; a loop has none. */
const SETTERS = ['setter', 'foothold setters'];
const SPRUNG: readonly PartKind[] = ['jaws', 'pan', 'tube'];

/**
 * What a set takes from the shed and the wood: devices first, then what carries them, each kind once with its count; cable and wire by length.
 * A post that also drives the anchor stands for the driver, which is then not carried.
 *
 * @param tools carried beside it
 */
export function cutAndCarry(design: Pick<Design, 'parts'> & Partial<Pick<Design, 'supplies'>>, tools: readonly string[] = []): Carried[] {
  const counted = design.parts.flatMap((part): Carried[] => {
    if (!part.stock) return [];
    const supplied = BY_LENGTH.includes(part.kind) && (design.supplies?.length ?? 0) > 0;
    return supplied || (part.kind === 'bait' && design.supplies?.some((s) => s.what === part.stock))
      ? []
      : [{ kind: kindOf(part), what: part.stock, count: 1 }];
  });
  const served = design.parts.flatMap((part) => (part.serves ? [part.serves] : []));
  const sprung = design.parts.some((part) => SPRUNG.includes(part.kind));
  const carried = tools
    .filter((tool) => !served.some((work) => work.includes(tool)) && (sprung || !SETTERS.includes(tool)))
    .map((what): Carried => ({ kind: 'tool', what, count: 1 }));
  return summed([[...counted, ...(design.supplies ?? []).map(row), ...carried]]);
}

/** Several lists in one: counts and lengths add up, a tool is carried once for all. */
export function summed(lists: Carried[][]): Carried[] {
  const found = new Map<string, Carried>();
  for (const item of lists.flat()) {
    const key = `${item.kind} ${item.what} ${item.jar ?? ''}`;
    const before = found.get(key);
    if (!before) found.set(key, { ...item });
    else if (item.kind !== 'tool') {
      before.count += item.count;
      if (item.amount !== undefined) before.amount = (before.amount ?? 0) + item.amount;
    }
  }
  return [...found.values()].sort((a, b) => KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind));
}

/** How the gear gets to the water. */
export const WAYS = ['truck', 'boat', 'sled', 'on foot'] as const;
export type Way = (typeof WAYS)[number];

/** On foot nobody carries stands: two sticks through the springs are cut instead. */
export const carriedOn = (list: Carried[], way: Way): Carried[] =>
  way !== 'on foot'
    ? list
    : summed([
        list.map((item) =>
          item.kind === 'stand' ? { kind: 'stick', what: 'cut stick through a spring, instead of a stand', count: item.count * 2 } : item,
        ),
      ]);

export interface Shed {
  /** free devices by how they are called on the list */
  devices: Record<string, number>;
  /** stock by name, in its own unit: pieces, m, kg or portions */
  stock: Record<string, number>;
  /** the same by its id, for what is taken from one jar */
  jars?: Record<string, { name: string; have: number }>;
}

export interface Needed extends Carried {
  /** what the shed has; null for what is cut at the water or is not kept as stock */
  have: number | null;
  /** pieces, m or portions that are missing */
  short: number;
}

/** What a supply was called before: a shed keeps it under the name it was typed with. */
const ONCE: Readonly<Record<string, string>> = { 'anchor cable': 'tie cable', 'anchor wire': 'tie wire' };

const inStock = ({ stock }: Shed, what: string): number | undefined => stock[what] ?? stock[ONCE[what] ?? ''];

/** The list against the shed: what is there, what is missing. Sticks are cut at the water and never missing. */
export const againstShed = (list: Carried[], shed: Shed): Needed[] =>
  list.map((item) => {
    if (item.kind === 'stick') return { ...item, have: null, short: 0 };
    const jar = item.jar === undefined ? undefined : shed.jars?.[item.jar];
    if (jar) return { ...item, what: `${item.what}, from “${jar.name}”`, have: jar.have, short: Math.max(0, item.count - jar.have) };
    const have = item.kind === 'device' ? (shed.devices[item.what] ?? 0) : (inStock(shed, item.what.toLowerCase()) ?? null);
    const wanted = item.amount ?? item.count;
    return { ...item, have, short: have === null ? 0 : Math.max(0, wanted - have) };
  });
