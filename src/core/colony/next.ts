import { chanceOf, statesBefore, type Learned, type Shares } from './fears';
import { FEARS, SAW, STATES, type Fear, type LocalState, type Saw, type Trait } from './looks';

/** A set that could be tried: where, and with what of which fears may speak. */
export interface Trial {
  id: string;
  traits: readonly Trait[];
  /** of its place, by the sets that stood there; by its sign alone where none did */
  states: Shares<LocalState>;
}

export interface Outlook {
  saw: Saw;
  chance: number;
  /** of each fear, after it */
  fears: Shares<Fear>;
}

export interface Told {
  id: string;
  /** that it catches in the nights of the trial */
  catches: number;
  /** how much of what is not known it is expected to settle, bits */
  bits: number;
  outlooks: Outlook[];
}

/** After so many nights in its range a trial is read. [practice] */
export const TRIAL_NIGHTS = 4;

const bitsOf = (shares: Shares<Fear>): number => -FEARS.reduce((sum, f) => sum + (shares[f] > 0 ? shares[f] * Math.log2(shares[f]) : 0), 0);

/** What the state of a place was read as before a trial moves to its next set: a fault of the trap stays behind, an unused place does not. */
export function statesThere(sets: readonly Shares<LocalState>[], inUse: number | null): Shares<LocalState> {
  const fresh = statesBefore(inUse);
  if (sets.length === 0) return fresh;
  const notInUse = sets.reduce((sum, s) => sum + s.notInUse, 0) / sets.length;
  const rest = (1 - notInUse) / (1 - fresh.notInUse);
  return { works: fresh.works * rest, mechanical: fresh.mechanical * rest, disturbed: fresh.disturbed * rest, notInUse };
}

/**
 * Which trial tells most of what the animals fear, the most telling first: its expected information, and where each of its outcomes points.
 *
 * @source D. V. Lindley, On a measure of the information provided by an experiment, Annals of Mathematical Statistics 27 (1956), from memory
 */
export function tellsMost({ fears, likely }: Learned, trials: readonly Trial[], nights = TRIAL_NIGHTS): Told[] {
  const known = bitsOf(fears);
  return trials
    .map(({ id, traits, states }): Told => {
      const outlooks = SAW.map((saw): Outlook => {
        const weights = FEARS.map((fear) => {
          const isShy = fear !== 'nothing' && traits.includes(fear);
          const chance = STATES.reduce(
            (sum, state) => sum + states[state] * chanceOf({ saw, nights }, state === 'works' && isShy ? 'shy' : state, likely),
            0,
          );
          return fears[fear] * chance;
        });
        const chance = weights.reduce((a, b) => a + b, 0);
        return { saw, chance, fears: Object.fromEntries(FEARS.map((f, n) => [f, (weights[n] ?? 0) / chance])) as Shares<Fear> };
      });
      const catches = outlooks.find((o) => o.saw === 'caught')?.chance ?? 0;
      return { id, catches, bits: known - outlooks.reduce((sum, o) => sum + o.chance * bitsOf(o.fears), 0), outlooks };
    })
    .sort((a, b) => b.bits - a.bits);
}
