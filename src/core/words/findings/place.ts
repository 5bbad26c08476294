import type { IceHere } from '../../ice/bearing';
import { signKind, type Freshness } from '../../sign/kinds';
import { iceStanding } from '../ice';
import { words, type Say } from '../say';

/** Places: whether one can stand there, whether they are in use. */

interface Wade {
  /** water and mud there, m; null where nobody measured */
  water: number | null;
  mud: number | null;
  /** top of the waders over the sole, m */
  waders: number;
}

const wet = ({ water, mud }: Wade): number => (water ?? 0) + (mud ?? 0);
const sumOf = ({ water, mud }: Wade, { length }: Say): string =>
  mud === null ? `${length(water ?? 0)} water, mud depth not measured` : `${length(water ?? 0)} water + ${length(mud)} mud`;
const wading = (sentence: (values: Wade, say: Say) => string) =>
  words<Wade>({ about: 'Wading', figure: (own, { length }) => (own.water === null ? 'depth not known' : length(wet(own))), sentence });
const leftOf = (own: Wade, { length }: Say): string => `${length(own.waders - wet(own))} of waders left`;

/** A sign that counts: what it is, and how old it is, days. */
export interface Counts {
  kind: string;
  freshness: Freshness;
  days: number;
}
interface Use {
  /** 0 to 1 */
  score: number;
  use: readonly Counts[];
  contrary: readonly Counts[];
}

const AGE: Readonly<Record<Freshness, string>> = { hours: '', days: 'days old ', weeks: 'weeks old ', old: 'old ' };
const agoText = (days: number): string => (days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`);
const signsText = (side: string, signs: readonly Counts[]): string =>
  signs.length === 0 ? '' : `${side}: ${signs.map((s) => `${signKind(s.kind).label} ${AGE[s.freshness]}${agoText(s.days)}`).join(', ')}. `;
const used = (begin: string, end = '') =>
  words<Use>({
    about: 'In use',
    figure: ({ score }) => `use score ${Math.round(score * 10)}/10`,
    sentence: ({ use, contrary }) => `${begin} ${signsText('For', use)}${signsText('Against', contrary)}${end}`.trim(),
  });

interface Lodge {
  use: readonly string[];
  contrary: readonly string[];
}
const labels = (kinds: readonly string[]): string => kinds.map((kind) => signKind(kind).label).join(', ');
const reasons = ({ use, contrary }: Lodge): string =>
  [use.length > 0 && `for it: ${labels(use)}`, contrary.length > 0 && `against it: ${labels(contrary)}`].filter(Boolean).join('; ');
const lodge = (sentence: (why: string) => string) =>
  words<Lodge>({
    about: 'Is it live',
    figure: ({ use, contrary }) => `${use.length} for, ${contrary.length} against`,
    sentence: (own) => sentence(reasons(own)),
  });

export const PLACE = {
  sinks: words<{ mud: number }>({
    about: 'Wading',
    figure: ({ mud }, { length }) => `sinks ${length(mud)}`,
    sentence: ({ mud }, { length }) => `Stay out: you sink ${length(mud)}, past the knee.`,
  }),
  onIce: words<IceHere>({
    about: 'Ice',
    figure: ({ thin }, { length }) => length(thin),
    sentence: (here, { system }) => iceStanding(here, system),
  }),
  wadeUnknown: wading(() => 'Depth unknown: feel it with a stick before you step in.'),
  wadeTooDeep: wading((own, say) => `Too deep to wade: ${sumOf(own, say)}; waders ${say.length(own.waders)}. Boat, pole or another day.`),
  wadeBarely: wading((own, say) => `Only ${leftOf(own, say)}: ${sumOf(own, say)}. A current or one wrong step takes that.`),
  wadeNoBottom: wading(
    (own, say) => `${sumOf(own, say)}: ${leftOf(own, say)}, less what your boot sinks. Feel the bottom with a stick first.`,
  ),
  wade: wading((own, say) => `${sumOf(own, say)}: ${leftOf(own, say)}. Feel each step: bottoms change.`),
  useUnknown: words<object>({
    about: 'In use',
    figure: () => 'no sign noted',
    sentence: () => 'No sign recorded. Scout before you set.',
  }),
  notInUse: used('Likely not in use.'),
  maybeInUse: used('Maybe in use.', 'Look again before you set.'),
  inUse: used('In use.'),
  lodgeUnknown: words<object>({
    about: 'Is it live',
    figure: () => 'nothing noted',
    sentence: () => 'Nothing was noted on this lodge: look for vent, tracks, weeds and the inside of the sticks.',
  }),
  lodgeOneSign: lodge((why) => `One sign does not decide (${why}). Look for a second before a hole is cut.`),
  lodgeDisagrees: lodge(
    (why) => `The signs disagree (${why}): it may be otter, muskrat or nobody. Snap a stick of the pile, and hang the camera here.`,
  ),
  lodgeLive: lodge((why) => `Live, as far as it can be seen (${why}).`),
  lodgeDead: lodge((why) => `Not lived in, as far as it can be seen (${why}): otter, muskrat or nobody.`),
};
