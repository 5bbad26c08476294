import { z } from 'zod';
import { FEARS } from '../colony/looks';
import { fullRows, likelyBy, NIGHT_ROWS, NIGHT_SAWS, type NightRow } from '../colony/practice';
import { SPECIES } from '../animals/species';
import { choice, count, date, drawn, id, instant, name, note } from './fieldKinds';

const animals = (label: string) => count(label, 0, 60).int({ error: `${label} is a whole number.` });

/** From how sure on a colony is called done. [practice] */
export const CLEAR = 0.95;

/** A family of animals: the waters it uses, or those of their places that are its own. */
export const colonySchema = z
  .strictObject({
    id: id(),
    name: name('Name'),
    species: choice('Species', SPECIES),
    waters: drawn(
      z
        .array(id('Water'))
        .min(1, { error: 'A colony uses one water at least: tick it.' })
        .max(12, { error: 'A colony uses twelve waters at most.' }),
      'Waters',
    ),
    /** its own places, where several colonies share a water; empty: every place of its waters */
    stations: drawn(z.array(id('Location')).max(200), 'Locations'),
    /** how many lived there before anything was caught, as somebody counted or was told */
    first: drawn(z.strictObject({ low: animals('The least'), high: animals('The most') }), 'How many lived there').nullable(),
    why: note('How that is known', 300),
    /** how likely somebody held each fear beforehand; what is left out is by practice */
    beliefs: drawn(
      z.array(
        z.strictObject({
          fear: choice('What they shy from', FEARS),
          share: z
            .number({ error: 'How likely is a share of a hundred.' })
            .min(0.001, { error: 'Nothing is ruled out before it was met: 0.1% at least.' })
            .max(0.95, { error: 'Nothing is sure before it was met: 95% at most.' }),
        }),
      ),
      'Held beforehand',
    ),
    /** chances a night that somebody holds otherwise than practice */
    likely: drawn(
      z
        .array(
          z.strictObject({
            row: choice('What is true', NIGHT_ROWS as [NightRow, ...NightRow[]]),
            saw: choice('What a night brings', NIGHT_SAWS),
            share: z
              .number({ error: 'A chance is a share of a hundred.' })
              .min(0.0005, { error: 'Nothing is impossible: 0.05% at least.' })
              .max(0.9, { error: 'Nothing is sure in one night: 90% at most.' }),
          }),
        )
        .max(NIGHT_SAWS.length * 5),
      'What a night brings',
    ).default([]),
    /** from how sure on it is called done */
    clear: z
      .number({ error: 'How sure is a share of a hundred.' })
      .min(0.5, { error: 'Less than even odds is not sure: 50% at least.' })
      .max(0.99, { error: 'Nobody is surer than 99% of what hides under water.' })
      .meta({ field: { label: 'Called done at', kind: 'number' } }),
    done: drawn(
      z.strictObject({
        at: instant('Said at'),
        /** how sure it was then; null where nothing could be told */
        chance: z.number().min(0).max(1).nullable(),
        /** when somebody looks again whether anything lives there */
        lookBack: date('Look again on'),
      }),
      'Done',
    ).nullable(),
    note: note('Note'),
  })
  .refine(({ beliefs }) => beliefs.reduce((sum, b) => sum + b.share, 0) <= 0.99, {
    path: ['beliefs', 0, 'share'],
    error: 'Together they are more than 99%: leave something for what nobody thought of.',
  })
  .refine(({ likely }) => fullRows(likelyBy(likely)).length === 0, {
    path: ['likely', 0, 'share'],
    error: 'Together they leave no night without a touch: keep each line under 99%.',
  })
  .refine(({ first }) => first === null || first.low <= first.high, {
    path: ['first'],
    error: 'The least is no more than the most: put the smaller number first.',
  });
