import { many } from '#core/units/many';
import { together } from '$lib/server/repositories/asked';
import { askTimes } from '$lib/server/repositories/checks';
import { error, redirect } from '@sveltejs/kit';
import { setTypeOf } from '#core/sets/catalogue';
import { minutesOf, placedOften, placingOf, TASKS, TIMES_WANTED, WORK_MINUTES, type Takes } from '#core/run/work';
import { BODY_WORDS, TYPICAL_BODY } from '#core/units/bodyGauge';
import { parseLength, printLength, smallUnit } from '#core/units/length';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { openedOn, reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { readPlace } from '$lib/server/placeForm';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import { people, sites } from '$lib/server/repositories/places';
import { currentLine } from '$lib/server/repositories/sets';
import type { Actions, PageServerLoad } from './$types';

const YEAR = 60 * 60 * 24 * 365;

export const load: PageServerLoad = async ({ locals }) => {
  const { person } = locals.who;
  const tools = Object.entries(person.measures).filter(([word]) => !(BODY_WORDS as readonly string[]).includes(word));
  const [crew, line, times] = await Promise.all([
    people(db(), locals.who.crew),
    currentLine(db(), locals.who.crew),
    together(db(), { times: askTimes(db(), locals.who.crew, person.id) }),
  ]);
  const takes = minutesOf(person.minutes, times.times);
  return {
    crew,
    isNear: locals.isNear,
    isOwner: locals.role === 'owner',
    opened: crew.find((p) => p.id === person.id)?.entry,
    me: {
      ...person,
      body: BODY_WORDS.map((word) => ({
        word,
        text: printLength(person.measures[word] ?? TYPICAL_BODY[word], person.system),
        own: word in person.measures,
      })),
      work: TASKS.map((task) => ({ task, label: WORK_MINUTES[task].label, typed: printed(person.minutes[task]), ...saysOf(takes[task]) })),
      placing: placedOften(times.times).map((type) => ({
        name: setTypeOf(type).name,
        ...saysOf(placingOf(type, takes.place, times.times)),
      })),
      tools: tools.map(([word, metres]) => `${word} = ${printLength(metres, person.system)}`).join('\n'),
    },
    line: line && { name: line.name, zone: line.zone, lat: degrees(line.lat), lon: degrees(line.lon), entry: line.entry },
    ids: { entry: newId(), id: newId(), line: newId() },
  };
};

const printed = (minutes: number | undefined): string => (minutes === undefined ? '' : String(Number(minutes.toFixed(1))));

/** Where the minutes of a task come from that nobody typed. */
function saysOf({ minutes, low, high, times, from }: Takes): { says: string; origin: string } {
  if (from === 'typed') return { says: '', origin: 'you set' };
  if (from === 'practice') return { says: `${printed(minutes)} min until ${TIMES_WANTED} were written`, origin: 'rule of thumb' };
  return { says: `${printed(minutes)} min, mostly ${printed(low)} to ${printed(high)}, by ${many(times, 'stop')}`, origin: 'you measured' };
}

const degrees = (value: number | null): string => (value === null ? '' : String(Math.round(value * 1e5) / 1e5));

export const actions: Actions = {
  /** The line's name, zone and place; ground of which nobody said where it lies takes the place with it. */
  line: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const line = await currentLine(db(), locals.who.crew);
    if (!line) return refused(read, 'No line was begun yet.');
    const place = readPlace(read);
    if (!read.ok()) return refused(read);
    const entry = read.text('lineEntry');
    const common = { crew: locals.who.crew, occurredAt: locals.now, by: locals.who.person.id };
    const unplaced = place.lat === null ? [] : (await sites(db(), locals.who.crew)).filter((s) => s.lat === null);
    const result = await attempt(
      read,
      () =>
        record(
          db(),
          {
            ...common,
            id: entry,
            kind: 'line',
            ...openedOn(read, line),
            body: { ...bodyOf(line), name: read.text('lineName'), zone: read.text('zone'), ...place },
          },
          ...unplaced.map((site) => ({
            ...common,
            id: idBeside(entry, site.id),
            kind: 'site' as const,
            opened: site.entry,
            body: { ...bodyOf(site), ...place },
          })),
        ),
      (path) => (path === 'name' ? 'lineName' : path),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/people');
  },

  pick: async ({ request, cookies, locals }) => {
    if (!locals.isNear) error(403, `This device was paired for ${locals.who.person.name} and works as nobody else.`);
    const data = await request.formData();
    const picked = (await people(db(), locals.who.crew)).find((p) => p.id === data.get('person'));
    if (!picked) error(400, 'Nobody of this crew is called so: choose again from the list.');
    cookies.set('person', picked.id, { path: '/', maxAge: YEAR, sameSite: 'lax', httpOnly: true, secure: false });
    const back = String(data.get('back') ?? '');
    redirect(303, /^\/check\/[0-9a-f-]{36}(\?[\w=&%+-]*)?$/.test(back) ? back : '/morning');
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
    for (const task of TASKS) {
      const value = read.number(`min.${task}`);
      if (value !== undefined) minutes[task] = value;
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
      times: (['12h', '24h'] as const).find((t) => t === read.text('times')) ?? locals.who.person.times,
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
