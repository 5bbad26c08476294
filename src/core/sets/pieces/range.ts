import { BUILDS, type BuildKey } from '../../animals/species';
import { INCH } from '../../units/factors';
import type { End, Limits, Need, Young } from '../../water/need';
import type { Laying } from '../setType';

/** Where a part is put, and where it still works: aim and working range are two things. All of it is practice or inferred, for adults unless an age is named. */

/** Heights over what judges the part, inches, or shares of a loop's height under it; `null` where water is no end. */
export interface WorkRange {
  /** where it is put while the set is made */
  aim?: Ends;
  works: Ends;
  /** to where it may work */
  perhaps?: Ends;
  /** from here down the young pass over it */
  young?: number;
  /** who they are; kits when left out */
  who?: Young;
  /** the measure that would settle what is in doubt */
  decides?: string;
  /** what ends it at its lowest and at its highest: heights in high and in low water, shares the other way round */
  ends: readonly [lowest: End, highest: End];
}
export type Ends = readonly [lowest: number | null, highest: number | null];

const limitsOf = ([min, max]: Ends, unit: number): Limits => ({
  ...(min === null ? {} : { min: min * unit }),
  ...(max === null ? {} : { max: max * unit }),
});

/** A range as the limits of a need. @param unit of its figures, m; 1 for shares */
export const ranged = (
  { aim, works, perhaps, young, who = 'kits', decides, ends: [min, max] }: WorkRange,
  unit = INCH,
): Omit<Need, 'id' | 'device' | 'of' | 'from' | 'called' | 'origin'> => ({
  ...limitsOf(works, unit),
  ...(aim && { aim: limitsOf(aim, unit) }),
  ...(perhaps && { perhaps: { min: undefined, max: undefined, ...limitsOf(perhaps, unit) } }),
  ...(young !== undefined && { young: { at: young * unit, who } }),
  ...(decides !== undefined && { decides }),
  broken: { min, max },
});

/** What closes the water over a body-grip. */
export type Above =
  | { by: 'nothing' }
  /** a bank, lodge or roof nearer to the jaws than the smallest gap */
  | { by: 'roof' }
  /** a tied pole that floats before the trap: its middle so far ahead of the jaws, m */
  | { by: 'pole'; ahead: number; thick: number }
  /** a log, limb or stick that stays where it is, its top so far over the jaws, m */
  | { by: 'wood'; over: number };

/** What a floating pole draws: about two thirds of its thickness. */
export const draws = (thick: number): number => (2 / 3) * thick;

/** Who passes first, after the adults of a species. */
const YOUNG: Partial<Record<BuildKey, BuildKey>> = { beaverAdult: 'beaverKit', mink: 'minkFemale' };

/**
 * The range of the top of a body-grip that swimmers meet: they fill the water down to their swimming depth, pass over once the smallest gap is open, and
 * want that much water under what closes it. [practice], inferred from the animal table
 *
 * @param frame height of the jaws, m
 * @param half it works until half of it stands out, where that is practised
 */
export function opening(frame: number, build: BuildKey, above: Above, half = false): Pick<WorkRange, 'works' | 'young' | 'ends'> {
  const gap = BUILDS[build].smallestGap / INCH;
  const tall = frame / INCH;
  const under = above.by === 'pole' ? draws(above.thick) / INCH : above.by === 'wood' ? above.over / INCH : 0;
  const first = YOUNG[build];
  const over = (g: number): number => -(under + g);
  const through = half ? tall / 2 : tall - gap - (above.by === 'pole' ? under : 0);
  const clear = above.by === 'pole' ? swingClear(above, frame) / INCH : Infinity;
  return {
    works: [above.by === 'roof' ? null : over(gap), Math.min(through, clear)],
    ...(first && above.by !== 'roof' && { young: over(BUILDS[first].smallestGap / INCH) }),
    ends: ['swumOver', clear < through ? 'poleOnJaws' : half ? 'halfOut' : 'narrow'],
  };
}

/** Height of the jaws' top over the surface up to which a floating pole stays clear of their swing, m; infinite half a frame and half its thickness ahead. */
function swingClear({ ahead, thick }: { ahead: number; thick: number }, frame: number): number {
  const [half, edge] = [frame / 2, Math.max(0, Math.abs(ahead) - thick / 2)];
  return edge >= half - 1e-6 ? Infinity : -draws(thick) + half - Math.sqrt(half * half - edge * edge);
}

/** Whether hands still reach a spot: beyond it the set fishes on. @param reach how deep an arm goes, m */
export const reachNeed = (laying: Laying, part: string, reach: number, device = 'trap', called = 'top of the jaws'): Need => ({
  id: `${device}-service`,
  device,
  of: { part, spot: 'top' },
  from: laying.place.surface,
  min: -reach,
  serves: true,
  broken: { min: 'tooDeep' },
  called,
  origin: 'practice',
});
