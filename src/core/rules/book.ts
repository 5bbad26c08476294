import { z } from 'zod';
import { SPECIES } from '../animals/species';
import { DEVICE_CLASSES, SIZES, type DeviceClass } from '../devices/sizes';
import { checkRuleSchema } from './checkRule';
import { isMonthDay, overlap } from './dates';

/** The schema of a rulebook as it is written to a file; a higher number is from a later program. */
export const BOOK_SCHEMA = 1;

/** How a device stands in the water: asked, never inferred from the kind of place. The wettest last. */
export const SITUATIONS = ['on dry ground', 'in the watercourse', 'partly under', 'fully under'] as const;
export type Situation = (typeof SITUATIONS)[number];
export const DISTANCES = ['lodge', 'dam', 'culvert', 'road', 'dwelling'] as const;
export const CATCHES = ['every catch', 'incidental'] as const;

const text = (max = 200) => z.string().trim().max(max).default('');
const key = z
  .string()
  .trim()
  .min(1, { error: 'A rule has an id by which it is named, like “season-beaver”.' })
  .max(40, { error: 'The id of a rule has at most 40 characters.' });
const monthDay = z.string().refine(isMonthDay, { error: 'There is no such day of the year: write month and day like 11-25.' });
const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'Write a time of day like 07:00.' });
const species = z.enum(SPECIES, { error: `An unknown species: there are ${SPECIES.join(', ')}.` });
const deviceClass = z.enum(DEVICE_CLASSES, { error: `An unknown kind of trap: there are ${DEVICE_CLASSES.join(', ')}.` });
const classes = z.array(deviceClass).max(4).default([]);
const kinds = z.array(species).max(6).default([]);
const metres = z.number({ error: 'A length is a number of metres.' }).min(0, { error: 'A length is 0 or more, in metres.' }).max(1000);
const situation = z.enum(SITUATIONS, { error: `A situation is one of: ${SITUATIONS.join(', ')}.` });
const list = <T extends z.ZodType>(rule: T) => z.array(rule).max(60, { error: 'At most 60 rules of a kind.' }).default([]);
const rule = { id: key, said: text() };

/** From a day to a day of every year, both with it; over the turn of the year where it ends before it begins. */
const season = z.strictObject({
  ...rule,
  species,
  area: text(60),
  opens: monthDay,
  closes: monthDay,
  /** time on the first day from which it is open */
  from: clock.nullable().default(null),
  /** hours of the day in which sets may be made */
  hours: z.strictObject({ from: clock, to: clock }).nullable().default(null),
});

const date = z.iso.date({ error: 'There is no such date: write it like 2026-12-05.' });

const closure = z
  .strictObject({ ...rule, species, area: text(60), from: date, until: date.nullable().default(null), because: text() })
  .refine((c) => c.until === null || c.until >= c.from, { path: ['until'], error: 'It ends before it begins.' });

const limit = z.strictObject({
  ...rule,
  species,
  most: z.number().int({ error: 'A limit is a whole number.' }).min(0).max(100_000).nullable().default(null),
  per: z.enum(['day', 'season'], { error: 'A limit is per day or per season.' }),
  /** every one of it carries a tag */
  tag: z.boolean().default(false),
});

const device = z
  .strictObject({ ...rule, class: deviceClass, sizes: z.array(z.string().max(20)).max(20).default([]), species: kinds, least: situation })
  .refine((d) => d.sizes.every((s) => SIZES[d.class].includes(s)), {
    path: ['sizes'],
    error: ({ input }) => `No such size: there are ${SIZES[(input as { class: DeviceClass }).class].join(', ')}.`,
  });

/** A rulebook: form, file, row and demo are held to this one schema. */
export const rulebookSchema = z
  .strictObject({
    schema: z.literal(BOOK_SCHEMA, {
      error: ({ input }) =>
        typeof input === 'number' && input > BOOK_SCHEMA
          ? `This rulebook has schema ${input}, of a later Zaprud; this one reads schema ${BOOK_SCHEMA}.`
          : `The schema of a rulebook is ${BOOK_SCHEMA}.`,
    }),
    jurisdiction: z
      .string({ error: 'A rulebook names its jurisdiction.' })
      .trim()
      .min(1, { error: 'A rulebook names its jurisdiction.' })
      .max(80),
    edition: text(40),
    seasons: list(season),
    closures: list(closure),
    limits: list(limit),
    /** what is approved: of a class that is named here nothing else is */
    devices: list(device),
    distances: list(z.strictObject({ ...rule, from: z.enum(DISTANCES), least: metres, classes })),
    checks: list(
      z.strictObject({
        ...rule,
        classes,
        situation: situation.nullable().default(null),
        underIce: z.boolean().default(false),
        every: checkRuleSchema,
      }),
    ),
    loops: list(
      z.strictObject({
        ...rule,
        species: kinds,
        most: metres.nullable().default(null),
        least: metres.nullable().default(null),
        stop: z.boolean().default(false),
        breakaway: z.boolean().default(false),
      }),
    ),
    submersion: list(z.strictObject({ ...rule, classes, must: z.enum(['fully under', 'not fully under']) })),
    dams: list(z.strictObject({ ...rule, opening: z.enum(['allowed', 'with leave', 'not allowed']) })),
    spare: list(z.strictObject({ ...rule, species, classes, measure: text(300) })),
    tell: list(
      z.strictObject({
        ...rule,
        species: kinds,
        of: z.enum(CATCHES),
        whom: text(80),
        hours: z
          .number()
          .min(1)
          .max(24 * 60),
        how: text(),
      }),
    ),
    ground: list(z.strictObject({ ...rule, leave: z.enum(['written', 'spoken']) })),
  })
  .superRefine((book, refuse) => {
    const seen = new Set<string>();
    for (const part of PARTS)
      for (const [n, { id }] of book[part].entries()) {
        if (seen.has(id))
          refuse.addIssue({
            code: 'custom',
            path: [part, n, 'id'],
            message: `Two rules are called “${id}”: each answer names its rule by it.`,
          });
        seen.add(id);
      }
    for (const [n, later] of book.seasons.entries()) {
      const first = book.seasons.slice(0, n).find((s) => s.species === later.species && s.area === later.area && overlap(s, later));
      if (first)
        refuse.addIssue({
          code: 'custom',
          path: ['seasons', n, 'opens'],
          message: `This season of ${later.species} overlaps “${first.id}” (${first.opens} to ${first.closes}): end one before the other begins, or give them different areas.`,
        });
    }
  });

export const PARTS = [
  'seasons',
  'closures',
  'limits',
  'devices',
  'distances',
  'checks',
  'loops',
  'submersion',
  'dams',
  'spare',
  'tell',
  'ground',
] as const;
export type BookPart = (typeof PARTS)[number];
export type Rulebook = z.infer<typeof rulebookSchema>;
export type RulebookDraft = z.input<typeof rulebookSchema>;
export type BookRule<P extends BookPart> = Rulebook[P][number];
