import { error, redirect } from '@sveltejs/kit';
import { firstCause, likelyCauses, LOOK_AGAIN } from '#core/interview/causes';
import { ASKS, nextQuestion, QUESTION_IDS, QUESTIONS, type Answers } from '#core/interview/questions';
import { setTypeOf } from '#core/sets/catalogue';
import { dateText } from '#core/time/clock';
import { addDays, localDate, wholeMinute } from '#core/time/localTime';
import { CAUSE_WORDS, sureText } from '#core/words/interview';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { isId, newId } from '#lib/form/newId';
import { answersOf, cameSince, knownOf } from '$lib/server/nothing';
import { record } from '$lib/server/record/write';
import { checks } from '$lib/server/repositories/checks';
import { interviewsOf } from '$lib/server/repositories/interviews';
import { loadSeason } from '$lib/server/season';
import type { Actions, PageServerLoad } from './$types';

/** The set that is asked about, where one was chosen. */
async function find(locals: App.Locals, url: URL) {
  const season = await loadSeason(locals, ['live', 'pulled', 'prepared', 'planned']);
  const id = url.searchParams.get('set') ?? '';
  if (id === '') return { season, set: undefined };
  const set = season?.sets.find((s) => s.id === id);
  if (!isId(id) || !set) error(404, 'There is no such set in this record.');
  return { season, set };
}

export const load: PageServerLoad = async ({ locals, url }) => {
  const { season, set } = await find(locals, url);
  const known = set ? await knownOf(set, locals) : {};
  const answers = answersOf(known, url.searchParams);
  const asks = nextQuestion(answers);
  const zone = season?.line.zone ?? 'UTC';
  const today = localDate(locals.now, zone);
  const date = (text: string): string => dateText(text, today, season?.clock.hours ?? 24);
  const water = url.searchParams.get('water') ?? '';
  return {
    set: set ? { id: set.id, text: `${set.number} ${set.name}`, type: setTypeOf(set.type).name.toLowerCase() } : null,
    /** sets to choose from, before anything was asked */
    sets: (season?.sets ?? [])
      .filter((s) => s.state === 'live')
      .filter((s) => water === '' || season?.stations.find((t) => t.id === s.station)?.water === water)
      .map((s) => ({ id: s.id, text: `${s.number} ${s.name}` })),
    water,
    begun: url.searchParams.has('begun') || set !== undefined,
    question: asks && { id: asks, text: ASKS[asks], options: Object.entries(QUESTIONS[asks]).map(([value, text]) => ({ value, text })) },
    step: { at: QUESTION_IDS.filter((q) => answers[q] !== undefined).length + 1, of: QUESTION_IDS.length },
    given: [...url.searchParams.entries()].filter(([name]) => name !== 'saved').map(([name, value]) => ({ name, value })),
    answered: QUESTION_IDS.flatMap((q) => {
      const answer = answers[q];
      if (answer === undefined) return [];
      const told = url.searchParams.get(q) === answer ? 'you' : (known[q]?.from ?? '');
      return [
        { id: q, ask: ASKS[q], text: (QUESTIONS[q] as Record<string, string>)[answer] ?? '', from: told, again: withoutAnswer(url, q) },
      ];
    }),
    result: asks === null ? resultOf(answers, addDays, today, date) : null,
    earlier: set ? await earlierOf(set.id, locals, date, zone) : [],
    saved: url.searchParams.has('saved'),
    ids: { entry: newId(), id: newId() },
  };
};

function withoutAnswer(url: URL, question: string): string {
  const rest = new URLSearchParams(url.searchParams);
  rest.set(question, '?');
  return `?${rest.toString()}`;
}

function resultOf(answers: Answers, plus: typeof addDays, today: string, date: (text: string) => string) {
  const first = firstCause(answers);
  return {
    ...CAUSE_WORDS[first.cause],
    sure: sureText(first.share),
    again: date(plus(today, LOOK_AGAIN[first.cause])),
    others: likelyCauses(answers)
      .filter((c) => c.cause !== first.cause)
      .slice(0, 3)
      .map((c) => ({ is: CAUSE_WORDS[c.cause].is, sure: sureText(c.share), share: c.share })),
    share: first.share,
  };
}

/** What was answered of this set before, held against what came. */
async function earlierOf(set: string, { who }: App.Locals, date: (text: string) => string, zone: string) {
  const [asked, visits] = await Promise.all([interviewsOf(db(), who.crew, set), checks(db(), who.crew, { set })]);
  return asked.map((own) => ({
    id: own.id,
    entry: own.entry,
    when: date(localDate(new Date(own.at), zone)),
    is: CAUSE_WORDS[own.cause].is,
    change: CAUSE_WORDS[own.cause].change,
    sure: sureText(own.share),
    again: date(own.again),
    came: cameSince(visits, own.at),
  }));
}

export const actions: Actions = {
  /** the answers stay with the set */
  default: async ({ request, locals, url }) => {
    const { season, set } = await find(locals, url);
    const read = reader(await request.formData(), locals.who);
    const answers = answersOf(set ? await knownOf(set, locals) : {}, url.searchParams);
    if (nextQuestion(answers) !== null) return refused(read, 'Answer every question first.');
    const first = firstCause(answers);
    const water = url.searchParams.get('water') ?? '';
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'interview',
        occurredAt: locals.now,
        by: locals.who.person.id,
        body: {
          id: read.text('id'),
          set: set?.id ?? null,
          water: isId(water) ? water : null,
          at: wholeMinute(locals.now).toISOString(),
          answers: answers as Record<string, string>,
          cause: first.cause,
          share: Math.round(first.share * 1000) / 1000,
          again: addDays(localDate(locals.now, season?.line.zone ?? 'UTC'), LOOK_AGAIN[first.cause]),
          note: read.text('note'),
        },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, set ? `/morning/nothing?set=${set.id}&saved=1` : '/morning/nothing?saved=1');
  },
};
