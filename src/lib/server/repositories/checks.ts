import type { Knex } from 'knex';
import { spentAs, SPENDING, type Spent } from '#core/check/spent';
import type { Outcome } from '#core/record/checks';
import type { Catch, Check, CheckedDevice, Device } from '#core/record/kinds';
import { taskOf, type Time } from '#core/run/work';
import { setTypeOf } from '#core/sets/catalogue';
import type { Look } from '#core/sets/view';
import { Refusal } from '../record/refusal';
import { upsert, type Owner } from '../record/upsert';
import type { Asked } from './asked';

/** Writes a visit with what it found at each device. */
export async function putCheck(trx: Knex, body: Check, { crew, entry }: Owner): Promise<void> {
  const { set, devices, changeNote, photo, ...visit } = body;
  await upsert(trx, 'check_visit', { ...visit, set_id: set, change_note: changeNote, photo_id: photo, entry_id: entry }, crew);
  await trx('check_device')
    .where({ crew_id: crew, visit_id: visit.id })
    .whereNotIn(
      'id',
      devices.map((d) => d.id),
    )
    .delete();
  const stays = await trx('stay')
    .select('id', trx.raw('live_from::text'), trx.raw('live_to::text'))
    .whereIn(
      'id',
      devices.map((d) => d.stay),
    )
    .andWhere({ crew_id: crew });
  for (const { stay, baitBy, catch: caught, ...device } of devices) {
    const life = stays.find((s) => s.id === stay);
    if (!life) throw new Refusal({ devices: 'That device does not stand in this set.' }, 'unknown');
    await upsert(
      trx,
      'check_device',
      {
        ...device,
        bait_by: baitBy,
        visit_id: visit.id,
        set_id: set,
        at: visit.at,
        stay_id: stay,
        live_from: life.live_from,
        live_to: life.live_to,
      },
      crew,
    );
    await trx('catch')
      .where({ crew_id: crew, check_id: device.id })
      .whereNot({ id: caught?.id ?? device.id })
      .delete();
    if (caught) {
      const { eatenBy, ...own } = caught;
      await upsert(trx, 'catch', { ...own, eaten_by: eatenBy, check_id: device.id }, crew);
    }
  }
}

export const removeCheck = (trx: Knex, id: string, { crew }: Owner) => trx('check_visit').where({ id, crew_id: crew }).delete();

interface LookRow {
  stay_id: string;
  at: Date | null;
  left_at: Date | null;
  outcome: Outcome | null;
  flags: CheckedDevice['flags'] | null;
  change: Check['change'] | null;
  missed_at: Date | null;
  missed_why: string | null;
}

/** What a look left spent; null where it was set again, or fishes on. */
function spentLook(at: Date | null, change: LookRow['change'], found: Pick<CheckedDevice, 'outcome' | 'flags'> | null): Spent | null {
  const left = found && change === 'as it was' ? spentAs(found) : null;
  return at && left ? { outcome: left, at: at.toISOString() } : null;
}

/** The last time each stay was really looked at, up to a moment, and what it was left as when its set was last left spent or set again. */
export const askLastLooks = (db: Knex, crew: string, line: string | Knex.Raw, until: Date): Asked<LookRow, Record<string, Look>> => ({
  query: db.raw(
    `select y.id as stay_id, c.at, l.at as left_at, l.outcome, l.flags, l.change, m.at as missed_at, m.searched as missed_why
     from trap_set s
     join stay y on y.set_id = s.id and y.live_to = 'infinity'
     left join lateral (select at from check_device where stay_id = y.id and outcome <> 'not reached' and at <= :until order by at desc limit 1) c on true
     left join lateral (select at, searched from check_device where stay_id = y.id and outcome = 'not reached' and at <= :until and at > coalesce(c.at, y.live_from) order by at desc limit 1) m on true
     left join lateral (select d.at, d.outcome, d.flags, v.change from check_device d join check_visit v on v.id = d.visit_id
       where d.stay_id = y.id and d.at <= :until and (v.change <> 'as it was' or d.outcome = any(:spending) or jsonb_exists_any(d.flags, :spending)) order by d.at desc limit 1) l on true
     where s.crew_id = :crew and s.line_id = :line`,
    { crew, line, until, spending: SPENDING },
  ),
  times: ['at', 'left_at', 'missed_at'],
  read: (rows) =>
    Object.fromEntries(
      rows.map(({ stay_id, at, left_at, outcome, flags, change, missed_at, missed_why }): [string, Look] => [
        stay_id,
        {
          at,
          spent: spentLook(left_at, change, outcome && { outcome, flags: flags ?? [] }),
          missed: missed_at ? { at: missed_at.toISOString(), why: missed_why ?? '' } : null,
        },
      ]),
    ),
});

interface Row {
  visit_id: string;
  set_id: string;
  at: Date;
  by: string | null;
  change: Check['change'];
  change_note: string;
  asked: Check['asked'];
  took: number | null;
  photo_id: string | null;
  visit_note: string;
  device_check: string;
  stay_id: string;
  outcome: CheckedDevice['outcome'];
  cause: CheckedDevice['cause'];
  flags: CheckedDevice['flags'];
  searched: string;
  felt: CheckedDevice['felt'];
  bait_by: CheckedDevice['baitBy'];
  catch_id: string | null;
  species: Catch['species'];
  sex: Catch['sex'];
  age: Catch['age'];
  weight: number | null;
  estimated: boolean;
  strikes: Catch['strikes'];
  alive: boolean;
  bites: Catch['bites'];
  tag: string;
  fate: Catch['fate'];
  pelt: Catch['pelt'];
  eaten_by: Catch['eatenBy'];
  lay: Catch['lay'];
}

const COLUMNS = [
  'v.id as visit_id',
  'v.set_id',
  'v.at',
  'v.by',
  'v.change',
  'v.change_note',
  'v.asked',
  'v.took',
  'v.photo_id',
  'v.note as visit_note',
  'c.id as device_check',
  'c.stay_id',
  'c.outcome',
  'c.cause',
  'c.flags',
  'c.searched',
  'c.felt',
  'c.bait_by',
  'k.id as catch_id',
  'k.species',
  'k.sex',
  'k.age',
  'k.weight',
  'k.estimated',
  'k.strikes',
  'k.alive',
  'k.bites',
  'k.tag',
  'k.fate',
  'k.pelt',
  'k.eaten_by',
  'k.lay',
];

function deviceOf(row: Row): CheckedDevice {
  const { species, sex, age, weight, estimated, strikes, alive, bites, fate, pelt, eaten_by: eatenBy, lay, tag } = row;
  const caught = row.catch_id
    ? { id: row.catch_id, species, sex, age, weight, estimated, strikes, alive, bites, fate, pelt, eatenBy, lay, tag }
    : null;
  return {
    id: row.device_check,
    stay: row.stay_id,
    outcome: row.outcome,
    cause: row.cause,
    flags: row.flags,
    searched: row.searched,
    felt: row.felt,
    baitBy: row.bait_by,
    catch: caught,
  };
}

interface Wanted {
  set?: string;
  station?: string;
  line?: string | Knex.Raw;
  limit?: number;
  /** so many of every set */
  each?: number;
}

/** The newest visits: so many of all, or so many of every set, each looked up by its set. */
function visitsOf(db: Knex, crew: string, { set, station, line, limit, each }: Wanted): Knex.QueryBuilder {
  const sets = db('trap_set').where({ crew_id: crew });
  if (set) sets.where({ id: set });
  if (station) sets.where({ station_id: station });
  if (line) sets.where({ line_id: line });
  if (each) {
    const newest = '(select id from check_visit where crew_id = s.crew_id and set_id = s.id order by at desc limit ?) as newest';
    return db.from(sets.select('crew_id', 'id').as('s')).joinRaw(`cross join lateral ${newest}`, [each]).select('newest.id');
  }
  const visits = db('check_visit').select('id').where({ crew_id: crew }).orderBy('at', 'desc');
  if (set || station || line) visits.whereIn('set_id', sets.select('id'));
  return limit ? visits.limit(limit) : visits;
}

/** Visits, newest first: of one set, of one line, or of the crew. */
export async function checks(db: Knex, crew: string, filter: Wanted): Promise<Check[]> {
  const rows: Row[] = await db('check_visit as v')
    .select(COLUMNS)
    .join('check_device as c', { 'c.crew_id': 'v.crew_id', 'c.visit_id': 'v.id' })
    .leftJoin('catch as k', { 'k.crew_id': 'c.crew_id', 'k.check_id': 'c.id' })
    .where('v.crew_id', crew)
    .whereIn('v.id', visitsOf(db, crew, filter))
    .orderBy([{ column: 'v.at', order: 'desc' }, 'v.id', 'c.id']);
  const found = new Map<string, Check>();
  for (const row of rows) {
    const visit = found.get(row.visit_id) ?? {
      id: row.visit_id,
      set: row.set_id,
      at: row.at.toISOString(),
      by: row.by,
      change: row.change,
      changeNote: row.change_note,
      asked: row.asked,
      took: row.took,
      photo: row.photo_id,
      note: row.visit_note,
      devices: [],
    };
    visit.devices.push(deviceOf(row));
    found.set(row.visit_id, visit);
  }
  return [...found.values()];
}

/** What was caught at every place since a moment, of one water or of all. */
export async function catchesSince(
  db: Knex,
  crew: string,
  { since, water }: { since: Date; water?: string },
): Promise<{ station: string; species: string; age: string; at: Date }[]> {
  const found = db('catch as k')
    .select({ station: 's.station_id', species: 'k.species', age: 'k.age', at: 'v.at' })
    .join('check_device as c', 'c.id', 'k.check_id')
    .join('check_visit as v', 'v.id', 'c.visit_id')
    .join('trap_set as s', 's.id', 'v.set_id')
    .where('v.crew_id', crew)
    .where('v.at', '>=', since)
    .orderBy('v.at');
  if (water) found.join('station as p', 'p.id', 's.station_id').where('p.water_id', water);
  return found;
}

/** How many visits in a row, counted back from the last, found every device of a set untouched; by set of a line. */
export async function untouchedInARow(db: Knex, crew: string, line: string): Promise<Record<string, number>> {
  const { rows } = await db.raw<{ rows: { set_id: string; visits: number }[] }>(
    `with look as (
       select v.set_id, v.at, bool_and(d.outcome = 'untouched') as calm
       from check_visit v join check_device d on d.visit_id = v.id join trap_set s on s.id = v.set_id
       where v.crew_id = :crew and s.line_id = :line group by v.crew_id, v.id
     ), stir as (select set_id, max(at) filter (where not calm) as last from look group by set_id)
     select look.set_id, count(*)::int as visits from look join stir using (set_id)
     where look.calm and (stir.last is null or look.at > stir.last) group by look.set_id`,
    { crew, line },
  );
  return Object.fromEntries(rows.map((row) => [row.set_id, row.visits]));
}

/** How many looks there were at devices of each size, and how many of those found one that had to be replaced. */
export async function wornBySize(db: Knex, crew: string): Promise<{ class: Device['class']; size: string; looks: number; lost: number }[]> {
  const { rows } = await db.raw<{ rows: { class: Device['class']; size: string; looks: number; lost: number }[] }>(
    `select t.class, t.size, count(*)::int as looks,
       (count(*) filter (where c.outcome = 'stolen' or jsonb_exists_any(c.flags, array['damaged', 'cable twisted'])))::int as lost
     from check_device c join stay y on y.id = c.stay_id join device t on t.id = y.device_id
     where c.crew_id = :crew and c.outcome <> 'not reached' group by t.class, t.size`,
    { crew },
  );
  return rows;
}

interface TimeRow {
  took: number;
  change: Check['change'];
  outcomes: Outcome[];
  is_alive: boolean;
  type: string;
  is_placed: boolean;
}

/** The times that a person wrote: at checks of this season and earlier ones, and at what was placed. */
export const askTimes = (db: Knex, crew: string, by: string): Asked<TimeRow, Time[]> => ({
  query: db.raw(
    `(select v.took, v.change, array_agg(c.outcome) as outcomes, coalesce(bool_or(k.alive), false) as is_alive, s.type, false as is_placed
       from check_visit v join trap_set s on s.id = v.set_id join check_device c on c.visit_id = v.id left join catch k on k.check_id = c.id
       where v.crew_id = :crew and v.by = :by and v.took is not null group by v.crew_id, v.id, s.type order by v.at desc, v.id limit 200)
     union all
     (select s.took, 'as it was', '{}', false, s.type, true from trap_set s where s.crew_id = :crew and s.by = :by and s.took is not null order by s.id limit 200)`,
    { crew, by },
  ),
  times: [],
  read: (rows) =>
    rows.flatMap(({ took, change, outcomes, is_alive, type, is_placed }): Time[] => {
      const { underIce = false } = setTypeOf(type);
      if (is_placed) return [{ task: underIce ? 'ice' : 'place', minutes: took, type }];
      // through ice the hole is in it: it is no time of a look
      const task = underIce ? null : taskOf({ outcomes, change, isAlive: is_alive });
      return task ? [{ task, minutes: took }] : [];
    }),
});

/** The share of a line's checks that held a catch; 0 while nothing was checked. */
export async function catchShare(db: Knex, crew: string, line: string): Promise<number> {
  const { rows } = await db.raw<{ rows: { checks: string; held: string }[] }>(
    `select count(distinct v.id) as checks, count(distinct v.id) filter (where c.outcome = 'catch') as held
     from check_visit v join check_device c on c.visit_id = v.id join trap_set s on s.id = v.set_id
     where v.crew_id = :crew and s.line_id = :line`,
    { crew, line },
  );
  const { checks, held } = rows[0] ?? { checks: 0, held: 0 };
  return Number(checks) === 0 ? 0 : Number(held) / Number(checks);
}
