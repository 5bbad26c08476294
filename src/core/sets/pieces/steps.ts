import { isSmallFoothold } from '../../devices/sizes';
import { always, byDepth } from '../order';
import type { AtWork, Order, Step } from '../work';

/** Steps that many types share, with their caution, and the orders that are put together from them. */

export const SETTER = 'A 330 breaks hands: setter and rope within reach.';
export const LEVERS = 'Never kneel on the levers; a No. 5 takes paired setters.';
export const FLOODS = 'Opening a dam floods those below; ask the owner and the local law first.';
export const WADING = 'Water plus sink against the waders first; sinking past the knee means do not step in.';
export const CULVERTS = 'Nobody enters a culvert; current under a bridge is stronger than it looks.';

/** Work that is done once at a place. */
export const once = (what: string, caution?: string): Step => ({ do: what, once: true, ...(caution ? { caution } : {}) });

const WOOD: Record<string, string> = { tree: 'a live tree', root: 'a live root', log: 'the buried log', stand: 'its stand' };
/** The tie's anchor, once: as a type does it with a stake, else to the wood that was chosen. @param usual what it is tied to by practice */
export const anchorStep = ({ choices }: Pick<AtWork, 'choices'>, usual: string, stake: string, what = 'the cable'): Step => {
  const to = choices.anchorAs ?? usual;
  return once(to === 'stake' ? stake : `Tie ${what} to ${WOOD[to] ?? to}, low, where no tooth reaches it.`);
};

const ONE_HOOK = ['110'];
/** Every safety hook off; what comes after keeps hands out of the jaws. */
export const hooksOff = ({ size }: Pick<AtWork, 'size'>, when: string): Step => ({
  do: `Take ${ONE_HOOK.includes(size) ? 'the safety hook' : 'both safety hooks'} off ${when}.`,
  lastReach: true,
  caution: 'From here hands hold only coil ends, the top of a stand or rod, wire and cable: never the space the jaws cross.',
});

export const STANDING = 'with the trap standing, from outside its spring';
export const OVER_PLACE = 'over its place, at the surface';

const small = (size: string): boolean => ['110', '120', '155', '160'].includes(size);

/** Set on land with its hooks on, and mounted. */
export const setGrip = ({ size }: Pick<AtWork, 'size'>, then = ''): Step => ({
  do: `${small(size) ? 'Set it by hand or with the setter on land, hooks on, dog in its notch' : 'Compress the springs with the setter on land, hooks on, set the dog'}${then}.`,
  caution: small(size) ? 'Springs held by their coil ends, fingers out of the jaws.' : SETTER,
});

const MOUNT = '; a stand whose clip presses on the jaws is mounted before that, any other after';
export const feelSwing: Step = { do: 'Feel with a stick that nothing stands in the swing.', caution: 'A stick, never a hand.' };
const downAndUp: Step = {
  do: 'Try it down and up once with the hooks on; springs up where its holder lets.',
  caution: 'One that fires on the way down is let go, never caught.',
};

/** A body-grip on the bed of a run or mouth. @param before cleared and tied; @param where it stands; @param onStand a stand carries it, by which it can be held */
export function onTheBed(at: AtWork, before: Step[], where: string, onStand = false): Order[] {
  const gap = small(at.size) ? '1 in' : '2½ in';
  return byDepth(
    at,
    [
      ...before,
      setGrip(at, onStand ? MOUNT : ''),
      { do: `Stand it ${where}${at.fenced ? ', fences and stakes in' : ''}.` },
      feelSwing,
      hooksOff(at, STANDING),
      feelSwing,
    ],
    [
      ...before,
      ...(at.fenced ? [{ do: `Fences in first, each ${gap} clear of the side arm; in a run too narrow for that only the far one.` }] : []),
      setGrip(at, onStand ? MOUNT : ''),
      downAndUp,
      hooksOff(at, OVER_PLACE),
      { do: `Lower it by ${onStand ? 'the top of its stand, or by ' : ''}the coil ends as deep as the arm reaches; it stands ${where}.` },
      ...(at.fenced
        ? [{ do: 'Where the run is narrow the near fence is a stake so long that the hand stays above the water, outside the frame.' }]
        : []),
      feelSwing,
    ],
  );
}

/** A body-grip that hangs or stands under a pole or behind what makes the animal dive. @param pole the step that brings it over at the end of the deeper way */
export function underPole(at: AtWork, own: { before: Step[]; place: string; pole: Step }): Order[] {
  return byDepth(
    at,
    [
      ...own.before,
      setGrip(at),
      { do: `${own.place}; close the sides outside the spring ends.` },
      own.pole,
      feelSwing,
      hooksOff(at, `${STANDING}, from behind`),
      feelSwing,
    ],
    [
      ...own.before,
      { do: 'Close the sides outside the spring ends; the pole with its grass tied to one bank and moored aside.' },
      setGrip(at),
      downAndUp,
      hooksOff(at, 'at the surface'),
      { do: 'Press it down by the coil ends or the top of its stand.' },
      { do: 'Draw the pole over by its line and tie it on the bank.' },
      feelSwing,
    ],
  );
}

/** A body-grip in a cut, on a trail or on a face: all that needs fingers first, hooks last. */
export const onItsGround = (at: AtWork, before: Step[], around: Step[]): Order[] =>
  always(...before, setGrip(at), ...around, feelSwing, hooksOff(at, 'once all is in place'), feelSwing);

/** How the catch of a foothold is held: what is put in before the trap. */
function holdFirst(at: AtWork): Step {
  const { choices } = at;
  if (choices.hold === 'live')
    return once('Anchor the tether where land and water are both in its reach and nothing is there to wrap round.');
  if (choices.hold === 'tangle') return once('Push the tangle stake in at its depth and tie the cable to it.', WADING);
  if (choices.hold === 'bag')
    return once('Fill the bag, sink it in deep water with its cable tied, and lay the cable to the trap.', WADING);
  const end = choices.anchorAs ?? 'stake';
  return once(
    `Deep end first, then ${end === 'stake' ? 'the bank stake' : `the bank end on ${WOOD[end] ?? end}, low`}; the lock stays at the bank end.`,
    WADING,
  );
}

/** The last touch of a foothold, how it is carried, tried and covered. */
export const bedded = (where: string, { scent = false, small = false } = {}): Step[] => [
  small
    ? { do: 'Cock it aside on firm ground, loose jaw up.', caution: 'Fingers stay off the pan and out of the jaws.' }
    : { do: 'Cock it aside on firm ground, setters at hand, loose jaw up.', caution: LEVERS },
  { do: 'Set dog and pan: the finger comes from under the loose jaw, never across the jaws.', lastReach: true },
  { do: `Carry it with hands under and outside the jaws and lay it ${where}, loose jaw to the middle of the approach.` },
  { do: 'Press on its springs with a stick: one that rocks is fired with the stick, the bed packed anew, and it is cocked again.' },
  { do: scent ? 'Cover it with a stick; scent on a stick, from the bank.' : 'Cover it with a stick.' },
];

/** A foothold at its place. @param own what is built, baited and closed before the trap is cocked */
export const footholdOrder = (at: AtWork, own: Step[], where: string, scent = false): Order[] =>
  always(holdFirst(at), ...own, ...bedded(where, { scent, small: isSmallFoothold(at.size) }));

/** A foothold that holds by its own chain. */
export const chainedOrder = (at: AtWork, own: Step[], where: string, after: Step[] = []): Order[] =>
  always(...own, ...bedded(where, { small: isSmallFoothold(at.size) }), ...after);

/** A loop: anchor before it is opened, everything round it before its last touch. */
export const loopOrder = (around: Step[], where: string, after: Step[] = []): Order[] =>
  always(
    once('Anchor the tail; the loop is still closed.'),
    ...around,
    { do: 'Load the cable behind the lock and open the loop.' },
    { do: `Hang it ${where}: the last touch of the loop.`, lastReach: true },
    { do: 'Nudge the support: only the loop may move. If it shut, load and hang it again.', caution: 'The loop closes on a finger too.' },
    ...after,
  );
