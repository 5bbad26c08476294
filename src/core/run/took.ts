import { z } from 'zod';

const TOOK = 'Minutes at a set are between 0.5 and 600.';

/** A time that somebody wrote, as it is kept; nobody stands at one set for half a day. */
export const tookField = () =>
  z
    .number({ error: TOOK })
    .min(0.5, { error: TOOK })
    .max(600, { error: TOOK })
    .nullable()
    .default(null)
    .meta({ field: { label: 'Minutes it took', kind: 'number' } });
