import { BUILDS, type Build, type BuildKey } from '../../animals/species';
import { animalReach, type Held } from '../../hold/reach';
import { restAt, shortestSlide } from '../../hold/slide';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { heightMark, type Hold, type Piece } from '../design';
import { levelThen, measured, numberOf, practised, type Choices, type ChoiceSpec, type Laying, type Numbers } from '../setType';
import { anchored, anchorFinding, ANCHOR_CABLE, anchorPart, DRIVEN, largestIn, linePart, secondAnchor } from './hold';
import { bagFinding, bagOf, fillOf, liveFinding, tangleFinding, tanglePole } from './otherHolds';
import { MARGIN, profileOf, edgeOf, type SlideOf } from './profile';
import { onBed } from './block';
import { line } from './ground';

/** How a foothold lets go of its catch: slide to deep water, live hold, tangle pole, bag of fill. */

/** The bank stake stands beside the way, m. */
const ASIDE = inches(9);

/** From the bank stake to a second one behind it, with what wraps round both. [practice] */
const TO_SECOND = inches(36);

const TETHER = 'tether cable';

export const SLIDE_NUMBERS = {
  chain: practised('Chain', 'trap to the lock', 14, [4, 118]),
  stopDepth: measured('Depth at the stop', 'water over the deep end of the slide', [0, 236], 1),
  wire: practised('Wire or tether', 'bank stake to the deep end; anchor to the trap of a live restraint', 120, [20, 472]),
  out3: measured('Depth 3 ft out', 'of the water’s edge: two such depths make a profile', [0, 236], 1),
  out6: measured('Depth 6 ft out', 'of the water’s edge', [0, 236], 1),
  out9: measured('Depth 9 ft out', 'of the water’s edge', [0, 236], 1),
  out12: measured('Depth 12 ft out', 'of the water’s edge', [0, 236], 1),
  poleThick: { ...practised('Tangle stake', 'its thickness', 3, [1, 10]), when: { choice: 'hold', is: 'tangle' } },
  bag: {
    label: 'Bag',
    help: 'its fill, weighed dry',
    unit: 'weight',
    min: 1,
    max: 300,
    origin: 'measured',
    when: { choice: 'hold', is: 'bag' },
  },
  driven: DRIVEN,
} satisfies Numbers;

const HOLD: ChoiceSpec = {
  label: 'Hold',
  options: {
    slide: 'slide wire to deep water',
    live: 'live restraint',
    tangle: 'tangle stake in deep water',
    bag: 'bag of fill on a cable',
  },
  default: 'slide',
};

const FILL: ChoiceSpec = {
  label: 'Fill of the bag',
  options: { rock: 'rock', 'mud and stones': 'mud and stones' },
  default: 'rock',
  when: { choice: 'hold', is: 'bag' },
};

const ANCHORED = anchored('stake');

const ON_THE_BANK = { choice: 'hold', is: ['slide', 'live'] } as const;

/** How a foothold is held, what its bank end is tied to, and what a bag is filled with. */
export const HELD = {
  hold: HOLD,
  fill: FILL,
  ...ANCHORED,
  anchorAs: { ...ANCHORED.anchorAs, when: ON_THE_BANK },
  second: { ...ANCHORED.second, when: ON_THE_BANK },
} satisfies Choices;

/** Depth that chain, the way from forefoot to nose and some inches want at the stop, m. */
export const wantedDepth = (chain: number, build: Pick<Build, 'forearmToNose'>): number => chain + build.forearmToNose + MARGIN;

/** The depth at the stop of a slide. */
export const stopNeed = (laying: Laying, wanted: number, device = 'trap'): Need => ({
  id: 'stop',
  device,
  of: { part: 'stop', spot: 'bottom' },
  from: laying.place.surface,
  max: -wanted,
  broken: { max: 'noLongerSubmerging' },
  called: 'deep end of the slide',
  origin: 'practice',
});

interface Deep {
  out: number;
  z: number;
}

/** Where the stop lies: by the profile, otherwise straight to the typed or wanted depth. */
function deepEnd(laying: Laying, wire: number, wanted: number, bank: number): Deep {
  const surface = levelThen(laying);
  const profile = profileOf(laying, bank);
  const rest = profile && restAt(profile, wire, surface, 0);
  if (rest) return { out: rest.out, z: surface - rest.depth };
  const z = surface - (laying.numbers.stopDepth ?? wanted);
  return { out: Math.sqrt(Math.max(wire ** 2 - (surface + inches(6) - z) ** 2, 0.25)), z };
}

/** The deep end of a slide and the wire to it. @param bank x of the bank's end, m */
function slideParts(laying: Laying, { wire, wanted, bank, device }: Pick<Asked, 'wire' | 'wanted' | 'bank' | 'device'>): [Part, Part] {
  const { out, z } = deepEnd(laying, wire, wanted, bank);
  const surface = levelThen(laying);
  return [
    onBed('slideStop', 'stop', [bank - out, 0, z], [inches(3), inches(3), inches(3)], { device, stock: 'one-way lock and stop' }),
    linePart(
      'slideWire',
      [bank - out, 0, z + inches(2)],
      [bank, ASIDE, surface + inches(5)],
      `slide wire ${printLength(wire, laying.system)}`,
      'stop',
    ),
  ];
}

/** The bed's line from the deep end of a hold to the trap; the rest of the ground follows from there. */
export function deepGround(laying: Laying, floor: number, { holds }: Piece): [number, number][] {
  const hold = holds?.[0];
  if (!hold?.deep) return [[-inches(50), floor - inches(8)]];
  const bank = hold.anchor[0];
  const profile = hold.kind === 'slide' ? profileOf(laying, bank) : null;
  if (profile) {
    const outward = profile.slice(2).map(([out, z]): [number, number] => [bank - out, z]);
    return outward.reverse().filter(([x]) => x < -inches(14));
  }
  const [x, z] = hold.deep;
  return line([x - inches(12), z], [Math.min(x + inches(12), -inches(13)), z]);
}

/** What every way to hold is calculated from. */
interface Asked {
  own: SlideOf;
  device: string;
  wire: number;
  /** depth wanted at the deep end, m */
  wanted: number;
  /** x of the bank's end, m */
  bank: number;
  surface: number;
  /** what is told of the hold, whatever it is */
  hold: Pick<Hold, 'device' | 'tether' | 'held' | 'build'>;
}

/** What the chosen hold takes and whether it works; a foothold has one of four. */
export function holdPiece(laying: Laying, own: SlideOf): Piece {
  const { numbers, build, held, bank = inches(20), device = 'trap' } = own;
  const wire = numberOf(laying, { numbers }, 'wire');
  const wanted = wantedDepth(numberOf(laying, { numbers }, 'chain'), { forearmToNose: animalReach(BUILDS[build], held) });
  const asked = { own, device, wire, wanted, bank, surface: levelThen(laying), hold: { device, tether: wire, held, build } };
  return (WAYS[laying.choices.hold ?? 'slide'] ?? bagHold)(laying, asked);
}

const anchorAt = ({ bank, surface }: Asked): [number, number, number] => [bank, ASIDE, surface + inches(6)];

/** Whether the bank's end holds the largest that the device can. */
const bankHolds = (laying: Laying, { device, own: { build } }: Asked): Finding =>
  anchorFinding(laying, largestIn(laying.devices[device], build));

function slideHold(laying: Laying, asked: Asked): Piece {
  const { wire, wanted, bank, device, surface, own } = asked;
  const [stop, wireTo] = slideParts(laying, asked);
  const end = bankEnd(laying, bank, { tiedTo: 'stop' });
  const deep: [number, number] = [stop.x, stop.z.k];
  return {
    parts: [stop, ...end.parts, wireTo],
    needs: laying.numbers.stopDepth !== undefined || profileOf(laying, bank) ? [stopNeed(laying, wanted, device)] : [],
    holds: [{ ...asked.hold, kind: 'slide', anchor: anchorAt(asked), deep }],
    supplies: [{ kind: 'wire', what: 'slide wire', amount: wire }, ...end.supplies],
    findings: [slideFinding(laying, wanted, { build: own.build, held: own.held, bank }), bankHolds(laying, asked)],
    marks: [heightMark('stopDepth', 'Depth at the stop', { view: 'side', across: deep[0], from: surface, to: deep[1] })],
  };
}

function liveHold(laying: Laying, asked: Asked): Piece {
  const { wire, bank, surface, own } = asked;
  const end = bankEnd(laying, bank);
  const anchor = anchorAt(asked);
  return {
    parts: [...end.parts, linePart('tether', [0, 0, surface - inches(3)], anchor, `tether ${printLength(wire, laying.system)}`, 'pan')],
    holds: [{ ...asked.hold, kind: 'live', anchor }],
    supplies: [{ kind: 'cable', what: TETHER, amount: wire }, ...end.supplies],
    findings: [liveFinding(laying, own), bankHolds(laying, asked)],
  };
}

/** Where pole or bag lies, m: along and elevation. */
const deepSpot = ({ numbers }: Laying, { surface, wanted }: Asked): [number, number] => [
  -inches(30),
  surface - (numbers.stopDepth ?? wanted),
];

/** The cable from the trap to what lies in deep water. */
const deepCable = ({ system }: Laying, { wire, surface }: Asked, to: [number, number], tiedTo: string): Part =>
  linePart('tether', [0, 0, surface - inches(3)], [to[0], 0, to[1] + inches(6)], `cable ${printLength(wire, system)}`, tiedTo);

function tangleHold(laying: Laying, asked: Asked): Piece {
  const { wire, surface, own } = asked;
  const deep = deepSpot(laying, asked);
  return {
    parts: [tanglePole(laying, own, deep), deepCable(laying, asked, [deep[0] + inches(12), deep[1]], 'pan')],
    holds: [{ ...asked.hold, kind: 'pole', anchor: [deep[0], 0, deep[1]], deep }],
    supplies: [{ kind: 'cable', what: TETHER, amount: wire }],
    findings: [tangleFinding(laying, own)],
    marks: [heightMark('stopDepth', 'Depth at the pole', { view: 'side', across: deep[0] - inches(6), from: surface, to: deep[1] })],
  };
}

function bagHold(laying: Laying, asked: Asked): Piece {
  const { wire, surface, own } = asked;
  const deep = deepSpot(laying, asked);
  const fill = fillOf(laying.choices);
  const bag: Part = onBed('bag', 'bag', [deep[0], 0, deep[1]], [inches(12), inches(20), inches(16)], { stock: 'bag of fill' });
  return {
    parts: [bag, deepCable(laying, asked, [deep[0] + inches(10), deep[1]], 'bag')],
    holds: [{ ...asked.hold, kind: 'drowner', anchor: [deep[0], 0, deep[1]], deep }],
    supplies: [
      { kind: 'cable', what: TETHER, amount: wire },
      { kind: 'fill', what: `${fill} for the bag`, amount: laying.numbers.bag ?? bagOf(own.build, 'swimming', fill) ?? 0 },
    ],
    findings: [bagFinding(laying, own, fill)],
    marks: [heightMark('stopDepth', 'Depth at the bag', { view: 'side', across: deep[0], from: surface, to: deep[1] })],
  };
}

const WAYS: Readonly<Record<string, (laying: Laying, asked: Asked) => Piece>> = {
  slide: slideHold,
  live: liveHold,
  tangle: tangleHold,
  bag: bagHold,
};

/** The bank end: what the wire or the tether is tied to, and a second anchor that this one is tied to. */
function bankEnd(laying: Laying, bank: number, tied: Pick<Part, 'tiedTo'> = {}): Required<Pick<Piece, 'parts' | 'supplies'>> {
  const at: [number, number, number] = [bank, ASIDE, levelThen(laying) + inches(2)];
  const first = { ...anchorPart(laying, 'stake', at), ...tied };
  const second = secondAnchor(laying, at);
  if (!second) return { parts: [first], supplies: [] };
  const name = `${ANCHOR_CABLE} ${printLength(TO_SECOND, laying.system)}`;
  return {
    parts: [first, anchorPart(laying, 'stake-second', second), linePart('stake-second-tie', at, second, name, 'stake-second')],
    supplies: [{ kind: 'cable', what: ANCHOR_CABLE, amount: TO_SECOND }],
  };
}

/** Whether the stop lies deep enough for the largest animal that is meant; with a profile also where it lies and the shortest wire. */
export function slideFinding(
  laying: Laying,
  wanted: number,
  { build, held, bank }: { build: BuildKey; held: Held; bank: number },
): Finding {
  const more = { id: 'slide', field: 'wire' };
  const { called } = BUILDS[build];
  const profile = profileOf(laying, bank);
  const surface = levelThen(laying);
  const overBank = Math.hypot(bank - inches(10), inches(6));
  const { wire, stopDepth } = laying.numbers;
  if (wire !== undefined && wire <= overBank) return found('slideShort', 'fails', 'practice', { overBank, wire }, more);
  if (profile) {
    const reach = wanted - MARGIN;
    const rest = restAt(profile, wire ?? inches(120), surface, reach);
    const best = shortestSlide(profile, surface, reach, MARGIN);
    const { out = 0, depth = 0, margin = 0 } = rest ?? {};
    if (rest && margin >= MARGIN - 1e-6)
      return found(
        'slideRests',
        'holds',
        'practice',
        { out: out - edgeOf(bank), depth, called, held, reach, margin, gone: surface - margin, best },
        more,
      );
    return found('slideEnds', 'fails', 'practice', { out: out - edgeOf(bank), depth, wanted, called, short: MARGIN - margin, best }, more);
  }
  if (stopDepth === undefined) return found('slideUnknown', 'unknown', 'practice', { wanted, called }, more);
  return found('slideDepth', stopDepth < wanted ? 'fails' : 'holds', 'practice', { depth: stopDepth, wanted, called }, more);
}
