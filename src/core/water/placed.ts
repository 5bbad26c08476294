import type { Body } from '../record/kinds';
import type { Surfaces } from './levelAt';

/** A water whose levels are elevations, m in its datum. */
export type WaterBody = Body<'water'>;

/** A break as it stands now: its last state, elevations in m; earlier states are kept beside it. */
export interface Opening extends Omit<Body<'opening'>, 'states'> {
  width: number;
  sill: number;
  states: Body<'opening'>['states'];
}

/** A water with the levels that were read off its gauge as elevations. */
export function placedWater(water: WaterBody, surfaces: Surfaces): WaterBody {
  const lies = (at: string, shown: number): number => surfaces.elevation(water.id, 'pond', at, shown);
  return {
    ...water,
    safe: water.safe && { ...water.safe, level: lies(water.safe.at, water.safe.level) },
    areas: water.areas.map((a) => ({ ...a, level: lies(a.at, a.level) })),
    pipes: water.pipes.map((p) => ({ ...p, sill: lies(p.at, p.sill) })),
  };
}

/** A break as it stood at a moment, its sill an elevation: the last state seen until then, the first one before that. */
export function placedOpening(opening: Body<'opening'>, surfaces: Surfaces, at: Date): Opening {
  const lies = (s: { at: string; sill: number }): number => surfaces.elevation(opening.water, 'pond', s.at, s.sill);
  const states = [...opening.states].sort((a, b) => a.at.localeCompare(b.at)).map((s) => ({ ...s, sill: lies(s) }));
  const held = states.filter((s) => Date.parse(s.at) <= at.getTime()).at(-1) ?? states[0];
  if (!held) throw new RangeError('a break has one state at least');
  return { ...opening, states, width: held.width, sill: held.sill };
}
