import { BUILDS } from '../../animals/species';
import { FOOTHOLDS } from '../../devices/sizes';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Finding } from '../../water/finding';
import { fixed } from '../../water/linear';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { bedOf, levelThen, numberOf, type Laying, type NumberSpec, type SetType } from '../setType';

/** Extra depth behind the animal's reach. [practice] */
const MARGIN = inches(6);

const numbers: Record<string, NumberSpec> = {
  panUnder: {
    label: 'Pan under',
    help: 'water over the pan, as seen',
    unit: 'length',
    default: inches(3),
    min: inches(-2),
    max: inches(12),
    origin: 'practice',
    withLevel: 1,
  },
  depth: {
    label: 'Depth at the bed',
    help: 'water over the firm bottom before the bed is built',
    unit: 'length',
    min: 0,
    max: 3,
    origin: 'measured',
    withLevel: 1,
  },
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
  chain: { label: 'Chain', help: 'trap to the lock', unit: 'length', default: inches(14), min: inches(4), max: 3, origin: 'practice' },
  stopDepth: {
    label: 'Depth at the stop',
    help: 'water over the deep end of the slide',
    unit: 'length',
    min: 0,
    max: 6,
    origin: 'measured',
    withLevel: 1,
  },
  wire: {
    label: 'Slide wire',
    help: 'bank stake to the deep end',
    unit: 'length',
    default: inches(120),
    min: 0.5,
    max: 12,
    origin: 'practice',
  },
};

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
  choices: { hold: { label: 'Hold', options: { slide: 'slide wire to deep water', live: 'live hold' }, default: 'slide' } },
  layOut: (laying) => {
    const device = laying.devices.trap;
    if (!device) return { parts: [], ground: [], needs: [], free: [], findings: [] };
    const slide = laying.choices.hold !== 'live';
    return {
      parts: [...bedParts(laying, device.size), ...(slide ? slideParts(laying) : [])],
      ground: groundOf(laying, device.size, slide),
      needs: [panNeed(laying), ...(slide && laying.numbers.stopDepth !== undefined ? [stopNeed(laying)] : [])],
      free: [{ device: 'trap', say: { down: 'Make the bed', up: 'Build the bed' }, floor: null }],
      findings: [buildUp(laying, device.size), slide ? slideFinding(laying) : liveFinding()],
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

/** Chain and the way from forefoot to nose of the largest animal that can be caught there. */
const animalReach = (laying: Laying): number => numberOf(laying, { numbers }, 'chain') + BUILDS.beaverAdult.forearmToNose;

function panNeed(laying: Laying): Need {
  return {
    id: 'pan',
    device: 'trap',
    of: { part: 'pan', spot: 'top' },
    from: laying.place.surface,
    min: inches(-6),
    max: inches(-2),
    target: inches(-3),
    broken: { min: 'tooDeep', max: 'outOfWater' },
    called: 'pan',
    origin: 'practice',
  };
}

function stopNeed(laying: Laying): Need {
  return {
    id: 'stop',
    device: 'trap',
    of: { part: 'stop', spot: 'bottom' },
    from: laying.place.surface,
    max: -(animalReach(laying) + MARGIN),
    broken: { max: 'noLongerSubmerging' },
    called: 'deep end of the slide',
    origin: 'practice',
  };
}

function bedParts(laying: Laying, size: string): Part[] {
  const { spread, pan } = FOOTHOLDS[size] ?? { spread: inches(6.75), pan: inches(1.5) };
  const panTop = levelThen(laying) - numberOf(laying, { numbers }, 'panUnder');
  const bed = bedOf(laying);
  const base = panTop - pan;
  const floor = Math.min(bed ?? base - inches(2), base);
  const y = numberOf(laying, { numbers }, 'offset');
  const mound = numberOf(laying, { numbers }, 'panToMound');
  return [
    {
      id: 'pan',
      kind: 'pan',
      device: 'trap',
      bearer: 'bed',
      x: 0,
      y,
      z: fixed(base),
      height: pan,
      wide: spread,
      across: spread,
      tiedTo: 'lock',
      stock: `foothold No. ${size}`,
    },
    ...(base - floor > 0.005
      ? [
          {
            id: 'bed',
            kind: 'bed',
            device: 'trap',
            bearer: 'bed',
            x: 0,
            y,
            z: fixed(floor),
            height: base - floor,
            wide: spread + inches(6),
            across: spread + inches(6),
          } satisfies Part,
        ]
      : []),
    {
      id: 'mound',
      kind: 'mound',
      bearer: 'bank',
      x: mound + inches(8),
      y: 0,
      z: fixed(levelThen(laying) + inches(1)),
      height: inches(7),
      wide: inches(16),
      across: inches(18),
      stock: 'castor and mud',
    },
  ];
}

function groundOf(laying: Laying, size: string, slide: boolean): [number, number][] {
  const level = levelThen(laying);
  const base = level - numberOf(laying, { numbers }, 'panUnder') - (FOOTHOLDS[size]?.pan ?? inches(1.5));
  const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
  const mound = numberOf(laying, { numbers }, 'panToMound');
  const stop = slideParts(laying)[0];
  const deep: [number, number][] =
    slide && stop
      ? [
          [stop.x - 0.3, stop.z.k],
          [stop.x + 0.3, stop.z.k],
        ]
      : [[-1.2, floor - 0.2]];
  return [...deep, [-0.3, floor], [0.15, floor], [mound, level + inches(1)], [mound + inches(26), level + inches(4)]];
}

function slideParts(laying: Laying): Part[] {
  const level = levelThen(laying);
  const depth = laying.numbers.stopDepth;
  const bottom = level - (depth ?? animalReach(laying) + MARGIN);
  const wire = numberOf(laying, { numbers }, 'wire');
  const rise = level + inches(6) - bottom;
  const away = Math.sqrt(Math.max(wire ** 2 - rise ** 2, 0.25));
  return [
    {
      id: 'stop',
      kind: 'slideStop',
      device: 'trap',
      bearer: 'bed',
      x: inches(20) - away,
      y: 0,
      z: fixed(bottom),
      height: inches(3),
      wide: inches(3),
      across: inches(3),
      stock: 'one-way lock and stop',
    },
    {
      id: 'stake',
      kind: 'stake',
      bearer: 'bank',
      x: inches(20),
      y: 0,
      z: fixed(level - inches(18)),
      height: inches(24),
      wide: inches(1),
      across: inches(1),
      tiedTo: 'stop',
      stock: `slide wire ${printLength(wire, laying.system)}`,
    },
  ];
}

function buildUp(laying: Laying, size: string): Finding {
  const pan = FOOTHOLDS[size]?.pan ?? inches(1.5);
  const { depth } = laying.numbers;
  const print = (m: number) => printLength(m, laying.system);
  const about = 'Build-up under the trap';
  if (depth === undefined) {
    return {
      id: 'buildUp',
      verdict: 'unknown',
      about,
      figure: '?',
      origin: 'computed',
      sentence: 'Type the depth to the firm bottom and the height of the bed follows. It can be set by the surface without.',
    };
  }
  const height = depth - numberOf(laying, { numbers }, 'panUnder') - pan;
  if (height < -0.005) {
    return {
      id: 'buildUp',
      verdict: 'fails',
      about,
      figure: print(-height),
      origin: 'computed',
      sentence: `The bottom is ${print(-height)} too high for this cover: dig that much, or take less water over the pan.`,
    };
  }
  return {
    id: 'buildUp',
    verdict: 'holds',
    about,
    figure: print(Math.max(height, 0)),
    origin: 'computed',
    sentence: `Depth ${print(depth)} less the wanted cover and ${print(pan)} of pan height (No. ${size}, from memory).`,
  };
}

function slideFinding(laying: Laying): Finding {
  const { stopDepth } = laying.numbers;
  const print = (m: number) => printLength(m, laying.system);
  const wanted = animalReach(laying) + MARGIN;
  const about = 'Drowning depth';
  if (stopDepth === undefined) {
    return {
      id: 'slide',
      verdict: 'unknown',
      about,
      figure: `${print(wanted)}?`,
      origin: 'practice',
      sentence: `Uncertain: the deep end was not measured. Chain and an adult's reach with 6 in to spare want ${print(wanted)} there.`,
    };
  }
  const spare = stopDepth - wanted;
  if (spare < 0) {
    return {
      id: 'slide',
      verdict: 'fails',
      about,
      figure: `short ${print(-spare)}`,
      origin: 'practice',
      sentence: `${print(stopDepth)} of water, ${print(wanted)} wanted (chain, forearm to nose of an adult, 6 in): short by ${print(-spare)}. Deeper water, a shorter chain, or a live hold.`,
    };
  }
  return {
    id: 'slide',
    verdict: 'holds',
    about,
    figure: print(stopDepth),
    origin: 'practice',
    sentence: `${print(wanted)} wanted for chain, reach and 6 in: the margin is gone when the level falls ${print(spare)}.`,
  };
}

function liveFinding(): Finding {
  return {
    id: 'live',
    verdict: 'unknown',
    about: 'Live hold',
    figure: '10 ft',
    origin: 'practice',
    sentence:
      'About ten feet of tether, land and water both in reach. Without a measured profile it stays uncertain whether the catch lives.',
  };
}
