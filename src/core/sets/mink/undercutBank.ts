import { inches } from '../../units/factors';
import { found } from '../../words/finding';
import { assemble, widthMark, heightMark } from '../design';
import { coverNeed, depthHere, grip, gripMarks, movable, topUnder, DOG, GRIP_TRIGGER, notchChoice, stood } from '../pieces/grip';
import { upright } from '../pieces/guides';
import { anchored, DRIVEN, tie, tieNumber } from '../pieces/hold';
import { practised, type SetType, asks, type Numbers, here, suit } from '../setType';
import { anchorStep, feelSwing, hooksOff, once, setGrip } from '../pieces/steps';
import { always } from '../order';
import { atLeast } from '../offer';
import { onBank } from '../pieces/block';
import { line } from '../pieces/ground';

const numbers = {
  topUnder: { ...topUnder(-1.75, [-6, 4]), label: 'Top below water', help: 'negative: it stands above water, 1½ to 2 in are wanted' },
  depth: here(depthHere('Depth at the trap', 'not beside it'), 'trapDepth'),
  roof: here(practised('Roof over the bed', 'height of the undercut at the trap', 14, [5, 60]), 'roof'),
  under: here(practised('Under the roof', 'how far it reaches back', 10, [3, 60]), 'reachBack'),
  tie: tieNumber(40),
  driven: DRIVEN,
} satisfies Numbers;
const of = asks(numbers);

/** A trap tight under the roof of an undercut bank. */
export const undercutBank: SetType = {
  id: 'undercut-bank',
  name: 'Undercut bank',
  blind: true,
  idea: 'A 160 tight under the roof at the outside of a bend, dog up, near spring upright, far spring flat, its top 1½ to 2 in above water. One at each bend that deserves it.',
  species: ['mink'],
  stations: ['undercut', 'bank den', 'channel'],
  suits: [
    suit('mink', ['undercut'], 1, 'tight under the roof, its top a little above water', { when: atLeast('roof', 9) }),
    suit('mink', ['undercut'], 3, 'tight under a roof that stands 9 in or more over the bed'),
  ],
  devices: ['bodyGrip'],
  positions: [{ id: 'trap', label: 'Trap', optional: false }],
  usual: { class: 'bodyGrip', size: '160' },
  fit: 'Outer stake at an angle through the far spring, its edge just inside the jaw so that a bump cannot topple it; the bank steadies the inner side; second stake deep, on the chain.',
  tools: ['setter', 'hip boots', 'trowel'],
  disputed: ['110 and 120 for mink; or 155 and 160, which also hold a stray otter or raccoon.', 'Chain stake first; or last.'],
  faults: [
    'Toppled: the outer stake stood upright instead of at an angle.',
    'Under the roof by too little: the upright spring did not clear it.',
  ],
  numbers,
  seen: 'topUnder',
  choices: { ...anchored('stake'), notch: notchChoice('middle'), trigger: GRIP_TRIGGER, dog: DOG },
  layOut: (laying) => {
    const stand = stood(laying, { under: inches(-1.75), over: inches(0), below: 0 });
    const { surface, frame, bottom, floor } = stand;
    const roof = floor + of(laying, 'roof');
    const needs = bottom + frame + inches(3);
    const inner = frame / 2 + inches(0.5);
    return assemble(
      grip(laying, { ...stand, holder: 'none', look: { springs: 'bank', dog: 'top', trigger: 'v' } }),
      {
        parts: [
          upright(
            {
              id: 'outer',
              y: -(frame / 2 - inches(0.4)),
              foot: floor - inches(12),
              top: bottom + frame + inches(5),
              thick: inches(0.8),
              leansAcross: -inches(4),
              name: 'outer stake',
            },
            laying.system,
          ),
          onBank(
            'ceiling',
            'roof',
            [0, inner + of(laying, 'under') / 2 - inches(6), roof],
            [inches(8), inches(46), of(laying, 'under') + inches(12)],
          ),
        ],
        needs: [coverNeed(laying, { aim: [1.5, 2], works: [-2, 4], young: -1.5, who: 'females', ends: ['swumOver', 'climbsElsewhere'] })],
        findings: [
          found(
            'roof',
            roof >= needs - 0.004 ? 'holds' : 'fails',
            'practice',
            { roof: roof - floor, needs: needs - floor },
            { id: 'clears', field: 'roof' },
          ),
        ],
        ground: line([-inches(26), floor - inches(1)], [inches(26), floor]),
        front: [
          [-inches(30), floor - inches(5)],
          [-inches(10), floor - inches(1)],
          [-inches(5), floor],
          [inner, floor],
          [inner + of(laying, 'under') * 0.6, floor + inches(2)],
          [inner + of(laying, 'under') * 0.7, roof],
          [inner + of(laying, 'under') * 0.7 + inches(1), roof + inches(8)],
          [inner + of(laying, 'under') + inches(10), roof + inches(9)],
        ],
        marks: [
          heightMark('roof', 'Roof over the bed', { view: 'eye', across: -inches(8), from: floor, to: roof, grows: 1 }),
          widthMark('under', 'Under the roof', { view: 'eye', z: roof + inches(11), from: inner, to: inner + of(laying, 'under') }),
        ],
        travel: [{ build: 'mink', x: -inches(9), z: surface - 0.06, pose: 'swims' }],
      },
      gripMarks(laying, stand.size, bottom),
      movable(laying),
      tie(laying, { numbers, part: 'jaws', from: [0, -frame / 2, bottom], at: [inches(18), -frame / 2 - inches(8), floor], build: 'mink' }),
    );
  },
  orders: (at) =>
    always(
      once(
        'Measure the depth at the trap, beside it, and the roof over the bed.',
        'An undercut can break off under you: stand in the water or well back.',
      ),
      anchorStep(at, 'stake', 'Drive the chain’s stake deep.', 'the chain'),
      setGrip(at),
      { do: 'Try it in under the roof and out again once, dog up, near spring upright, far spring flat.' },
      {
        do: 'Near hook off in the hand: bank and roof will shut it in.',
        caution: 'From here the trap counts as armed and is held by the coil end of its far spring.',
      },
      { do: 'In under the roof, tight.' },
      { do: 'Outer stake at an angle through the far spring, held by its top, its edge inside the jaw.' },
      { ...hooksOff(at, ''), do: 'Take the far hook off, from outside its spring.' },
      feelSwing,
    ),
};
