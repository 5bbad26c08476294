import { z } from 'zod';
import { AGE_CLASSES, BITES, EATERS, FATES, HEAVIEST, LAYS, PELTS, SEXES, SPECIES, STRIKES, type Species } from '../animals/species';
import { tookField } from '../run/took';
import { choice, id, instant, note, yes } from './fieldKinds';

export const OUTCOMES = [
  'untouched',
  'catch',
  'sprung empty',
  'knocked',
  'plugged',
  'miss',
  'escaped',
  'missing',
  'stolen',
  'buried',
  'out of water',
  'flooded',
  'frozen in',
  'bait taken',
  'not reached',
] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** What an outcome means, beside its button. */
export const OUTCOME_HELP: Record<Outcome, string> = {
  untouched: 'as it was set',
  catch: 'an animal in it',
  'sprung empty': 'fired, nothing in it',
  knocked: 'moved, or the loop down',
  plugged: 'mud or sticks in it',
  miss: 'hair, a toe, chewed',
  escaped: 'it was held, and got away',
  missing: 'the trap is not there',
  stolen: 'looked for, and taken by somebody',
  buried: 'under mud, sand or shoved ice',
  'out of water': 'the level left it dry',
  flooded: 'the level went over it',
  'frozen in': 'held by ice',
  'bait taken': 'and not fired',
  'not reached': 'say why',
};

export const CAUSES = [
  'not asked',
  'current or debris',
  'animal',
  'own chisel',
  'neighbour on the shared tie',
  'thief',
  'do not know',
] as const;
/** What an animal that got away felt, as far as hair, a toe or the ground tell. */
export const FELT = ['not said', 'brushed it', 'chewed at it', 'pinched', 'held, and got off'] as const;
export type Felt = (typeof FELT)[number];
/** Outcomes after which somebody may know it. */
export const FELT_AFTER: readonly Outcome[] = ['miss', 'escaped', 'sprung empty', 'knocked'];
/** Who took a bait, as far as tracks and what is left of it tell. */
export const BAIT_BY = ['not said', 'its own animal', 'another animal', 'birds', 'water or ice'] as const;
/** Outcomes and flags after which somebody may know it. */
export const isBaitGone = (outcome: Outcome, flags: readonly string[]): boolean => outcome === 'bait taken' || flags.includes('bait gone');
/** A cause as it is said; what is kept keeps its first wording. */
export const causeText = (cause: (typeof CAUSES)[number]): string =>
  cause === 'neighbour on the shared tie' ? 'the catch on the same tie' : cause;
export const FLAGS = [
  'bait gone',
  'damaged',
  'cable twisted',
  'trigger bent',
  'moved',
  'anchor dragged',
  'camera pulled',
  'water changed',
  'place visited',
  'went round',
] as const;
export const CHANGES = ['as it was', 'remade', 'moved', 'pulled'] as const;
export const ANSWERS = ['not asked', 'yes', 'no', 'do not know'] as const;

export const catchSchema = z
  .strictObject({
    id: id(),
    species: choice('Species', SPECIES),
    sex: choice('Sex', SEXES),
    age: choice('Age', AGE_CLASSES),
    /** kg */
    weight: z
      .number({ error: 'A weight is a number.' })
      .nullable()
      .meta({ field: { label: 'Weight', kind: 'weight' } }),
    estimated: yes('Weight estimated'),
    strikes: z.array(choice('Strike place', STRIKES)).max(STRIKES.length),
    alive: yes('Alive on arrival'),
    bites: choice('Bite marks', BITES),
    fate: choice('Fate', FATES),
    pelt: choice('Pelt', PELTS).default('not looked'),
    /** who ate of it before somebody came */
    eatenBy: choice('Eaten by', EATERS).default('not said'),
    /** where on its tether it lay: a slide that stopped short let it breathe */
    lay: choice('It lay', LAYS).default('not said'),
    /** the number of the tag on it, where a rulebook wants one */
    tag: note('Tag on it', 40),
  })
  .refine(({ weight }) => weight === null || weight > 0, {
    path: ['weight'],
    error: 'A weight is more than 0. Leave the field empty when it was not weighed.',
  })
  .refine(({ weight, species }) => weight === null || weight <= HEAVIEST[species as Species], {
    path: ['weight'],
    error: ({ input }) => {
      const { species } = input as { species: Species };
      return `More than ${HEAVIEST[species]} kg for a ${species}: check the weight and its unit.`;
    },
  });

export const checkedDeviceSchema = z
  .strictObject({
    id: id(),
    stay: id('Trap in its place'),
    outcome: choice('Outcome', OUTCOMES),
    cause: choice('Sprung by', CAUSES),
    flags: z.array(choice('Flag', FLAGS)).max(FLAGS.length),
    /** where a missing device was looked for, or why it was not reached */
    searched: note('Where looked, or why not reached', 300),
    /** what the animal felt that got away: it decides what it has learned */
    felt: choice('What it felt', FELT).default('not said'),
    /** who took its bait: another than its own animal tells nothing of that one */
    baitBy: choice('Bait taken by', BAIT_BY).default('not said'),
    catch: catchSchema.nullable(),
  })
  .refine((d) => (d.outcome === 'catch') === (d.catch !== null), {
    path: ['catch'],
    error: 'A catch needs its animal, and only a catch has one.',
  })
  .refine((d) => (d.outcome !== 'missing' && d.outcome !== 'stolen') || d.searched !== '', {
    path: ['searched'],
    error:
      'Missing is mostly a catch. Say where it was looked for: from the anchor, at the reach of the tether, the deep end, under the repair, over the dam.',
  })
  .refine((d) => d.outcome !== 'not reached' || d.searched !== '', { path: ['searched'], error: 'Say why it was not reached.' });

export const checkSchema = z.strictObject({
  id: id(),
  set: id('Set'),
  at: instant('Checked at'),
  by: id('Checked by').nullable(),
  change: choice('Then', CHANGES),
  changeNote: note('Changed how', 300),
  /** asked at the second untouched in a row */
  asked: z
    .strictObject({
      seenOnCamera: choice('Seen on camera', ANSWERS),
      inUse: choice('Place in use', ANSWERS),
      usedBefore: note('Used here before', 300),
    })
    .nullable()
    .default(null),
  /** minutes at the set, from its first look to its last */
  took: tookField(),
  /** a photo kept beside the record */
  photo: id('Photo').nullable().default(null),
  devices: z.array(checkedDeviceSchema).min(1, { error: 'A check looks at one trap at least.' }).max(20),
  note: note('Note'),
});

/** Outcomes after which the device did not fish to the end of the interval. */
export const SPRUNG: readonly Outcome[] = ['catch', 'sprung empty', 'knocked', 'plugged', 'miss', 'escaped', 'missing', 'stolen', 'buried'];
