import { entrySentence } from '#core/record/sentence';
import { KINDS, KIND_WORDS, type Body, type Kind } from '#core/record/kinds';
import { clockOf, whenText } from '#core/time/clock';
import { addDays, instantOf, isDay } from '#core/time/localTime';
import { accidents, bySpecies, type SetTotal } from '#core/effort/totals';
import { db } from '$lib/server/database';
import { isId } from '#lib/form/newId';
import { namesOf } from '$lib/server/names';
import { log, PAGE } from '$lib/server/repositories/entries';
import { currentLine } from '$lib/server/repositories/sets';
import { seasonTotals } from '$lib/server/totals';
import type { PageServerLoad } from './$types';

/** Kinds that the program writes without being asked. */
const BY_ITSELF: readonly Kind[] = ['forecast', 'weather'];

export const load: PageServerLoad = async ({ locals, url }) => {
  const ask = (name: string): string => url.searchParams.get(name) ?? '';
  const added = seasonTotals(locals);
  const named = namesOf(locals.who.crew);
  // what fails is thrown where it is waited for
  for (const begun of [added, named]) begun.catch(() => undefined);
  const line = await currentLine(db(), locals.who.crew);
  const zone = line?.zone ?? 'UTC';
  const clock = clockOf(locals.who.person, zone);
  const kind = KINDS.find((k) => k === ask('kind'));
  const page = Math.max(1, Math.floor(Number(ask('page'))) || 1);
  const filter = {
    // what the program keeps by itself is shown when it is asked for
    kinds: kind ? [kind] : KINDS.filter((k) => !BY_ITSELF.includes(k)),
    ...(isId(ask('set')) ? { set: ask('set') } : {}),
    ...(isDay(ask('from')) ? { from: instantOf(ask('from'), '00:00', zone) } : {}),
    ...(isDay(ask('to')) ? { to: instantOf(addDays(ask('to'), 1), '00:00', zone) } : {}),
    page,
  };
  const [{ entries, total }, totals, names] = await Promise.all([log(db(), locals.who.crew, filter), added, named]);
  const { system } = locals.who.person;
  return {
    filter: { kind: kind ?? '', set: ask('set'), from: ask('from'), to: ask('to') },
    page,
    errors: Object.fromEntries(
      ['from', 'to'].flatMap((name) =>
        ask(name) === '' || isDay(ask(name)) ? [] : [[name, 'That is no day of the calendar: all days are shown.']],
      ),
    ),
    pages: Math.max(1, Math.ceil(total / PAGE)),
    total,
    kinds: KINDS.map((value) => ({ value, text: KIND_WORDS[value] })),
    sets: Object.entries(names.sets).map(([value, text]) => ({ value, text })),
    entries: entries.map((e) => ({
      id: e.id,
      when: whenText(e.occurred_at, locals.now, clock),
      by: e.by_name ?? '',
      kind: KIND_WORDS[e.kind],
      withdrawn: e.withdrawn,
      corrects: e.corrects !== null,
      corrected: e.corrected_by !== null,
      reason: e.reason,
      text: e.withdrawn ? `${KIND_WORDS[e.kind]} withdrawn` : entrySentence(e.kind as Kind, e.body as Body<Kind>, names.all, system),
    })),
    totals: totals && totalsOf(totals, filter.set),
  };
};

/** What is shown over the log: of all sets, or of the one that the log is narrowed to. */
function totalsOf(all: SetTotal[], set: string | undefined) {
  const sets = all.filter((t) => set === undefined || t.id === set);
  return { sets, species: bySpecies(sets), also: accidents(sets), one: set !== undefined };
}
