import type { Fear, LocalState, Look, Pass, SetHistory, Trait } from './looks';
import { FEARS, STATES } from './looks';
import {
  BY_PRACTICE,
  FAULT_PRIOR,
  FEARS_OF,
  FEAR_PRIOR,
  FELT_TEACHES,
  IN_USE_UNKNOWN,
  MET_BEFORE,
  TAUGHT_MOST,
  TEACHES,
  type Likely,
  type NightRow,
} from './practice';
import type { DeviceClass } from '../devices/sizes';

/** Trapping before the record began, as far as it teaches. */
export interface Before {
  devices: readonly DeviceClass[];
  survivors: keyof typeof MET_BEFORE;
}

export type Shares<K extends string> = Record<K, number>;

export interface Learned {
  /** of each fear, how likely it is; together 1 */
  fears: Shares<Fear>;
  /** of each set, what may be wrong with it */
  sets: Record<string, Shares<LocalState>>;
  /** by which chances a night it was worked out */
  likely: Likely;
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const entriesOf = <K extends string, V>(keys: readonly K[], of: (key: K) => V): Record<K, V> =>
  Object.fromEntries(keys.map((key) => [key, of(key)])) as Record<K, V>;

/** Makes shares of odds; all alike where nothing is possible. */
function sharesOf<K extends string>(keys: readonly K[], logs: (key: K) => number): Shares<K> {
  const all = keys.map(logs);
  const greatest = Math.max(...all);
  const weights = all.map((log) => Math.exp(log - greatest));
  const total = sum(weights);
  return entriesOf(keys, (key) => (weights[keys.indexOf(key)] ?? 0) / total);
}

/** How likely it is that a look after so many nights in the working range found what it found. @returns 0 to 1 */
export function chanceOf({ saw, nights }: Pick<Look, 'saw' | 'nights'>, row: NightRow, likely: Likely = BY_PRACTICE): number {
  const nightly = likely.nightly[row];
  const touched = sum(Object.values(nightly));
  const stays = (1 - touched) ** nights;
  return saw === 'untouched' ? stays : (nightly[saw] / touched) * (1 - stays);
}

const rowOf = (state: LocalState, isShy: boolean): NightRow => (state === 'works' && isShy ? 'shy' : state);

/** How likely a set is in each state before anything happened at it. */
export function statesBefore(inUse: number | null): Shares<LocalState> {
  // sign that is fresh may still be of a place passed by, and none may be a place nobody looked at closely
  const used = inUse === null ? IN_USE_UNKNOWN : 0.1 + 0.85 * inUse;
  const { mechanical, disturbed } = FAULT_PRIOR;
  return { works: used * (1 - mechanical - disturbed), notInUse: 1 - used, mechanical: used * mechanical, disturbed: used * disturbed };
}

/** What somebody holds as he holds it; the others by practice, in what is left. */
function withHeld(held: Partial<Shares<Fear>>): Shares<Fear> {
  const rest = FEARS.filter((fear) => held[fear] === undefined);
  const left = 1 - sum(Object.values(held));
  const usual = sum(rest.map((fear) => FEAR_PRIOR[fear]));
  return entriesOf(FEARS, (fear) => held[fear] ?? (FEAR_PRIOR[fear] * left) / usual);
}

/** What one look adds to the odds that its animals shy from the device, by what they felt of it. */
function taughtBy({ device, lesson, felt = 'not said' }: Look): number {
  const base = (lesson && TEACHES[device][lesson]) ?? 1;
  // what escaped was held: to have said so adds nothing
  const share = lesson === 'escaped' && felt === 'held, and got off' ? 1 : FELT_TEACHES[felt];
  return 1 + (base - 1) * share;
}

/** How likely each fear is before the looks: by practice, by what was met, and by what earlier trapping taught. @param held what somebody holds instead of practice */
export function fearsBefore(looks: readonly Look[], before: readonly Before[], held: Partial<Shares<Fear>> = {}): Shares<Fear> {
  const taught = (device: DeviceClass): number =>
    Math.min(
      TAUGHT_MOST,
      looks.filter((l) => l.device === device).reduce((product, l) => product * taughtBy(l), 1),
    ) * Math.max(1, ...before.filter((b) => b.devices.includes(device)).map((b) => MET_BEFORE[b.survivors]));
  const odds = withHeld(held);
  for (const [device, fears] of Object.entries(FEARS_OF) as [DeviceClass, readonly Trait[]][])
    for (const fear of fears) odds[fear] *= taught(device);
  return sharesOf(FEARS, (fear) => Math.log(odds[fear]));
}

function logLikelihood({ looks, passes }: { looks: readonly Look[]; passes: readonly Pass[] }, row: NightRow, likely: Likely): number {
  return sum(looks.map((l) => Math.log(chanceOf(l, row, likely)))) + sum(passes.map((p) => Math.log(likely.passing[row][p.did])));
}

/**
 * What a colony has learned, if any of it are left: each fear and each set's own fault by how likely its looks, passes and sign make it. One fear
 * is taken to be true at a time; a fault is of one set alone, so that a dead place or a stiff trigger speaks for no fear.
 *
 * @source Bayes’ rule over fears and, within each, over the states of each set; the chances a night are practice (`practice.ts`)
 */
export function learned(
  sets: readonly SetHistory[],
  before: readonly Before[] = [],
  held: Partial<Shares<Fear>> = {},
  likely: Likely = BY_PRACTICE,
): Learned {
  const prior = fearsBefore(
    sets.flatMap((s) => s.looks),
    before,
    held,
  );
  // of each set, of each fear: the joint weight of its states
  const joint = sets.map((set) => {
    const states = statesBefore(set.inUse);
    const rows = entriesOf([...STATES, 'shy'] as const, (row) => logLikelihood(set, row, likely));
    return entriesOf(FEARS, (fear) =>
      entriesOf(STATES, (state) => Math.log(states[state]) + rows[rowOf(state, fear !== 'nothing' && set.traits.includes(fear))]),
    );
  });
  const logOf = (states: Record<LocalState, number>): number => {
    const all = Object.values(states);
    const greatest = Math.max(...all);
    return greatest + Math.log(sum(all.map((log) => Math.exp(log - greatest))));
  };
  const fears = sharesOf(FEARS, (fear) => Math.log(prior[fear]) + sum(joint.map((own) => logOf(own[fear]))));
  return {
    fears,
    likely,
    sets: Object.fromEntries(
      sets.map((set, n) => {
        const within = FEARS.map((fear) => ({ share: fears[fear], states: sharesOf(STATES, (state) => joint[n]?.[fear][state] ?? 0) }));
        return [set.id, entriesOf(STATES, (state) => sum(within.map((w) => w.share * w.states[state])))];
      }),
    ),
  };
}

/** From how likely on a fear is acted upon: the device is no first choice any more. [practice] */
export const ACTED_ON = 0.5;

/** The devices that a colony has learned to shy from, as far as that is acted upon. */
export const shyOf = ({ fears }: Learned): DeviceClass[] =>
  (Object.entries(FEARS_OF) as [DeviceClass, readonly Trait[]][])
    .filter(([, own]) => own.length > 0 && sum(own.map((fear) => fears[fear])) >= ACTED_ON)
    .map(([device]) => device);

/** What each set takes beside one that works and that nobody shies from: 0 to 1, by its id; 1 for a set that is not known. */
export function worthOf(histories: readonly SetHistory[], { fears, sets, likely: { nightly } }: Learned): (set: string) => number {
  const share = (row: NightRow): number => nightly[row].caught / nightly.works.caught;
  return (id) => {
    const history = histories.find((h) => h.id === id);
    const states = sets[id];
    if (!history || !states) return 1;
    const shy = history.traits.reduce((sum, trait) => sum + fears[trait], 0);
    return (
      states.works * (1 - shy + shy * share('shy')) +
      states.mechanical * share('mechanical') +
      states.disturbed * share('disturbed') +
      states.notInUse * share('notInUse')
    );
  };
}
