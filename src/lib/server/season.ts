import { iceSince } from '#core/ice/sheets';
import type { TrapSet } from '#core/record/kinds';
import { localDate } from '#core/time/localTime';
import { momentsOfFacts, type Facts } from '#lib/season/facts';
import { seasonIn, seasonOf, type Season } from '#lib/season/season';
import { wantedOf } from '#lib/season/surfaces';
import { db } from './database';
import { together } from './repositories/asked';
import { askLastLooks, askTimes } from './repositories/checks';
import { askDevices } from './repositories/gear';
import { askLeftWords } from './repositories/leftWords';
import { askIce, askTold, weatherSince } from './repositories/moving';
import { askGauges, askStations, askWaters } from './repositories/places';
import { packedReadings, readingsAround } from './repositories/readings';
import { askAreas, askRulesInForce } from './repositories/rules';
import { askShares } from './repositories/shares';
import { askEarlier, askGrounds, askOpenings, askSeenLate, askStationLevels } from './repositories/scouting';
import { askCurrentLine, askSets, currentLineId, setsOf } from './repositories/sets';

/** How far back readings and weather reach, that streams are fitted to; ms. */
const HISTORY = 35 * 86_400_000;
/** How far back a reading is told with who read it, ms. */
const NAMED = 4 * 86_400_000;

/** Whatever the zone of a line: who goes where today is among the days since yesterday, ms. */
const DAY = 86_400_000;

/** Layout and page of one request ask for the same season: it is loaded once. */
const loaded = new WeakMap<App.Locals, Promise<ReturnType<typeof seasonOf> | null>>();

/**
 * The season that is under way with its sets in the states asked for, and the readings and the weather of the last five weeks.
 *
 * @returns null when no line was begun
 */
export async function loadSeason(locals: App.Locals, states?: readonly TrapSet['state'][]): Promise<Season | null> {
  const found = loaded.get(locals) ?? factsOf(locals).then((facts) => facts && seasonOf(facts, locals));
  loaded.set(locals, found);
  const all = await found;
  return all && seasonIn(all, states);
}

/** What the record says of the season under way, as of a moment; null when no line was begun. */
export async function factsOf({ who, now }: Pick<App.Locals, 'who' | 'now'>): Promise<Facts | null> {
  const since = new Date(now.getTime() - HISTORY);
  const named = new Date(now.getTime() - NAMED);
  const ownLine = currentLineId(db(), who.crew);
  const packing = packedReadings(db(), { crew: who.crew }, { since, until: now, named });
  // what fails is thrown where it is waited for
  packing.catch(() => undefined);
  const { line, rows, settings, stays, ...rest } = await together(
    db(),
    {
      line: askCurrentLine(db(), who.crew),
      rules: askRulesInForce(db(), who.crew, ownLine),
      areas: askAreas(db(), who.crew),
      ...askSets(db(), who.crew, { line: ownLine }),
      places: askStations(db(), who.crew),
      waters: askWaters(db(), who.crew),
      boards: askGauges(db(), who.crew),
      shed: askDevices(db(), who.crew),
      words: askLeftWords(db(), who.crew),
      shares: askShares(db(), who.crew, localDate(new Date(now.getTime() - DAY), 'UTC')),
      times: askTimes(db(), who.crew, who.person.id),
      looks: askLastLooks(db(), who.crew, ownLine, now),
      depths: askStationLevels(db(), who.crew),
      seen: askIce(db(), who.crew),
      told: askTold(db(), who.crew, now),
      ground: askGrounds(db(), who.crew),
      openings: askOpenings(db(), who.crew),
      earlier: askEarlier(db(), who.crew),
      seenLate: askSeenLate(db(), who.crew, named),
    },
    true,
  );
  if (!line) return null;
  const asked = { ...rest, line, sets: setsOf({ rows, settings, stays }) };
  const wanted = wantedOf(asked.boards, momentsOfFacts(asked, now));
  const [around, packed, weather] = await Promise.all([
    readingsAround(db(), asked.boards, [...wanted.values()]),
    packing,
    weatherSince(db(), who.crew, new Date(Math.min(since.getTime(), iceSince(asked.seen, now).getTime()))),
  ]);
  const beside = new Map([...wanted.keys()].map((key) => [key, around.get(key) ?? []]));
  return { ...asked, since, packed, beside, weather };
}
