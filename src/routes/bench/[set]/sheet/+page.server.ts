import { ordersOf } from '#core/sets/secondTie';
import { lyingKnown } from '#core/sets/fills';
import { redirect } from '@sveltejs/kit';
import { cutAndCarry } from '#core/gear/carry';
import { armingCheck } from '#core/sets/arming';
import { atWork } from '#core/sets/order';
import { remakeOrders } from '#core/sets/remake';
import { placeOf } from '#core/sets/standing';
import { printLength } from '#core/units/length';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { judged, ruleReader } from '#lib/bench/ruled';
import type { Season } from '#lib/season/season';
import type { TrapSet } from '#core/record/kinds';
import { answerText } from '#core/words/rules';
import { newId } from '#lib/form/newId';
import { oneSet } from '$lib/server/oneSet';
import { photoFrom } from '$lib/server/photo';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { season, set, station, type, setting, then, devices, design } = await oneSet(locals, params.set);
  const { system } = locals.who.person;
  const levels = season.levels[station.water]?.known ?? {};
  const again = url.searchParams.get('as') === 'remake';
  const place = placeOf(station, season.follows[station.id] ?? null);
  const work = atWork(
    { choices: setting.choices, devices, then, place },
    design,
    lyingKnown(type, { numbers: setting.numbers, place, then }),
  );
  const numbers = Object.entries(type.numbers).flatMap(([key, spec]) => {
    const value = setting.numbers[key];
    return value === undefined
      ? []
      : [{ label: spec.label, text: spec.unit === 'share' ? `${Math.round(value * 100)}%` : printLength(value, system) }];
  });
  return {
    set: {
      id: set.id,
      number: set.number,
      name: set.name,
      anchor: set.anchor,
      hole: set.hole,
      state: set.state,
      photoLeft: set.photoLeft,
      photoFound: set.photoFound,
    },
    type: type.id,
    place: `${season.waters.find((w) => w.id === station.water)?.name ?? ''}, ${station.number} ${station.name}`,
    surface: station.surface,
    known: levels,
    made: then[station.surface] ?? null,
    numbers,
    design,
    carry: cutAndCarry(design, type.tools),
    poles: design.parts.flatMap((p) => (p.marks ? [{ id: p.id, what: p.stock ?? p.id, length: p.height, marks: p.marks }] : [])),
    arming: armingCheck(type, devices, setting.choices),
    work,
    /** what the rulebook in force says of it, each with its rule */
    ruled: ruledHere(season, set, locals),
    orders: again ? remakeOrders(type, work, setting.lures) : ordersOf(type, work),
    again,
    entry: newId(),
    saved: url.searchParams.has('saved'),
  };
};

function ruledHere(season: Season, set: TrapSet, locals: App.Locals) {
  const { rules } = season;
  if (!rules) return null;
  const as = ruleReader(season, locals.who.person.system, locals.now);
  const { jurisdiction, edition } = rules.book;
  return {
    book: `${jurisdiction}${edition ? `, ${edition}` : ''}, version ${rules.version}`,
    exemption: set.exemption,
    answers: judged(rules.book, season, set, locals).map((a) => ({
      verdict: a.verdict,
      rule: a.rule ?? '',
      text: answerText(a as never, as),
    })),
  };
}

export const actions: Actions = {
  /** keeps a photo of the place, as it is left or as it is found again */
  photo: async ({ request, locals, params }) => {
    const { set } = await oneSet(locals, params.set);
    const data = await request.formData();
    const read = reader(data, locals.who);
    const photo = await photoFrom(read, data.get('photo'), locals.who.crew);
    if (!photo && read.ok()) read.refuse('photo', 'Choose a photo of the place first.');
    if (!photo || !read.ok()) return refused(read);
    const which = read.text('which') === 'found' ? 'photoFound' : 'photoLeft';
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'set',
        occurredAt: locals.now,
        by: locals.who.person.id,
        opened: set.entry,
        body: { ...bodyOf(set), [which]: photo },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/bench/${set.id}/sheet?saved=1`);
  },
};
