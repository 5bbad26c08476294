import { anchored, DRIVEN } from '../pieces/hold';
import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark } from '../design';
import { depthHere } from '../pieces/grip';
import { bedLine, trench } from '../pieces/ground';
import { loopFits, loopId, loopNumbers, loopPiece } from '../pieces/loop';
import { hangs } from '../pieces/stands';
import { SNARE_CHOICES } from '../pieces/snareCut';
import { bedOf, levelThen, measured, practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { anchorStep, WADING, loopOrder, once } from '../pieces/steps';
import { ranged, reachNeed } from '../pieces/range';

const { loop, pushIn, tail, loopCable } = loopNumbers(10, 1);
const numbers = {
  lowestUnder: measured('Lowest point below water', 'as seen; left empty it hangs 2 in over the bed', [0, 100], 1),
  depth: here(depthHere('Depth of the run', 'water over its hard bottom'), 'depth'),
  width: here(practised('Run at the bed', 'the hard groove', 18, [8, 80]), 'widthBed'),
  overBed: practised('Loop over the bed', 'its lowest point', 2, [0, 12]),
  reach: practised('Arm can reach', 'under the surface, with waders', 36, [12, 78]),
  loop,
  pushIn,
  tail,
  loopCable,
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A bare loop in an entrance run where body-grips are known. */
export const lodgeRunSnare: SetType = {
  id: 'lodge-run-snare',
  name: 'Lodge run, bare snare',
  idea: 'A bare loop on a 40 in T bar in an entrance run, swivels, no fence: for places where the colony has met body-grips.',
  species: ['beaver'],
  stations: ['lodge', 'bank den', 'run', 'channel'],
  suits: [suit('beaver', ['lodge'], 2, 'a bare loop for those that know body-grips')],
  devices: ['snare'],
  positions: [{ id: 'snare', label: 'Snare', optional: false }],
  usual: { class: 'snare', size: '7×7 3/32' },
  fit: 'A T bar of 40 in driven into the bed beside the run carries the loop, a stake behind it the tail; two swivels.',
  tools: ['driver', 'pliers', 'waders'],
  disputed: ['Body-grip first; or snare first, since kin found dead in body-grips teach the rest.'],
  faults: ['Knocked aside: the loop hung loose or unloaded.'],
  numbers,
  seen: 'lowestUnder',
  choices: { ...anchored('stake'), ...SNARE_CHOICES },
  layOut: (laying) => {
    const surface = levelThen(laying);
    const size = of(laying, 'loop');
    const bed = bedOf(laying);
    const bottom =
      laying.numbers.lowestUnder !== undefined
        ? surface - laying.numbers.lowestUnder
        : (bed ?? surface - inches(16)) + of(laying, 'overBed');
    const floor = bed ?? bottom - of(laying, 'overBed');
    const width = of(laying, 'width');
    return assemble(
      loopPiece(laying, { numbers, bottom, floor, support: 'tbar' }),
      {
        needs: [
          {
            id: 'under',
            device: 'snare',
            of: { part: loopId('snare'), spot: 'bottom' },
            from: laying.place.surface,
            ...ranged({
              aim: [null, -size / inches(1)],
              works: [-12 - size / inches(1), (-0.4 * size) / inches(1)],
              perhaps: [null, (-0.4 * size) / inches(1)],
              ends: ['swumOver', 'pushedAside'],
            }),
            called: 'lowest point of the loop',
            origin: 'practice',
          },
          reachNeed(laying, loopId('snare'), of(laying, 'reach'), 'snare', 'top of the loop'),
        ],
        findings: [...loopFits(laying, bottom, size, 1), found('bare', 'holds', 'practice', { open: width - size })],
        ground: bedLine(floor, -inches(40)),
        front: trench(surface, floor, width, width + inches(14)),
        marks: [widthMark('width', 'Run at the bed', { view: 'eye', z: floor - inches(5), from: -width / 2, to: width / 2 })],
        travel: [{ build: 'beaverAdult', x: -inches(14), z: floor + inches(1), pose: 'walks' }],
      },
      hangs(laying, {
        numbers,
        size,
        bottom,
        floor,
        depthAt: [-inches(20), width / 2 + inches(4)],
        at: [inches(20), size / 2 + inches(4), floor],
      }),
    );
  },
  orders: (at) =>
    loopOrder(
      [
        once('Feel for the hard bottom; clear old sticks.', WADING),
        once('Drive the T bar beside the run until it is stiff.'),
        anchorStep(at, 'stake', 'Drive the stake for the tail behind it.', 'the tail'),
      ],
      'with its lowest point 1 to 3 in over the bed',
    ),
};
