import { inches } from '../../units/factors';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { assemble } from '../design';
import { bed, FOOT, offset, offsetPiece, panUnder, type Foot, footholdOf } from '../pieces/bed';
import { PAN_PULL } from '../pieces/pan';
import { anchored } from '../pieces/hold';
import { depthHere } from '../pieces/grip';
import { flat } from '../pieces/ground';
import { GUIDE, guided, guideStep, upright, pair } from '../pieces/guides';
import { profileOf } from '../pieces/profile';
import { deepGround, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { bedOf, levelThen, practised, type Laying, type NumberSpec, type SetType, asks, type Numbers, suit, trapIn } from '../setType';
import { footholdOrder, once } from '../pieces/steps';

const numbers = {
  panUnder: seenOnly(panUnder(7), 'as seen; left empty 7 in for a hind foot, 3 in for a front foot (rule of thumb)'),
  depth: depthHere('Depth at the foot of the slide', 'where the slide meets the bed'),
  offset: { ...offset(6), label: 'Pan off the middle of the slide' },
  ...SLIDE_NUMBERS,
  pushIn: practised('Deep-end pole pushed in', 'into the bed', 18, [4, 78]),
  pole: practised('Length of the deep-end pole', 'depth, push-in and a hand to grip', 84, [24, 236]),
  waders: practised('Waders', 'how deep you can stand', 36, [6, 60]),
  panPull: PAN_PULL,
} satisfies Numbers;
/** A number whose usual value hangs on a choice: it has no default of its own. */
function seenOnly(spec: NumberSpec, help: string): NumberSpec {
  const { default: _, ...rest } = spec;
  return { ...rest, help };
}
const of = asks(numbers);
const BANK = inches(30);

/** What a hand needs of the pole over the water, and how far an arm sets it. [practice] */
const GRIP = inches(8);
const ARM = inches(30);

/** A foothold at the toe of a slide, its catch drawn down a wire to deep water. */
export const slideFoothold: SetType = {
  id: 'slide-foothold',
  name: 'Slide set, foothold',
  idea: 'A foothold packed in at the foot of a worn slide, off the middle, on a wire to a pole in deep water.',
  species: ['beaver', 'otter'],
  stations: ['slide', 'point', 'bank den', 'latrine'],
  suits: [
    suit('beaver', ['slide'], 3, 'where a body-grip was gone round: off the middle of the worn way, drawn down a wire to deep water'),
  ],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'foothold', size: '5' },
  variants: [{ id: 'front', name: 'for a front foot', choices: { foot: 'front' }, numbers: { offset: inches(2.5) } }],
  fit: 'No. 4 or 5. The lock runs out only and is held at the bank end: one that slips down means drawing the pole again.',
  tools: ['foothold setters', 'hatchet', 'waders', 'wire'],
  disputed: ['Front foot, shallow and near the center; or hind foot, deeper and farther out.'],
  faults: ['A toe: the pan was too near the middle for a hind foot.', 'The lock slid down while bedding: draw the pole again.'],
  numbers,
  seen: 'panUnder',
  choices: {
    hold: { label: 'Hold', options: { slide: 'slide wire to deep water' }, default: 'slide' },
    ...anchored('stake'),
    foot: { label: 'Foot', options: { hind: 'hind foot', front: 'front foot' }, default: 'hind' },
    guide: {
      ...GUIDE,
      label: 'Sides of the bed',
      options: { stick: 'closed with thin sticks', stone: 'closed with stones', none: 'left open' },
    },
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const foot: Foot = laying.choices.foot === 'front' ? 'front' : 'hind';
    const under = laying.numbers.panUnder ?? inches(FOOT[foot].target + (foot === 'front' ? 0.5 : 0));
    const hold = holdPiece(laying, { numbers, build: 'beaverAdult', held: foot === 'front' ? 'front foot' : 'hind foot', bank: BANK });
    const surface = levelThen(laying);
    const base = surface - under - footholdOf(device.size).pan;
    const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
    const stop = hold.parts?.[0];
    const poleFoot = (stop?.z.k ?? surface - 1) - of(laying, 'pushIn');
    return assemble(
      bed(laying, { size: device.size, under, y: of(laying, 'offset'), range: FOOT[foot].range }),
      offsetPiece(laying, of(laying, 'offset'), under, foot),
      hold,
      {
        parts: [
          upright(
            { id: 'pole', x: stop?.x ?? -1, foot: poleFoot, top: poleFoot + of(laying, 'pole'), thick: inches(2), name: 'deep-end pole' },
            laying.system,
          ),
        ].map((p) => ({
          ...p,
          marks: [
            { at: of(laying, 'pushIn'), what: 'bed' },
            { at: surface - poleFoot, what: 'water line' },
          ],
        })),
      },
      {
        parts: guided(laying, floor, sides(laying, floor)),
        findings: [poleFinding(laying, stop ? surface - stop.z.k : undefined), ...handFinding(laying, stop?.x)],
        ground: [...deepGround(laying, floor, hold), [-0.35, floor], [0.2, floor], [0.55, surface], [1.1, surface + inches(14)]],
        front: flat(floor),
        travel: [{ build: 'beaverAdult', x: -inches(10), z: Math.max(floor, surface - 0.2), pose: 'swims' }],
      },
    );
  },
  orders: (at) =>
    footholdOrder(
      at,
      [once(`Pack the platform and lay sticks in it until it does not give${guideStep(at, 'its sides closed with thin sticks')}.`)],
      'at the foot of the slide',
      true,
    ),
};

/** From the middle of the worn way to what closes a side. [practice] */
const SIDE = inches(11);

/** A thin stick on each side of the way, beyond the bed. */
const sides = (laying: Laying, floor: number): Part[] =>
  pair(
    'guide',
    SIDE,
    { x: inches(2), thick: inches(0.6), name: 'thin stick', foot: floor - inches(6), top: levelThen(laying) + inches(8) },
    laying.system,
  );

function poleFinding(laying: Laying, depth: number | undefined): Finding {
  const more = { field: 'pole' };
  if (depth === undefined || (laying.numbers.stopDepth === undefined && !profileOf(laying, BANK)))
    return found('pole', 'unknown', 'practice', {}, more);
  const needs = depth + of(laying, 'pushIn') + GRIP;
  const pole = of(laying, 'pole');
  return found('pole', pole < needs ? 'fails' : 'holds', 'practice', { needs, pole }, more);
}

/** Whether the pole can be set from where the waders still hold: with a measured profile only. */
function handFinding(laying: Laying, stopX: number | undefined): Finding[] {
  const profile = profileOf(laying, BANK);
  if (!profile || stopX === undefined) return [];
  const waders = of(laying, 'waders');
  const stands = profile.filter(([, z]) => z >= levelThen(laying) - waders).at(-1)?.[0] ?? 0;
  const rest = BANK - stopX;
  const short = rest - stands > ARM;
  return [found('hand', short ? 'fails' : 'holds', 'practice', { rest, stands, arm: ARM, waders, short }, { field: 'wire' })];
}
