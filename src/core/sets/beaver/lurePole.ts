import { anchored, DRIVEN } from '../pieces/hold';
import { BUILDS } from '../../animals/species';
import { inches } from '../../units/factors';
import { assemble } from '../design';
import { depthHere } from '../pieces/grip';
import { bedLine, flat } from '../pieces/ground';
import { loopBottom, loopFits, loopNumbers, loopPiece, proudNeed, shareFinding, shareNeed, IN_OPEN_WATER } from '../pieces/loop';
import { bait } from '../pieces/scent';
import { hangs } from '../pieces/stands';
import { SNARE_CHOICES } from '../pieces/snareCut';
import { bedOf, levelThen, practised, type SetType, asks, type Numbers } from '../setType';
import { WADING, loopOrder, once } from '../pieces/steps';
import { onBank } from '../pieces/block';

const numbers = {
  ...loopNumbers(10, 0.6),
  depth: depthHere(),
  trunk: practised('Trunk', 'its thickness', 6, [2, 24]),
  proud: practised('Trunk above water', 'its upper side', 5, [1, 60], -1),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);
const SHARE = IN_OPEN_WATER;

/** A loop tight beside a dead trunk, scent on both of its sides. */
export const lurePole: SetType = {
  id: 'lure-pole',
  name: 'Lure pole',
  idea: 'A dead trunk in the water, a loop tight beside it on two staples, scent on both sides of the loop so that going from one to the other leads through it.',
  species: ['beaver'],
  stations: ['point', 'feed bed', 'channel', 'slide', 'castor mound'],
  devices: ['snare'],
  positions: [{ id: 'snare', label: 'Snare', optional: false }],
  usual: { class: 'snare', size: '7×7 3/32' },
  fit: 'The support wire is held by two staples in the trunk; the top of the loop at least 2 in above water.',
  tools: ['hammer', 'staples', 'pliers'],
  faults: ['Refused on the bank: on the water it may still be taken. The two are tested separately.'],
  remake: ['Scent over the old, both sides, where it is washed out; or left as it is.'],
  numbers,
  seen: 'lowestUnder',
  choices: { ...anchored('stake'), ...SNARE_CHOICES },
  layOut: (laying) => {
    const surface = levelThen(laying);
    const bottom = loopBottom(laying, numbers);
    const size = of(laying, 'loop');
    const thick = of(laying, 'trunk');
    const floor = bedOf(laying) ?? bottom - inches(8);
    const top = surface + of(laying, 'proud');
    const y = size / 2 + thick / 2 + inches(0.8);
    return assemble(
      loopPiece(laying, { numbers, bottom, floor, support: 'wire', look: { lock: 'top' } }),
      {
        parts: [onBank('trunk', 'trunk', [inches(2), y, top - thick], [thick, inches(40), thick])],
        needs: [shareNeed(laying, SHARE), proudNeed(laying, 2, 1)],
        findings: [shareFinding(laying, [bottom, size, inches(2)], SHARE), ...loopFits(laying, bottom, size, SHARE.aim[0])],
        ground: bedLine(floor, -inches(40)),
        front: flat(floor),
        travel: [{ build: 'beaverAdult', x: -inches(12), z: surface - BUILDS.beaverAdult.swims, pose: 'swims' }],
      },
      bait({
        id: 'scentBefore',
        x: -inches(7),
        y,
        z: top - inches(0.5),
        what: 'castor lure',
        supply: 'lure',
        wide: inches(2),
        height: inches(2),
      }),
      bait({
        id: 'scentBehind',
        x: inches(7),
        y,
        z: top - inches(0.5),
        what: 'castor lure',
        supply: 'lure',
        wide: inches(2),
        height: inches(2),
      }),
      hangs(laying, {
        numbers,
        size,
        bottom,
        floor,
        depthAt: [-inches(20), -inches(16)],
        at: [inches(30), y + inches(10), surface + inches(4)],
      }),
    );
  },
  orders: () =>
    loopOrder(
      [
        once('Choose a dead trunk that stands in water, or drive a pole.', WADING),
        once('Two staples hold the support wire to the trunk.'),
        { do: 'Scent on the trunk, both sides of where the loop will hang.' },
      ],
      'tight beside the trunk, its top at least 2 in above water',
    ),
};
