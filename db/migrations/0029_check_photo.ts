import type { Knex } from 'knex';

/** A photo taken at a check. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    alter table check_visit add column photo_id uuid,
      add constraint visit_has_photo foreign key (crew_id, photo_id) references photo (crew_id, id) deferrable initially deferred`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
