import { redirect } from '@sveltejs/kit';
import { WORK_MINUTES } from '#core/planning/minutes';
import { BODY_WORDS, TYPICAL_BODY } from '#core/units/bodyGauge';
import { parseLength, printLength, smallUnit } from '#core/units/length';
import { db } from '$lib/server/database';
import { attempt, openedOn, reader, refused } from '$lib/server/form';
import { newId } from '$lib/server/newId';
import { record } from '$lib/server/record/write';
import { people } from '$lib/server/repositories/places';
import type { Actions, PageServerLoad } from './$types';

const YEAR = 60 * 60 * 24 * 365;

export const load: PageServerLoad = async ({ locals }) => {
  const { person } = locals.who;
  const tools = Object.entries(person.measures).filter(([word]) => !(BODY_WORDS as readonly string[]).includes(word));
  const crew = await people(db(), locals.who.crew);
  return {
    crew,
    opened: crew.find((p) => p.id === person.id)?.entry,
    me: {
      ...person,
      body: BODY_WORDS.map((word) => ({
        word,
        text: printLength(person.measures[word] ?? TYPICAL_BODY[word], person.system),
        own: word in person.measures,
      })),
      work: Object.entries(WORK_MINUTES).map(([task, { label, minutes }]) => ({
        task,
        label,
        minutes: person.minutes[task] ?? minutes,
        own: task in person.minutes,
      })),
      tools: tools.map(([word, metres]) => `${word} = ${printLength(metres, person.system)}`).join('\n'),
    },
    ids: { entry: newId(), id: newId() },
  };
};

export const actions: Actions = {
  pick: async ({ request, cookies }) => {
    const data = await request.formData();
    cookies.set('person', String(data.get('person') ?? ''), { path: '/', maxAge: YEAR, sameSite: 'lax', httpOnly: true, secure: false });
    redirect(303, '/morning');
  },

  light: async ({ request, cookies }) => {
    const theme = String((await request.formData()).get('theme') ?? 'auto');
    cookies.set('theme', ['firstlight', 'headlamp'].includes(theme) ? theme : 'auto', {
      path: '/',
      maxAge: YEAR,
      sameSite: 'lax',
      secure: false,
    });
    redirect(303, '/people');
  },

  save: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const system = read.text('system') === 'metric' ? 'metric' : 'us';
    const measures: Record<string, number> = {};
    for (const word of BODY_WORDS) {
      const value = read.length(`body.${word}`);
      if (value !== undefined) measures[word] = value;
    }
    const minutes: Record<string, number> = {};
    for (const [task, usual] of Object.entries(WORK_MINUTES)) {
      const value = read.number(`min.${task}`);
      if (value !== undefined && value !== usual.minutes) minutes[task] = value;
    }
    for (const line of read
      .text('tools')
      .split('\n')
      .map((l) => l.trim())
      .filter(Boolean)) {
      const [word = '', text = ''] = line.split('=').map((s) => s.trim());
      const length = parseLength(text, smallUnit(locals.who.person.system));
      if (word && length.ok) measures[word.toLowerCase()] = length.value;
      else read.refuse('tools', `“${line.slice(0, 40)}” is not a tool and its length. Write it like: axe handle = 28 in`);
    }
    if (!read.ok()) return refused(read);
    const own = (await people(db(), locals.who.crew)).find((p) => p.id === locals.who.person.id);
    const body = {
      id: locals.who.person.id,
      name: read.text('name'),
      system: system as 'us' | 'metric',
      measures,
      minutes,
    };
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('entry'),
          crew: locals.who.crew,
          kind: 'person',
          occurredAt: locals.now,
          by: locals.who.person.id,
          ...openedOn(read, { entry: own?.entry ?? '' }),
          body,
        }),
      (path) => (path.startsWith('measures') ? 'tools' : path.replace('minutes.', 'min.')),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/people');
  },

  add: async ({ request, locals, cookies }) => {
    const read = reader(await request.formData(), locals.who);
    const body = { id: read.text('id'), name: read.text('newName'), system: locals.who.person.system, measures: {} };
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('entry'),
          crew: locals.who.crew,
          kind: 'person',
          occurredAt: locals.now,
          by: locals.who.person.id,
          body,
        }),
      () => 'newName',
    );
    if ('failure' in result) return result.failure;
    cookies.set('person', body.id, { path: '/', maxAge: YEAR, sameSite: 'lax', httpOnly: true, secure: false });
    redirect(303, '/people');
  },
};
