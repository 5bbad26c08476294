import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Finding } from '../../water/finding';
import { fixed } from '../../water/linear';
import type { Part } from '../../water/part';
import {
  BED_DEPTH,
  PAN_UNDER,
  SLIDE_NUMBERS,
  bedParts,
  buildUp,
  deepGround,
  footholdOf,
  panNeed,
  slideFinding,
  slideParts,
  stopNeed,
  wantedDepth,
} from '../bedded';
import { bedOf, levelThen, numberOf, type Laying, type NumberSpec, type SetType } from '../setType';

const numbers: Record<string, NumberSpec> = {
  panUnder: PAN_UNDER,
  depth: { ...BED_DEPTH, label: 'Depth at the toe', help: 'where the slide meets the bed' },
  offset: {
    label: 'Pan off the middle of the slide',
    help: 'front foot 2 to 3 in, hind foot 5 to 7',
    unit: 'length',
    default: inches(6),
    min: 0,
    max: inches(9),
    origin: 'practice',
  },
  ...SLIDE_NUMBERS,
  pushIn: {
    label: 'Deep-end pole pushed in',
    help: 'into the bed',
    unit: 'length',
    default: inches(18),
    min: inches(4),
    max: 2,
    origin: 'practice',
  },
  pole: {
    label: 'Length of the deep-end pole',
    help: 'depth, push-in and a hand to grip',
    unit: 'length',
    default: inches(84),
    min: inches(24),
    max: 6,
    origin: 'practice',
  },
};
const of = (laying: Laying, key: string): number => numberOf(laying, { numbers }, key);
const wanted = (laying: Laying): number => wantedDepth(of(laying, 'chain'), BUILDS.beaverAdult);

/** What a hand needs of the pole over the water. [practice] */
const GRIP = inches(8);

/** A foothold at the toe of a slide, its catch drawn down a wire to deep water. */
export const slideFoothold: SetType = {
  id: 'slide-foothold',
  name: 'Slide foothold',
  idea: 'A foothold packed in at the toe of a worn slide, off the middle, on a wire to a pole in deep water.',
  species: ['beaver', 'otter'],
  stations: ['slide', 'point', 'bank den', 'latrine'],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  numbers,
  seen: 'panUnder',
  choices: {
    hold: { label: 'Hold', options: { slide: 'slide wire to deep water' }, default: 'slide' },
    foot: { label: 'Foot', options: { hind: 'hind foot', front: 'front foot' }, default: 'hind' },
  },
  layOut: (laying) => {
    const device = laying.devices.trap;
    if (!device) return { parts: [], ground: [], needs: [], free: [], findings: [] };
    const hind = laying.choices.foot !== 'front';
    const panUnder = laying.numbers.panUnder ?? inches(hind ? 7 : 3);
    const slide = slideParts(laying, of(laying, 'wire'), wanted(laying), inches(30));
    return {
      parts: [...bedParts(laying, device.size, panUnder, { y: of(laying, 'offset') }), ...slide, pole(laying, slide)],
      ground: groundOf(laying, device.size, panUnder, slide),
      needs: [
        panNeed(laying, hind ? { min: 6, max: 9, target: 7 } : { min: 2, max: 3.5, target: 2.5 }),
        ...(laying.numbers.stopDepth !== undefined ? [stopNeed(laying, wanted(laying))] : []),
      ],
      free: [{ device: 'trap', say: { down: 'Make the bed', up: 'Build the bed' }, floor: null }],
      findings: [buildUp(laying, device.size, panUnder), slideFinding(laying, wanted(laying)), poleFinding(laying)],
    };
  },
  steps: [
    {
      do: 'Push the deep-end pole in first, within your reach, then drive the bank stake.',
      caution: 'Depth and sink against the waders first.',
    },
    { do: 'Hang the lock at the bank end: it runs out only. One that slips down means drawing the pole again.' },
    { do: 'Pack the platform and lay sticks in it until it does not give.' },
    {
      do: 'Cock the trap aside and bed it last, loose jaw to the middle of the slide.',
      lastReach: true,
      caution: 'Tip the loose jaw up while setting. Never kneel on the levers; a No. 5 takes paired setters.',
    },
    { do: 'Lure low beside it; close the gaps at the sides.', caution: 'Reach round the trap, not over it.' },
  ],
};

const pole = (laying: Laying, slide: Part[]): Part => ({
  id: 'pole',
  kind: 'stick',
  bearer: 'bed',
  x: slide[0]?.x ?? -1,
  y: 0,
  z: fixed((slide[0]?.z.k ?? levelThen(laying) - 1) - of(laying, 'pushIn')),
  height: of(laying, 'pole'),
  wide: inches(2),
  across: inches(2),
  stock: `deep-end pole ${printLength(of(laying, 'pole'), laying.system)}`,
});

function groundOf(laying: Laying, size: string, panUnder: number, slide: Part[]): [number, number][] {
  const level = levelThen(laying);
  const base = level - panUnder - footholdOf(size).pan;
  const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
  return [...deepGround(laying, floor, slide), [-0.35, floor], [0.2, floor], [0.55, level], [1.1, level + inches(14)]];
}

function poleFinding(laying: Laying): Finding {
  const print = (m: number) => printLength(m, laying.system);
  const { stopDepth } = laying.numbers;
  const base = { id: 'pole', about: 'Deep-end pole', origin: 'practice' as const };
  if (stopDepth === undefined)
    return {
      ...base,
      verdict: 'unknown',
      figure: '?',
      sentence: 'Measure the depth at the deep end: the pole has to be that long, its push-in and a grip.',
    };
  const needs = stopDepth + of(laying, 'pushIn') + GRIP;
  const spare = of(laying, 'pole') - needs;
  return spare < 0
    ? {
        ...base,
        verdict: 'fails',
        figure: `short ${print(-spare)}`,
        sentence: `Depth, push-in and a hand to grip take ${print(needs)}, the pole has ${print(of(laying, 'pole'))}: a longer pole, or a resting place that is shallower by ${print(-spare)}.`,
      }
    : {
        ...base,
        verdict: 'holds',
        figure: print(needs),
        sentence: `Depth, push-in and a hand to grip take ${print(needs)} of its ${print(of(laying, 'pole'))}.`,
      };
}
