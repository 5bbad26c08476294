import { redirect } from '@sveltejs/kit';
import type { Draft } from '#core/record/kinds';
import { wholeMinute } from '#core/time/localTime';
import { db } from './database';
import { attempt, refused } from './form';
import type { Reader } from '#lib/form/reader';
import { idBeside } from '#lib/form/newId';
import { record } from './record/write';
import type { NewEntry } from '#core/record/entry';

/** Saves a guided reading, with what else it writes, and shows it. The fault of a mark stands beside its row. */
export async function saveSurvey(
  read: Reader,
  locals: App.Locals,
  body: Omit<Draft<'survey'>, 'at'>,
  also: (at: Date) => NewEntry[] = () => [],
  list = 'gaps',
) {
  if (!read.ok()) return refused(read);
  const at = wholeMinute(locals.now);
  const survey: Draft<'survey'> = { ...body, at: at.toISOString() };
  const result = await attempt(
    read,
    () =>
      record(
        db(),
        { id: read.text('entry'), crew: locals.who.crew, kind: 'survey', occurredAt: at, by: locals.who.person.id, body: survey },
        ...also(at),
      ),
    (path) => {
      const mark = new RegExp(`^found\\.${list}\\.(\\d+)\\.(\\w+)$`).exec(path);
      return mark ? `${mark[1]}.${mark[2]}` : path.startsWith(`found.${list}`) ? 'marks' : path.replace('found.', '');
    },
  );
  if ('failure' in result) return result.failure;
  redirect(303, `/waters/${body.water}/read/${body.id}`);
}

/** Ice that was measured in probe holes, as ice of the place: it grows the sheet. */
export const iceInHoles = (
  holes: readonly { ice: number | null }[],
  { water, station = null }: Pick<Draft<'survey'>, 'water' | 'station'>,
  form: string,
  at: Date,
  { who }: App.Locals,
): NewEntry[] =>
  holes.flatMap(({ ice }, n): NewEntry[] =>
    ice === null
      ? []
      : [
          {
            id: idBeside(form, `ice entry ${n}`),
            crew: who.crew,
            kind: 'ice',
            occurredAt: at,
            by: who.person.id,
            body: {
              ...{ id: idBeside(form, `ice ${n}`), water, station, at: at.toISOString(), seen: 'measured', thickness: ice },
              ...{ by: who.person.id, note: `in probe hole ${n + 1}` },
            },
          },
        ],
  );
