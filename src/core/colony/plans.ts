import { z } from 'zod';
import { GEAR, type Gear } from '../sim/colony/rules';
import type { Break, Post } from '../sim/colony/night';
import type { Plan, Setting } from '../sim/colony/trapline';
import { inches } from '../units/factors';
import { MODEL_ACRES, MODEL_GROUNDS, MODEL_INFLOW, MODEL_PLACES, modelPost } from './modelPond';

const whole = (label: string, min: number, max: number) =>
  z.coerce
    .number({ error: `${label} is a whole number from ${min} to ${max}.` })
    .int({ error: `${label} is a whole number from ${min} to ${max}.` })
    .min(min, { error: `${label} is ${min} at least.` })
    .max(max, { error: `${label} is ${max} at most.` });
const one = <T extends string>(label: string, options: readonly [T, ...T[]]) =>
  z.enum(options, { error: `${label}: pick one of the list.` });

export const PACES = ['all', 'two', 'one'] as const;
export const BREAKS = ['none', 'small', 'wide'] as const;
export const AFTER_A_MISS = ['same', 'bodyGrip', 'foothold', 'snare'] as const;
export const FROSTS = ['none', 'late', 'early'] as const;
export const KNOWN_GEAR = ['practice', 'nothing', 'bodyGrip', 'foothold', 'snare'] as const;

/** One plan as it is picked. */
const planSchema = z.strictObject({
  gear: one('First with', GEAR as [Gear, ...Gear[]]),
  traps: whole('Traps', 1, 14),
  pace: one('Pace', PACES),
  breaks: one('Dam', BREAKS),
  every: whole('Nights between two checks', 1, 7),
  miss: one('After a miss', AFTER_A_MISS),
});
export type PickedPlan = z.infer<typeof planSchema>;

/** What both plans share. */
const pondSchema = z.strictObject({
  lived: whole('Beaver living there', 1, 15),
  nights: whole('Nights', 3, 60),
  frost: one('Frost', FROSTS),
  knows: one('They know', KNOWN_GEAR),
  minutes: whole('Minutes a day', 45, 720),
});
export type PickedPond = z.infer<typeof pondSchema>;

/** A fair pair to begin with: everything at once against one a night. */
export const FIRST_PLAN: PickedPlan = { gear: 'bodyGrip', traps: 6, pace: 'all', breaks: 'none', every: 1, miss: 'same' };
export const SECOND_PLAN: PickedPlan = { ...FIRST_PLAN, pace: 'one' };
export const USUAL_POND: PickedPond = { lived: 6, nights: 14, frost: 'none', knows: 'practice', minutes: 300 };

/** A colony that surely knows, or surely does not. */
const SURELY = { yes: 1, no: 0 };
const COLD = { none: Infinity, late: 8, early: 3 };
const PACE = { all: Infinity, two: 2, one: 1 };
/** @source common practice; the small one are two of 6 in together */
const OPENED: Record<(typeof BREAKS)[number], Break | null> = {
  none: null,
  small: { width: inches(12), depth: inches(6) },
  wide: { width: inches(24), depth: inches(12) },
};

/** The model's pond with what was picked for it. @param month 1 to 12 */
export const settingOf = ({ lived, nights, frost, knows }: PickedPond, month: number): Setting => ({
  acres: MODEL_ACRES,
  inflow: MODEL_INFLOW,
  grounds: MODEL_GROUNDS,
  lived: {
    expected: lived,
    least: Math.min(lived, 1),
    ...(knows === 'practice' ? {} : { taught: Object.fromEntries(GEAR.map((gear) => [gear, gear === knows ? SURELY.yes : SURELY.no])) }),
  },
  nights,
  month,
  cold: COLD[frost],
});

/** A picked plan as sets of the model: the best places first, then a second set at each. @param minutes of a day */
export function planOf({ gear, traps, pace, breaks, every, miss }: PickedPlan, minutes: number): Plan {
  const posts = listed(gear, traps);
  const instead =
    miss === 'same'
      ? undefined
      : new Map(
          posts.flatMap((post) => [post.ground].flatMap((ground) => (modelPost(ground, miss, 1) ? [[post.id, changed(post, miss)]] : []))),
        );
  return { posts, traps, pace: PACE[pace], breaks: OPENED[breaks], every, minutes, ...(instead ? { instead } : {}) };
}

const changed = (post: Post, gear: Gear): Post => modelPost(post.ground, gear, 1) ?? post;

function listed(gear: Gear, traps: number): Post[] {
  const found: Post[] = [];
  for (let nth = 1; found.length < traps; nth += 1)
    for (const { id } of MODEL_PLACES) found.push(...[modelPost(id, gear, nth)].flatMap((post) => (post ? [post] : [])));
  return found.slice(0, traps);
}

/** The two plans and their pond as a link says them; what it does not say is as practice begins. */
export interface Picked {
  pond: PickedPond;
  plans: readonly [PickedPlan, PickedPlan];
  seed: number;
}
export const SEEDS = 999_999;
const seedSchema = whole('Seed', 1, SEEDS);

/** Reads a link. @returns what was picked, and at its field what is wrong with the rest: there the usual stands */
export function pickedFrom(said: (name: string) => string | null): { picked: Picked; errors: Record<string, string> } {
  const errors: Record<string, string> = {};
  const read = <T extends Record<string, unknown>>(schema: z.ZodObject, usual: T, prefix: string): T =>
    Object.fromEntries(
      Object.entries(usual).map(([key, value]) => {
        const text = said(prefix + key);
        const field = schema.shape[key];
        if (text === null || text.trim() === '' || !field) return [key, value];
        const found = z.safeParse(field, text);
        if (found.success) return [key, found.data];
        errors[prefix + key] = found.error.issues[0]?.message ?? 'This cannot be read.';
        return [key, value];
      }),
    ) as T;
  const pond = read(pondSchema, USUAL_POND, '');
  const plans = [read(planSchema, FIRST_PLAN, 'a.'), read(planSchema, SECOND_PLAN, 'b.')] as const;
  const seed = seedSchema.safeParse(said('seed') ?? '1');
  if (!seed.success) errors.seed = seed.error.issues[0]?.message ?? '';
  return { picked: { pond, plans, seed: seed.data ?? 1 }, errors };
}
