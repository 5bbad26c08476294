import { BUILDS } from '../../animals/species';
import { tieLength } from '../../hold/tie';
import { inches } from '../../units/factors';
import type { Need } from '../../water/need';
import { found, type Finding } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { grip, jawsId, movable, GRIP_TRIGGER, notchChoice, openingOf } from '../pieces/grip';
import { swingFinding, upright } from '../pieces/guides';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { levelThen, measured, practised, type Laying, type SetType, asks, type Numbers, here, suit, trapIn } from '../setType';
import { anchorStep, onItsGround, once } from '../pieces/steps';
import { opening, type WorkRange, ranged } from '../pieces/range';
import { under } from '../offer';
import { line } from '../pieces/ground';

const numbers = {
  barUnder: practised('Cross bar below water', 'of the T trigger, as seen: just under the surface', 0.25, [-2, 4], 1),
  trail: here(practised('Width of the trail', 'the worn way', 14, [6, 60]), 'widthSurface', 'width'),
  toAnchor: practised('Anchor off the trail', 'from its middle', 30, [8, 120]),
  deep4: measured('Depth 4 ft from the anchor', 'away from the trail', [0, 120], 1),
  deep8: measured('Depth 8 ft from the anchor', 'away from the trail', [0, 120], 1),
  tie: tieNumber(84),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** The cross bar hangs in the middle of the opening. */
const jawsAt = (laying: Laying, size: string): number => levelThen(laying) - of(laying, 'barUnder') - openingOf(size) * 0.5;

/** A trap across a worn trail at the water's edge, its T trigger just under the surface. */
export const trailWaterline: SetType = {
  id: 'trail-waterline',
  name: 'Trail set',
  idea: 'A body-grip across a worn trail through shallows or a notch in an old dam: a T trigger, its cross bar just under the surface, the opening partly out.',
  species: ['beaver', 'otter'],
  stations: ['slide', 'channel', 'crossover', 'run'],
  suits: [
    suit('beaver', ['slide'], 1, 'shallow at the foot of the slide: across the trail, the bar at the waterline', {
      when: under('depth', 10),
    }),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '330' },
  fit: 'T trigger, its bar across the middle. One or two sticks steady it loosely, so that the catch leaves the trail.',
  tools: ['setter', 'hatchet', 'wire'],
  disputed: ['Fallen dry it still meets a walker; or it is no water set any more, and the catch lies exposed.'],
  faults: [
    'Sprung empty: the bar stood out of the water and was nosed.',
    'The next one turned: the catch lay in the trail, its cable too short.',
  ],
  numbers,
  seen: 'barUnder',
  seenAt: 'middle',
  choices: { ...anchored('stake'), notch: notchChoice('middle'), trigger: GRIP_TRIGGER },
  layOut: (laying) => {
    const device = trapIn(laying);
    const surface = levelThen(laying);
    const frame = openingOf(device.size);
    const bottom = jawsAt(laying, device.size);
    const floor = Math.min(bottom - inches(0.5), surface - inches(2));
    const trail = of(laying, 'trail');
    const sticks = [
      upright(
        {
          id: 'steady',
          y: frame / 2 - inches(0.5),
          foot: floor - inches(8),
          top: bottom + frame + inches(4),
          thick: inches(0.8),
          name: 'loose stick',
        },
        laying.system,
      ),
    ];
    const anchor = of(laying, 'toAnchor');
    const cover: Need = {
      id: 'bar',
      device: 'trap',
      of: { part: jawsId('trap'), spot: 'bottom' },
      from: laying.place.surface,
      ...ranged(barRange(frame)),
      called: 'foot of the frame',
      origin: 'practice',
    };
    return assemble(
      grip(laying, { size: device.size, bottom, floor, holder: 'none', look: { trigger: 'bar' }, room: of(laying, 'trail') + inches(10) }),
      {
        parts: sticks,
        needs: [cover],
        findings: [...swingFinding(sticks, { y: 0, z: bottom, across: frame, height: frame }), tieFinding(laying)],
        ground: [
          [-inches(48), floor - inches(6)],
          [-inches(10), floor],
          [inches(10), floor],
          [inches(22), surface + inches(1)],
          [inches(46), surface + inches(6)],
        ],
        front: [
          [-trail / 2 - inches(22), surface + inches(4)],
          [-trail / 2, surface + inches(2)],
          [-trail / 2 + inches(2), floor],
          [trail / 2 - inches(2), floor],
          [trail / 2, surface + inches(2)],
          [trail / 2 + inches(22), surface + inches(4)],
        ],
        marks: [
          heightMark('barUnder', 'Cross bar below water', { view: 'eye', across: 0, from: surface, to: surface - of(laying, 'barUnder') }),
          widthMark('trail', 'Trail', { view: 'eye', z: floor - inches(4), from: -trail / 2, to: trail / 2 }),
          heightMark(null, 'Top above water', { view: 'side', across: 0, from: surface, to: bottom + frame, grows: 1 }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(16), z: Math.max(floor, surface - BUILDS.beaverAdult.swims), pose: 'swims' }],
      },
      movable(laying),
      tie(laying, {
        numbers,
        part: 'jaws',
        from: [0, frame / 2, bottom + frame / 2],
        at: [-inches(20), anchor, surface + inches(1)],
        build: 'beaverAdult',
      }),
    );
  },
  orders: (at) =>
    onItsGround(
      at,
      [
        once('Find where the trail meets water; clear a bed for the lower jaw.'),
        anchorStep(at, 'stake', 'Drive the stake off the trail.'),
        once('Cut the cable to the length that is computed.'),
      ],
      [{ do: 'Stand it across the trail, the T bar just under the surface; one or two sticks steady it, loosely.' }],
    ),
};

/** The cross bar just under the surface; they swim over the jaws, half a frame above it, and out of the water it is a set on land. */
function barRange(frame: number): WorkRange {
  const half = frame / inches(2);
  const { works, young = 0, ends } = opening(frame, 'beaverAdult', { by: 'nothing' });
  return { aim: [-half - 0.5, -half], works: [(works[0] ?? 0) - 2 * half, 4 - half], young: young - 2 * half, ends: [ends[0], 'bare'] };
}

/** The tie that lets the catch reach water that hides it, clear of the trail. */
function tieFinding(laying: Laying): Finding {
  const { deep4, deep8 } = laying.numbers;
  const more = { field: 'tie' };
  if (deep4 === undefined || deep8 === undefined) return found('tieLength', 'unknown', 'practice', {}, more);
  const surface = levelThen(laying);
  const clear = Math.max(0, of(laying, 'trail') / 2 + BUILDS.beaverAdult.body - of(laying, 'toAnchor'));
  const length = tieLength(
    line([0, surface], [inches(48), surface - deep4], [inches(96), surface - deep8]),
    surface,
    BUILDS.beaverAdult.swims + inches(2),
    clear,
  );
  if ('shortBy' in length) return found('tieLength', 'fails', 'practice', { shortBy: length.shortBy }, more);
  const has = of(laying, 'tie');
  return found('tieLength', has >= length.tie - 0.02 ? 'holds' : 'fails', 'practice', { tie: length.tie, out: length.out, has }, more);
}
