import type { Card } from '#core/card/card';
import { CARD_FORMAT, CARD_VERSION } from '#core/card/card';
import { hangingOf } from '#core/units/frame';
import { frameOf } from '#core/ahead/facts';
import { movingOf } from '#core/ahead/moving';
import { filled, handsOf } from '#core/sets/fills';
import { placeOf, settingAt } from '#core/sets/standing';
import { bedOf } from '#core/stations/placed';
import { armAndWaders } from '#core/units/bodyGauge';
import { trackAt, trackOf } from '#core/water/track';
import type { Known } from '#core/water/levels';
import { outcomesText } from '#core/record/sentence';
import { aroundOf, loadKnown } from './around';
import { db } from './database';
import { designOf } from '#lib/season/oneSet';
import { checks } from './repositories/checks';

const HOUR = 3_600_000;
/** Hours ahead that a card tells. */
const AHEAD = [12, 24, 48, 72];

const levels = ({ pond, tail, sheet }: Known): Card['then'] => ({
  ...(pond === undefined ? {} : { pond }),
  ...(tail === undefined ? {} : { tail }),
  ...(sheet === undefined ? {} : { sheet }),
});

/** A set as a friend is shown it: facts without position, owner or people. Null where there is no such set. @param questions what its sender asks */
export async function cardOf(id: string, questions: string, locals: App.Locals): Promise<Card | null> {
  const known = await loadKnown(locals);
  const set = known?.season.sets.find((s) => s.id === id);
  if (!known || !set) return null;
  const { season } = known;
  const { now, who } = locals;
  const { station, type, devices, then } = designOf(season, set, locals);
  const setting = settingAt(set, now);
  const water = season.waters.find((w) => w.id === station.water);
  const place = placeOf(station, season.follows[station.id] ?? null);
  const measured = filled(type, place, then, { numbers: setting.numbers, devices });
  const course = movingOf(season, now).waters[station.water]?.[station.surface];
  const track = course && trackOf(course.courses, course.from.getTime());
  const around = aroundOf(known, station, type, set, locals);
  const visits = await checks(db(), who.crew, { line: season.line.id });
  return {
    format: CARD_FORMAT,
    version: CARD_VERSION,
    from: who.person.name,
    written: minute(now),
    zone: season.line.zone,
    set: {
      ...{ id: set.id, number: set.number, name: set.name, type: set.type, species: set.species, state: set.state, anchor: set.anchor },
      since: set.state === 'planned' ? null : setting.at,
    },
    numbers: {
      ...(handsOf(type, armAndWaders(who.person.measures)) as Record<string, number>),
      ...Object.fromEntries(Object.entries(measured).map(([key, { value }]) => [key, value])),
      ...setting.numbers,
    },
    choices: setting.choices,
    ...(setting.lures ? { lures: setting.lures.map((l) => ({ ...l, stock: null })) } : {}),
    devices,
    place: {
      ...{ name: station.name, kind: station.kind, surface: station.surface, along: station.along, bed: bedOf(station) },
      ...{ water: water?.name ?? '', waterKind: water?.kind ?? 'pond', profile: water?.profile ?? [] },
    },
    then: levels(then),
    now: levels(season.levels[station.water]?.known ?? {}),
    gauges: hangingOf(frameOf(season, station.water, who.person.system)),
    ahead: track ? AHEAD.map((hours) => ({ hours, ...trackAt(track, now.getTime() + hours * HOUR) })) : [],
    outcomes: visits
      .filter((v) => v.set === set.id)
      .sort((a, b) => a.at.localeCompare(b.at))
      .map((v) => ({
        at: v.at,
        found: outcomesText(v.devices.map((d) => d.outcome)).slice(0, 300),
        changed: [v.change === 'as it was' ? '' : v.change, v.changeNote].filter(Boolean).join(', ').slice(0, 300),
      })),
    told: [around.use.said, ...Object.values(around.met)].filter(Boolean).map((text) => text.slice(0, 400)),
    questions,
  };
}

const minute = (at: Date): string => new Date(Math.floor(at.getTime() / 60_000) * 60_000).toISOString();
