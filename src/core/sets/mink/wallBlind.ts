import { BED_DEPTH, PAN_UNDER, bedParts, buildUp, footholdOf, panNeed } from '../pieces/bed';
import { inches } from '../../units/factors';
import type { Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { assemble, widthMark, heightMark, type Piece } from '../design';
import { besideWall, mirrored } from '../pieces/ground';
import { GUIDE, guided, guideStep } from '../pieces/guides';
import { PAN_PULL } from '../pieces/pan';
import { anchored } from '../pieces/hold';
import { deepGround, holdPiece, SLIDE_NUMBERS } from '../pieces/slide';
import { bedOf, levelThen, practised, type Laying, type SetType, asks, type Numbers, here, suit, trapIn } from '../setType';
import { CULVERTS, footholdOrder, once } from '../pieces/steps';
import { under } from '../offer';
import { onBed } from '../pieces/block';

const numbers = {
  panUnder: { ...PAN_UNDER, label: 'Cover', help: 'water, over what is chosen below', default: inches(1), max: inches(6) },
  depth: here({ ...BED_DEPTH, label: 'Depth along the wall', help: 'over the firm bottom, a hand’s breadth off it' }, 'wallDepth'),
  offWall: practised('Pan off the wall', 'middle of the pan', 3, [2, 12]),
  ...SLIDE_NUMBERS,
  chain: practised('Chain', 'trap to the lock', 8, [4, 118]),
  wire: practised('Slide wire', 'bank stake to the deep end', 72, [20, 472]),
  panPull: PAN_PULL,
} satisfies Numbers;
const of = asks(numbers);

/** Water over the pan: where the cover was measured over the stone, less the height of the pan. */
const panUnder = (laying: Laying, size: string): number =>
  of(laying, 'panUnder') - (laying.choices.measured === 'stone' ? footholdOf(size).pan : 0);

/** A foothold under a wall where mink pass without lure, on a flat stone that makes up the depth. */
export const wallBlind: SetType = {
  id: 'wall-blind',
  name: 'Blind wall set',
  blind: true,
  idea: 'A small foothold close under a wall, an inch of water over it, a flat stone making up the depth; no lure. A blind set needs 4 to 7 nights before it says anything.',
  species: ['mink', 'muskrat'],
  stations: ['bridge', 'culvert', 'undercut', 'point', 'channel'],
  suits: [
    suit('mink', ['culvert', 'bridge'], 1, 'they keep along the wall; the pan under a thin sheet of water'),
    suit('mink', ['undercut'], 2, 'the roof is too low for a body-grip: a pan on the bed under it', { when: under('roof', 9) }),
  ],
  devices: ['foothold'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  numbers,
  seen: 'panUnder',
  usual: { class: 'foothold', size: '1½' },
  variants: [{ id: 'stone', name: 'cover measured over the stone', choices: { measured: 'stone' }, numbers: { panUnder: inches(2) } }],
  fit: 'No. 1½ coil, a light pan; a flat stone that does not rock.',
  tools: ['hip boots', 'wire'],
  faults: [
    'A flood went over it: too deep is not harmless, it can hold a larger animal badly.',
    'Silent for four nights: a blind set needs 4 to 7.',
  ],
  choices: {
    hold: { label: 'Hold', options: { slide: 'slide wire to deep water' }, default: 'slide' },
    ...anchored('stake'),
    guide: GUIDE,
    measured: { label: 'Cover measured over', options: { pan: 'the pan', stone: 'the stone' }, default: 'pan' },
  },
  layOut: (laying) => {
    const device = trapIn(laying);
    const cover = panUnder(laying, device.size);
    const hold = holdPiece(laying, { numbers, build: 'mink', held: 'front foot', bank: inches(16) });
    const surface = levelThen(laying);
    const off = of(laying, 'offWall');
    const bed = bedParts(laying, device.size, cover, { y: of(laying, 'offWall'), under: 'stone' });
    const stone = bed.find((p) => p.kind === 'stone')?.height ?? 0;
    const floor = bedOf(laying) ?? surface - inches(4.5);
    return assemble(
      {
        parts: [...bed, ...guided(laying, floor, [guide(laying)])],
        needs: [panNeed(laying, { aim: [-1.5, -0.5], works: [-2.5, 1], young: -2, who: 'females', ends: ['swumOver', 'bare'] })],
        free: [{ device: 'trap', say: { down: 'Lower it', up: 'Raise it' }, floor: bedOf(laying), stone }],
        findings: [buildUp(laying, device.size, cover, { says: 'stoneUnder' }), panOrStone(laying, device.size)],
        marks: [
          ...(Math.abs(cover) < 0.003
            ? []
            : [
                heightMark('panUnder', 'Pan below water', { view: 'side', across: 0.03, from: surface, to: surface - cover }),
                heightMark('panUnder', 'Pan below water', { view: 'eye', across: 0, from: surface, to: surface - cover }),
              ]),
          widthMark('offWall', 'Off the wall', { view: 'eye', z: floor - inches(2), from: 0, to: off }),
        ],
        travel: [{ build: 'mink', x: -inches(6), z: surface - 0.06, pose: 'swims' }],
      },
      hold,
      { ground: groundOf(laying, device.size, cover, hold), front: mirrored(besideWall(surface, floor, 0)) },
    );
  },
  orders: (at) =>
    footholdOrder(
      at,
      [
        once('Crouch at the edge and look along the wall; feel the depth a hand’s breadth off it.', CULVERTS),
        once(`Lay the flat stone so that it does not rock${guideStep(at, 'one thin guide stick, ½ to ¾ in, beyond it')}.`),
      ],
      'on the stone, no lure',
    ),
};

const guide = (laying: Laying): Part =>
  onBed(
    'frontStick',
    'guide',
    [0, of(laying, 'offWall') + inches(5), (bedOf(laying) ?? levelThen(laying) - inches(5)) - inches(6)],
    [inches(20), inches(0.6), inches(0.6)],
    { stock: 'guide stick ½ to ¾ in' },
  );

function groundOf(laying: Laying, size: string, cover: number, hold: Piece): [number, number][] {
  const level = levelThen(laying);
  const base = level - cover - footholdOf(size).pan;
  const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
  return [...deepGround(laying, floor, hold), [-0.3, floor], [0.25, floor], [0.4, level + inches(2)], [0.7, level + inches(8)]];
}

/** Cover over the stone or over the pan differ by the height of the pan: said with both figures. */
function panOrStone(laying: Laying, size: string): Finding {
  const { pan } = footholdOf(size);
  const cover = panUnder(laying, size);
  return found('panOrStone', cover < 0 ? 'fails' : 'holds', 'computed', { cover, pan, size }, { id: 'measured' });
}
