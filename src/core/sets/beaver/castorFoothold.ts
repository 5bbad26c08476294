import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { fixed } from '../../water/linear';
import type { Part } from '../../water/part';
import {
  BED_DEPTH,
  HOLD,
  PAN_UNDER,
  SLIDE_NUMBERS,
  bedParts,
  buildUp,
  deepGround,
  footholdOf,
  liveFinding,
  panNeed,
  slideFinding,
  slideParts,
  stopNeed,
  wantedDepth,
} from '../bedded';
import { bedOf, levelThen, numberOf, type Laying, type NumberSpec, type SetType } from '../setType';

const numbers: Record<string, NumberSpec> = {
  panUnder: PAN_UNDER,
  depth: BED_DEPTH,
  panToMound: {
    label: 'Pan before the mound',
    help: 'along the approach',
    unit: 'length',
    default: inches(11),
    min: inches(4),
    max: inches(30),
    origin: 'practice',
  },
  offset: {
    label: 'Pan off the centre',
    help: 'front foot 2 to 3 in, hind foot 5 to 7',
    unit: 'length',
    default: inches(2.5),
    min: 0,
    max: inches(9),
    origin: 'practice',
  },
  ...SLIDE_NUMBERS,
};
const of = (laying: Laying, key: string): number => numberOf(laying, { numbers }, key);
const wanted = (laying: Laying): number => wantedDepth(of(laying, 'chain'), BUILDS.beaverAdult);

/** A foothold bedded in the approach to a scent mound, on a slide to deep water or on a live hold. */
export const castorFoothold: SetType = {
  id: 'castor-foothold',
  name: 'Castor mound foothold',
  idea: 'A foothold in the trough before a scent mound, its pan under water, on a slide to deep water or a live hold.',
  species: ['beaver', 'otter'],
  stations: ['castor mound', 'slide', 'point', 'bank den', 'feed bed'],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  numbers,
  seen: 'panUnder',
  choices: { hold: HOLD },
  layOut: (laying) => {
    const device = laying.devices.trap;
    if (!device) return { parts: [], ground: [], needs: [], free: [], findings: [] };
    const slide = laying.choices.hold === 'live' ? null : slideParts(laying, of(laying, 'wire'), wanted(laying));
    const panUnder = of(laying, 'panUnder');
    return {
      parts: [...bedParts(laying, device.size, panUnder, { y: of(laying, 'offset') }), mound(laying), ...(slide ?? [])],
      ground: groundOf(laying, device.size, slide),
      needs: [panNeed(laying), ...(slide && laying.numbers.stopDepth !== undefined ? [stopNeed(laying, wanted(laying))] : [])],
      free: [{ device: 'trap', say: { down: 'Make the bed', up: 'Build the bed' }, floor: null }],
      findings: [buildUp(laying, device.size, panUnder), slide ? slideFinding(laying, wanted(laying)) : liveFinding()],
    };
  },
  steps: [
    { do: 'Drive the deep end first, then the bank stake; the lock stays at the bank end.' },
    { do: 'Cut the trough, heap mud and leaves above it, leave a low berm in front.' },
    { do: 'Pack the platform until it does not give; lay sticks under it in soft mud.' },
    {
      do: 'Cock the trap aside, loose jaw to the middle of the approach, and bed it so that it does not rock.',
      lastReach: true,
      caution: 'Tip the loose jaw up while setting. Never kneel on the levers; a No. 5 takes paired setters.',
    },
    { do: 'Close the side gaps; lure last, low beside the trough.', caution: 'Reach round the trap, not over it.' },
  ],
};

const mound = (laying: Laying): Part => ({
  id: 'mound',
  kind: 'mound',
  bearer: 'bank',
  x: of(laying, 'panToMound') + inches(8),
  y: 0,
  z: fixed(levelThen(laying) + inches(1)),
  height: inches(7),
  wide: inches(16),
  across: inches(18),
  stock: 'castor and mud',
});

function groundOf(laying: Laying, size: string, slide: Part[] | null): [number, number][] {
  const level = levelThen(laying);
  const base = level - of(laying, 'panUnder') - footholdOf(size).pan;
  const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
  const to = of(laying, 'panToMound');
  return [...deepGround(laying, floor, slide), [-0.3, floor], [0.15, floor], [to, level + inches(1)], [to + inches(26), level + inches(4)]];
}
