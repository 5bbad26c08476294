import type { Knex } from 'knex';

/** The book grown to so many entries: those of the demo again and again, about things of their own. */
async function bookOf(db: Knex, entries: number): Promise<void> {
  await db.raw(
    `insert into entry (id, crew_id, kind, subject, occurred_at, recorded_at, by, withdrawn, reason, body, body_hash, version)
     select gen_random_uuid(), crew_id, kind, md5('book' || subject || n)::uuid, occurred_at - interval '1 year' * (1 + n % 9), recorded_at, by, withdrawn, reason, body, body_hash, version
     from entry, generate_series(1, (select ? / count(*) from entry)::int) as n`,
    [entries],
  );
}

/** Nine older seasons beside the demo's own: the same sets, stays, checks, catches and readings, each a year further back, from behind the demo's last season on. Current truth only, for timing. @param entries in the book */
export async function tenfold(db: Knex, entries = 250_000): Promise<void> {
  await db.transaction(async (trx) => {
    await trx.raw('set constraints all deferred');
    for (let k = 1; k <= 9; k += 1) {
      const id = (column: string): string => `md5(${column}::text || '${k}')::uuid`;
      const back = `- interval '${(k + 1) * 364} days'`;
      await trx.raw(
        `insert into line select ${id('id')}, crew_id, entry_id, name, 'before ${k}', zone, lat, lon, rule, rulebook from line where season = '3'`,
      );
      await trx.raw(
        `insert into trap_set select ${id('s.id')}, s.crew_id, s.entry_id, ${id('s.line_id')}, s.number, s.name, s.type, s.species, s.station_id, 'pulled', null, s.armed, s.anchor, s.by, s.left_because, s.note from trap_set s join line l on l.id = s.line_id where l.season = '3'`,
      );
      await trx.raw(
        `insert into setting select ${id('x.id')}, x.crew_id, ${id('x.set_id')}, x.at ${back}, x.numbers, x.choices, x.noted from setting x join trap_set s on s.id = x.set_id join line l on l.id = s.line_id where l.season = '3'`,
      );
      await trx.raw(
        `insert into stay select ${id('y.id')}, y.crew_id, ${id('y.set_id')}, y.position, y.device_id, y.live_from ${back}, (case when y.live_to = 'infinity' then timestamptz '2026-11-25 11:22Z' else y.live_to end) ${back} from stay y join trap_set s on s.id = y.set_id join line l on l.id = s.line_id where l.season = '3'`,
      );
      await trx.raw(
        `insert into check_visit select ${id('v.id')}, v.crew_id, v.entry_id, ${id('v.set_id')}, v.at ${back}, v.by, v.change, v.change_note, v.asked, v.note from check_visit v join trap_set s on s.id = v.set_id join line l on l.id = s.line_id where l.season = '3'`,
      );
      await trx.raw(
        `insert into check_device select ${id('c.id')}, c.crew_id, ${id('c.visit_id')}, ${id('c.set_id')}, c.at ${back}, ${id('c.stay_id')}, c.live_from ${back}, (case when c.live_to = 'infinity' then timestamptz '2026-11-25 11:22Z' else c.live_to end) ${back}, c.outcome, c.cause, c.flags, c.searched
         from check_device c join trap_set s on s.id = c.set_id join line l on l.id = s.line_id where l.season = '3'`,
      );
      await trx.raw(
        `insert into catch select ${id('k.id')}, k.crew_id, ${id('k.check_id')}, k.species, k.sex, k.age, k.weight, k.estimated, k.strikes, k.alive, k.bites, k.fate from catch k join check_device c on c.id = k.check_id join trap_set s on s.id = c.set_id join line l on l.id = s.line_id where l.season = '3'`,
      );
      await trx.raw(
        `insert into reading (id, crew_id, entry_id, gauge_id, at, level, bound, source, note) select ${id('id')}, crew_id, entry_id, gauge_id, at ${back}, level, bound, source, note from reading where bound <> 'crest' and at > timestamptz '2026-11-25 11:22Z' - interval '30 days'`,
      );
    }
  });
  await bookOf(db, entries);
  await db.raw('vacuum analyze');
}
