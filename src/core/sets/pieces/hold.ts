import { BUILDS, type Build, type BuildKey } from '../../animals/species';
import { canHold, type Stranger } from '../../others/holds';
import { isBottom, pullOf, stakeHolds } from '../../hold/bag';
import { animalReach, type Held } from '../../hold/reach';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Part, PartKind } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import type { Hold, Piece } from '../design';
import { measured, numberOf, practised, type ChoiceSpec, type FilledPosition, type Laying, type NumberSpec } from '../setType';
import { onBank } from './block';

/** What holds the catch: tie, stake, tree. */

export const tieNumber = (usual: number, help = 'anchor to the trap'): NumberSpec => practised('Anchor cable', help, usual, [6, 240]);

export const BOTTOM: ChoiceSpec = {
  label: 'Ground for the stake',
  ofPlace: true,
  options: { unknown: 'not tried', soft: 'soft', firm: 'firm', hard: 'hard' },
  default: 'unknown',
};

export const DRIVEN: NumberSpec = {
  ...measured('Stake driven in', 'tied low, out of reach of teeth', [4, 60]),
  when: { choice: 'anchorAs', is: 'stake' },
};

/** What a tie can go to. */
export type Anchor = 'stake' | 'tree' | 'root' | 'log';

const ON_A_STAKE = { choice: 'anchorAs', is: 'stake' } as const;

/** Where the wrap lies on a wooden stake: above the ground teeth come to it. [practice] */
const WRAP: ChoiceSpec = {
  label: 'Wrap on the stake',
  options: { low: 'low, under ground or water', high: 'above the ground', steel: 'a steel stake' },
  default: 'low',
  seldom: true,
  when: ON_A_STAKE,
};

/** A second tie, for ground or wood that nobody trusts: it is asked for before the set is live. */
const SECOND_TIE: ChoiceSpec = { label: 'Ties', options: { one: 'one', two: 'two, to two anchors' }, default: 'one', seldom: true };

/** How far the second anchor stands beside the first: what pulls one out leaves the other's ground whole. [practice] */
const BESIDE = inches(16);

export const ANCHOR_CABLE = 'anchor cable';

/** Where a second anchor stands, m; null where one is all. */
export const secondAnchor = ({ choices }: Pick<Laying, 'choices'>, [x, y, z]: Spot): Spot | null =>
  choices.second === 'two' ? [x, y < 0 ? y - BESIDE : y + BESIDE, z] : null;

type Spot = [x: number, y: number, z: number];

/** What it is tied to, and ground and wrap where that is a stake. @param usual by practice @param onStand the trap stands on a stand to which it could be tied */
export const anchored = (usual: Anchor, onStand = false): Record<'anchorAs' | 'bottom' | 'wrap' | 'second', ChoiceSpec> => ({
  anchorAs: {
    label: 'Tied to',
    ofPlace: true,
    options: {
      ...{ stake: 'a stake', tree: 'a live tree', root: 'a live root', log: 'a buried log' },
      ...(onStand ? { stand: 'its stand alone' } : {}),
    },
    default: usual,
  },
  bottom: { ...BOTTOM, when: ON_A_STAKE },
  wrap: WRAP,
  second: SECOND_TIE,
});

/** What somebody ties it to, or by practice. */
const anchorOf = ({ choices: { anchorAs: to } }: Pick<Laying, 'choices'>): Anchor =>
  to === 'tree' || to === 'root' || to === 'log' ? to : 'stake';

export interface TieTo {
  numbers: { tie: NumberSpec } | { tail: NumberSpec };
  device?: string;
  /** the part it is tied to */
  part: string;
  from: Spot;
  /** where the anchor stands, m */
  at: Spot;
  build: BuildKey;
  held?: Held;
  kind?: Hold['kind'];
  /** what the cable is, as it is written on the list */
  cable?: string;
}

/** A line, as a part: its ends in x and z. */
export function linePart(
  id: string,
  [x1, y1, z1]: [number, number, number],
  [x2, y2, z2]: [number, number, number],
  stock: string,
  tiedTo: string,
): Part {
  return onBank(
    'line',
    id,
    [(x1 + x2) / 2, (y1 + y2) / 2, Math.min(z1, z2)],
    [Math.max(Math.abs(z2 - z1), 0.005), Math.max(Math.abs(x2 - x1), 0.005), Math.max(Math.abs(y2 - y1), 0.005)],
    { tiedTo, stock, look: { leans: (x2 - x1) * (z2 - z1) >= 0 ? 1 : -1, leansAcross: (y2 - y1) * (z2 - z1) >= 0 ? 1 : -1 } },
  );
}

const ANCHORS: Record<Anchor, { kind: PartKind; height: number; wide: number; under: number }> = {
  stake: { kind: 'stake', height: inches(24), wide: inches(1.2), under: inches(20) },
  tree: { kind: 'tree', height: inches(24), wide: inches(6), under: inches(2) },
  root: { kind: 'root', height: inches(5), wide: inches(12), under: inches(2) },
  log: { kind: 'trunk', height: inches(7), wide: inches(16), under: inches(4) },
};

/** What it is tied to, as a part. @param at where the tie leaves it, m */
export function anchorPart(laying: Laying, id: string, [x, y, z]: Spot): Part {
  const to = anchorOf(laying);
  const { kind, height, wide, under } = ANCHORS[to];
  const { driven = under } = to === 'stake' ? laying.numbers : {};
  const tall = driven + height - under;
  return onBank(kind, id, [x, y, z - driven], [tall, wide, wide], {
    ...(to === 'stake' ? { stock: `stake ${printLength(tall, laying.system)}` } : {}),
  });
}

/** Whether what it is tied to holds the largest animal that can be caught. */
export function anchorFinding(laying: Laying, largest: BuildKey): Finding {
  const to = anchorOf(laying);
  return to === 'stake' ? stakeFinding(laying, largest) : heldBy(to, BUILDS[largest]);
}

/** A cable from the device to its anchor, with what that anchor holds against the largest animal that can be caught. */
export function tie(laying: Laying, own: TieTo): Piece {
  const { numbers, device = 'trap', part, from, at, build, held = 'body', kind = 'tie', cable = ANCHOR_CABLE } = own;
  if (laying.choices.anchorAs === 'stand') return { findings: [found('standTie', 'fails', 'practice', {}, { field: 'anchorAs' })] };
  const tail = 'tail' in numbers;
  const length = tail ? numberOf(laying, { numbers }, 'tail') : numberOf(laying, { numbers }, 'tie');
  const id = device === 'trap' || device === 'snare' ? 'anchor' : `${device}-anchor`;
  const holding = anchorFinding(laying, largestIn(laying.devices[device], build));
  const name = `${cable} ${printLength(length, laying.system)}`;
  const second = secondAnchor(laying, at);
  const secondName = `${ANCHOR_CABLE} ${printLength(length, laying.system)}`;
  return {
    parts: [
      ...[anchorPart(laying, id, at), linePart(`${id}-tie`, from, at, name, part)],
      ...(second ? [anchorPart(laying, `${id}-second`, second), linePart(`${id}-second-tie`, from, second, secondName, part)] : []),
    ],
    supplies: [
      ...(tail ? [] : [{ kind: 'cable', what: cable, amount: length } as const]),
      ...(second ? [{ kind: 'cable', what: ANCHOR_CABLE, amount: length } as const] : []),
    ],
    holds: [{ kind, device, anchor: at, tether: length, held, build }],
    findings: [
      reachFinding(own, {
        field: tail ? 'tail' : 'tie',
        tie: length,
        straight: Math.hypot(from[0] - at[0], from[1] - at[1], from[2] - at[2]),
      }),
      device === 'trap' || device === 'snare' ? holding : { ...holding, id: `${device}-${holding.id}` },
    ],
  };
}

function reachFinding(
  { build, held = 'body', device = 'trap' }: TieTo,
  { field, tie: length, straight }: { field: string; tie: number; straight: number },
): Finding {
  const short = straight > length + 0.02;
  const reach = length + animalReach(BUILDS[build], held);
  const id = device === 'trap' || device === 'snare' ? 'reach' : `${device}-reach`;
  const values = { reach, tie: length, straight, short, called: BUILDS[build].called, held };
  return found('reach', short ? 'fails' : 'holds', 'practice', values, { id, field });
}

/** What no figure is known for: wood that lives, and how thick it is. */
function heldBy(to: Exclude<Anchor, 'stake'>, { weight }: Build): Finding {
  return found('woodHolds', 'unknown', 'practice', { to, footed: pullOf(weight.high, 'footed') }, { field: 'anchorAs' });
}

/** The largest animal that a device can hold, whatever it is meant for: anchors are calculated for it. [practice] */
export function largestIn(device: FilledPosition | undefined, meant: BuildKey): BuildKey {
  const can = device ? LARGEST.find(([who]) => canHold(device, who))?.[1] : 'beaverAdult';
  return can && BUILDS[can].weight.high > BUILDS[meant].weight.high ? can : meant;
}

/** Who pulls at an anchor, the strongest first. */
const LARGEST = [
  ['beaver', 'beaverAdult'],
  ['otter', 'otter'],
  ['raccoon', 'raccoon'],
  ['mink', 'mink'],
] as const satisfies readonly (readonly [Stranger, BuildKey])[];

/** Whether a stake holds the largest animal that can be caught there; told only once its depth and its ground are known. @param field the number that says how deep it is driven */
export function stakeFinding(laying: Laying, build: BuildKey, field: 'driven' | 'pushIn' = 'driven'): Finding {
  const driven = laying.numbers[field];
  const { bottom = 'unknown' } = laying.choices;
  const { weight, called } = BUILDS[build];
  const { high } = weight;
  const pulls = { called, weight: high, swimming: pullOf(high, 'swimming'), footed: pullOf(high, 'footed') };
  if (driven === undefined || !isBottom(bottom)) {
    const lacks = { depth: driven === undefined, ground: !isBottom(bottom) };
    return found('stakeUnknown', 'unknown', 'practice', { ...lacks, ...pulls }, { field: lacks.depth ? field : 'bottom' });
  }
  const holds = stakeHolds(driven, bottom);
  const verdict = holds >= pulls.footed ? 'holds' : holds >= pulls.swimming ? 'warns' : 'fails';
  const values = { driven, ground: bottom, holds, ...pulls, deeper: (driven * pulls.footed) / holds };
  return found('stake', verdict, 'practice', values, { field });
}
