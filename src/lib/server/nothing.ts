import { frameOf } from '#core/ahead/facts';
import { answerOf, QUESTION_IDS, type Answers, type QuestionId } from '#core/interview/questions';
import type { Check, TrapSet } from '#core/record/kinds';
import { lureText } from '#core/lure/lure';
import { settingAt, stateOf } from '#core/sets/standing';
import { topOfCatching } from '#core/water/part';
import { aroundOf, loadKnown } from './around';
import { designOf } from '#lib/season/oneSet';

/** What the record answers of a set that catches nothing, each with where it comes from. */
export interface KnownAnswer {
  answer: string;
  from: string;
}
export type KnownAnswers = Partial<Record<QuestionId, KnownAnswer>>;

/** Outcomes that say that the water left it, or closed over it. */
const MOVED = ['out of water', 'flooded', 'frozen in'];
const DAY = 86_400_000;

export async function knownOf(set: TrapSet, locals: App.Locals): Promise<KnownAnswers> {
  const known = await loadKnown(locals);
  if (!known) return {};
  const { season } = known;
  const { station, type, design, then } = designOf(season, set, locals);
  const around = aroundOf(known, station, type, set, locals);
  const since = settingAt(set, locals.now).at;
  const view = season.views.find((v) => v.id === set.id);
  const state =
    view &&
    stateOf(
      view,
      season.levels[station.water] ?? { known: {}, age: {}, atMost: {} },
      frameOf(season, station.water, locals.who.person.system),
    );
  const found: KnownAnswers = {};
  const put = (id: QuestionId, answer: string, from: string): void => void (found[id] = { answer, from });

  const { verdict, said } = around.use;
  if (around.seen.length > 0 && verdict !== 'unknown')
    put('inUse', verdict === 'holds' ? 'fresh' : verdict === 'warns' ? 'old' : 'no', said);
  const left = around.looks.find((o) => MOVED.includes(o));
  if (state && ['outOfWater', 'tooDeep', 'heldUnder', 'aground', 'frozen', 'spent'].includes(state.verdict))
    put('level', 'moved', `${state.label} now`);
  else if (left) put('level', 'moved', `found ${left} since it was set`);
  else if (state?.verdict === 'fine') put('level', 'stood', 'inside its working range now');
  if (around.looks.some((o) => o === 'sprung empty' || o === 'catch')) put('fires', 'yes', 'it fired since it was set');
  if (around.wentRound > 0) put('seen', 'turns', `${around.wentRound} went round it before the camera`);
  const sticks = design.parts.filter((p) => p.kind === 'stick').length;
  put(
    'across',
    sticks === 0 ? 'open' : sticks < 3 ? 'thin' : 'wall',
    sticks === 0 ? 'built without sticks' : `built with ${sticks} sticks`,
  );
  const water = then[station.surface];
  const top = topOfCatching(design.parts, then);
  if (water !== undefined && top !== null && top <= water) put('sky', 'under', 'it was set under water');
  const met = type.devices.map((c) => around.met[c]).find(Boolean);
  if (met) put('before', 'same', met);
  const scented = design.supplies.some((s) => s.kind === 'lure');
  const { lures } = settingAt(set, locals.now);
  const portions = (lures ?? []).reduce((sum, l) => sum + l.amount, 0);
  put(
    'lure',
    lures ? (portions > 1 ? 'plenty' : portions > 0 ? 'little' : 'none') : scented ? 'little' : 'none',
    lures ? `you said: ${lureText(lures)}` : scented ? 'its type has lure' : 'its type has no lure',
  );
  if (around.users !== '') put('people', 'walkers', `you noted: ${around.users}`);
  const nights = Math.floor((locals.now.getTime() - Date.parse(since)) / DAY);
  if (set.state === 'live') put('waited', nights < 4 ? 'few' : nights <= 7 ? 'some' : 'long', `${nights} nights since it was set`);
  return found;
}

/** The answers of a page's address and of the record together; what somebody answered stands before what the record holds. */
export function answersOf(known: KnownAnswers, given: URLSearchParams): Answers {
  const own = Object.fromEntries(
    QUESTION_IDS.flatMap((id) => {
      const answer = answerOf(id, given.get(id) ?? known[id]?.answer ?? '');
      return answer === undefined ? [] : [[id, answer]];
    }),
  );
  return own as Answers;
}

/** What came of a set after a day: looks, and catches among them. */
export function cameSince(visits: readonly Check[], at: string): { looks: number; caught: number } {
  const after = visits.filter((v) => v.at > at);
  return {
    looks: after.length,
    caught: after.flatMap((v) => v.devices).filter((d) => d.outcome === 'catch').length,
  };
}
