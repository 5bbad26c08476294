import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { upright } from '../pieces/guides';
import { anchored, DRIVEN, tie } from '../pieces/hold';
import { hangable, loopNumbers, loopPiece, proudNeed } from '../pieces/loop';
import { SNARE_CHOICES } from '../pieces/snareCut';
import { levelThen, practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { loopOrder, once } from '../pieces/steps';

const { loop, pushIn, tail, loopCable } = loopNumbers(8.5, 0);
const numbers = {
  overDeck: practised('Bottom over the deck', 'lowest point of the loop over the worn gap', 3, [0, 10]),
  deckOver: here(practised('Deck over the pond', 'the worn gap above water', 4, [0, 40], -1), 'overPond'),
  gap: here(practised('Width of the gap', 'between its edges', 14, [8, 60]), 'width'),
  loop,
  pushIn,
  tail,
  driven: DRIVEN,
  loopCable,
} satisfies Numbers;
const of = asks(numbers);

/** A loop in air over the crest of a dam. */
export const damCrossoverSnare: SetType = {
  id: 'dam-crossover-snare',
  name: 'Dam crossover, snare in air',
  blind: true,
  idea: 'A loop of 8 to 8½ in over the worn gap, its bottom about 3 in over the deck, one thin guide at most.',
  species: ['beaver', 'otter'],
  stations: ['crossover', 'dam', 'slide'],
  suits: [suit('beaver', ['crossover'], 3, 'a thin loop in the gap, where body-grips are known')],
  devices: ['snare'],
  positions: [{ id: 'snare', label: 'Snare', optional: false }],
  usual: { class: 'snare', size: '7×7 3/32' },
  fit: 'Lock at the side; support rod in the dam beside the gap.',
  tools: ['pliers', '9 gauge wire'],
  faults: ['Knocked: too low or too large, an animal under or through it.'],
  hides: ['over the far side of the dam', 'in the pond, off the dam'],
  numbers,
  seen: null,
  choices: { ...anchored('log'), ...SNARE_CHOICES },
  layOut: (laying) => {
    const surface = levelThen(laying);
    const deck = surface + of(laying, 'deckOver');
    const bottom = deck + of(laying, 'overDeck');
    const size = of(laying, 'loop');
    const gap = of(laying, 'gap');
    const fits =
      of(laying, 'overDeck') >= inches(2) && of(laying, 'overDeck') <= inches(4) && size >= inches(8) - 1e-6 && size <= inches(8.5) + 1e-6;
    return assemble(
      loopPiece(laying, { numbers, bottom, floor: deck, support: 'rod', bearer: 'bank' }),
      {
        needs: [proudNeed(laying, 1.5)],
        parts: [
          upright(
            {
              id: 'guide',
              x: 0,
              y: -(size / 2 + inches(2)),
              foot: deck - inches(6),
              top: bottom + size,
              thick: inches(0.5),
              bearer: 'bank',
              name: 'thin guide',
            },
            laying.system,
          ),
        ],
        findings: [found('air', fits ? 'holds' : 'warns', 'practice', { over: of(laying, 'overDeck'), loop: size, fits })],
        ground: [
          [-inches(50), surface - inches(20)],
          [-inches(20), surface],
          [-inches(10), deck],
          [inches(10), deck],
          [inches(46), surface - inches(24)],
        ],
        front: [
          [-gap / 2 - inches(24), deck + inches(6)],
          [-gap / 2, deck + inches(4)],
          [-gap / 2 + inches(2), deck],
          [gap / 2 - inches(2), deck],
          [gap / 2, deck + inches(4)],
          [gap / 2 + inches(24), deck + inches(6)],
        ],
        marks: [
          heightMark('overDeck', 'Over the deck', { view: 'eye', across: 0, from: deck, to: bottom, grows: 1 }),
          heightMark('deckOver', 'Deck over the pond', { view: 'side', across: -inches(16), from: surface, to: deck, grows: 1 }),
          widthMark('gap', 'Gap', { view: 'eye', z: deck - inches(3), from: -gap / 2, to: gap / 2 }),
        ],
        travel: [{ build: 'beaverAdult', x: -inches(3), z: deck, pose: 'walks' }],
      },
      hangable(laying),
      tie(laying, {
        numbers,
        device: 'snare',
        part: 'loop',
        from: [0, size / 2, bottom + size * 0.8],
        at: [-inches(24), size / 2 + inches(10), surface],
        build: 'beaverAdult',
        cable: 'tail and extension',
      }),
    );
  },
  orders: () =>
    loopOrder(
      [
        once('Find the main gap; look at it from below and at both ends.'),
        once('Push the support rod in beside the gap until it is stiff; one thin guide at most.'),
      ],
      'with its bottom about 3 in over the deck',
    ),
};
