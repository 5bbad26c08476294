import { z } from 'zod';
import { SPECIES } from '../animals/species';
import { DEVICE_CLASSES, SIZES } from '../devices/sizes';
import { CHOICE_KEYS } from './keys';
import type { System } from '../units/factors';
import { numberFaults } from './ranges';
import { MEASURE_IDS } from '../stations/measures';
import type { ChoiceSpec, NumberSpec, SetType } from './setType';
import { STATION_KINDS } from '../stations/kinds';
import { atWorkUsually } from './order';

const words = z.string().min(3);

/** What is asked only where a choice says so. */
const when = z.strictObject({ choice: z.enum(CHOICE_KEYS), is: z.union([z.string(), z.array(z.string())]) }).optional();

const numberSpec = z
  .strictObject({
    label: words,
    help: z.string(),
    unit: z.enum(['length', 'share', 'weight']),
    default: z.number().optional(),
    min: z.number(),
    max: z.number(),
    origin: z.enum(['measured', 'yours', 'practice', 'published', 'computed']),
    withLevel: z.union([z.literal(1), z.literal(-1)]).optional(),
    from: z.array(z.enum(MEASURE_IDS)).min(1).optional(),
    plus: z.enum(MEASURE_IDS).optional(),
    less: z.enum(MEASURE_IDS).optional(),
    lessOwn: z.custom<NonNullable<NumberSpec['lessOwn']>>((v) => typeof v === 'function').optional(),
    fromWithLevel: z.union([z.literal(1), z.literal(-1)]).optional(),
    when,
  })
  .refine((spec) => spec.min < spec.max, { error: 'A range begins under its end.' })
  .refine((spec) => spec.default === undefined || (spec.default >= spec.min && spec.default <= spec.max), {
    error: 'The default lies outside the range.',
  });

const filled = z
  .strictObject({ class: z.enum(DEVICE_CLASSES), size: z.string() })
  .refine((d) => SIZES[d.class].includes(d.size), { error: 'No such size of that class.' });

/** Everything of a set type that is data; what it computes is a function beside it. A type that does not fit it does not enter the catalogue (tested). */
export const setTypeSchema = z
  .looseObject({
    id: z.string().regex(/^[a-z]+(-[a-z]+)*$/),
    name: words,
    idea: words,
    species: z.array(z.enum(SPECIES)).min(1),
    stations: z.array(z.enum(STATION_KINDS)).min(1),
    devices: z.array(z.enum(DEVICE_CLASSES)).min(1),
    positions: z.array(z.strictObject({ id: z.string(), label: words, optional: z.boolean() })).min(1),
    usual: filled,
    variants: z
      .array(
        z.strictObject({
          id: z.string(),
          name: words,
          device: filled.optional(),
          fills: z.number().int().min(2).optional(),
          choices: z.record(z.string(), z.string()).optional(),
          numbers: z.record(z.string(), z.number()).optional(),
        }),
      )
      .optional(),
    months: z.array(z.number().int().min(1).max(12)).min(1).optional(),
    fit: words,
    tools: z.array(words).min(1),
    faults: z.array(words).min(1),
    numbers: z.record(z.string(), numberSpec),
    choices: z.record(
      z.string(),
      z
        .strictObject({
          label: words,
          options: z.record(z.string(), z.string()),
          default: z.string(),
          ofPlace: z.literal(true).optional(),
          seldom: z.literal(true).optional(),
          when,
          from: z.custom<NonNullable<ChoiceSpec['from']>>((v) => typeof v === 'object' && v !== null && 'is' in v).optional(),
        })
        .refine((c) => c.default in c.options, { error: 'The default is no option.' }),
    ),
    orders: z.custom<SetType['orders']>((orders) => typeof orders === 'function', { error: 'The order of hands is missing.' }),
  })
  .refine((type) => type.devices.includes(type.usual.class), {
    path: ['usual'],
    error: 'The usual trap is of no class that the type takes.',
  })
  .refine((type) => oneLastTouch(type as unknown as SetType), {
    path: ['orders'],
    error: 'One step of every order is the last moment of reach.',
  });

const oneLastTouch = (type: SetType): boolean =>
  type.devices.every((device) =>
    type.orders({ ...atWorkUsually(type), device }).every(({ steps }) => steps.filter((s) => s.lastReach).length === 1),
  );

/** The one schema for the geometry of a type: its numbers, each within its range; SI. @param system in which a range is told */
export const numbersSchema = (type: SetType, system: System = 'us') =>
  z.record(z.string().max(40), z.number()).superRefine((numbers, context) => {
    for (const [key, message] of numberFaults(type, numbers, system)) context.addIssue({ code: 'custom', path: [key], message });
  });
