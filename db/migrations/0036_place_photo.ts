import type { Knex } from 'knex';

/** A photo of a place, taken where it was marked. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    alter table station add column photo_id uuid,
      add constraint station_has_photo foreign key (crew_id, photo_id) references photo (crew_id, id) deferrable initially deferred`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
