import type { ZodError } from 'zod';
import { issuesOf } from '#core/record/issues';
import type { Body, Kind } from '#core/record/kinds';
import type { Entry } from '../repositories/entries';

/** What was changed under an open form: the body it was opened on, the truth now, and the entry that made it so. */
export interface Stale {
  kind: Kind;
  was: Body<Kind>;
  is: Body<Kind>;
  latest: Entry;
}

/** Something the record did not take, in words, beside the field it is about. */
export class Refusal extends Error {
  constructor(
    readonly fields: Record<string, string>,
    readonly code: 'input' | 'conflict' | 'differs' | 'unknown' | 'stale' = 'input',
    readonly stale: Stale | null = null,
  ) {
    super(Object.values(fields).join(' '));
  }
}

/** The sentence for each constraint of the database, and the field it stands beside. */
const CONSTRAINTS: Record<string, [field: string, sentence: string]> = {
  device_in_one_set: ['devices', 'That trap already stands in another set at that time. Take another tag, or pull it there first.'],
  position_holds_one: ['devices', 'That place in the set already holds a trap at that time.'],
  check_within_life: [
    'at',
    'That time does not fit: a trap is checked after it was placed and not after it was pulled. Change the time, or correct the placing first.',
  ],
  pulled_after_placed: ['at', 'A trap cannot be pulled before it was placed.'],
  stock_name_once: ['name', 'The shed keeps something of that name already: move its stock instead.'],
  kit_name_once: ['name', 'Another kit has that name.'],
  move_has_stock: ['stock', 'There is no such stock in the shed.'],
  move_has_set: ['set', 'There is no such set.'],
  tag_once: ['tag', 'Another trap carries that tag already.'],
  set_number_once: ['number', 'Another set of this line has that number.'],
  station_number_once: ['number', 'Another location has that number.'],
  one_gauge_a_surface: ['surface', 'This water already has a gauge on that surface.'],
  entry_id_once: ['form', 'Already saved with other values. Open it in the book to correct it.'],
  corrected_once: ['corrects', 'This entry was corrected already: correct the newer one.'],
  corrects_an_entry: ['corrects', 'There is no such entry to correct.'],
  catch_weighs_something: ['weight', 'A weight is more than 0 and less than 100 kg.'],
  device_checked_once: ['devices', 'A visit looks at each trap once.'],
  check_of_stay: ['devices', 'That trap does not stand in this set.'],
  check_of_stay_of_set: ['devices', 'That trap stands in another set: check it there.'],
  setting_time_once: ['at', 'Two settings of one set cannot have the same minute.'],
  set_has_station: ['station', 'There is no such location.'],
  set_has_line: ['line', 'There is no such line.'],
  set_has_person: ['by', 'There is no such person in this crew.'],
  visit_has_person: ['by', 'There is no such person in this crew.'],
  visit_has_set: ['set', 'There is no such set.'],
  reading_has_gauge: ['gauge', 'There is no such gauge.'],
  reading_has_set: ['set', 'There is no such set.'],
  stay_has_device: ['devices', 'There is no such trap in the shed.'],
  station_has_water: ['water', 'There is no such water.'],
  gauge_has_water: ['water', 'There is no such water.'],
  water_has_site: ['site', 'There is no such site.'],
  sign_has_station: ['station', 'There is no such location.'],
  visit_has_photo: ['photo', 'The photo did not arrive: take it again.'],
  station_has_photo: ['photo', 'The photo did not arrive: take it again.'],
  sign_has_photo: ['photo', 'The photo did not arrive: choose it again.'],
  station_has_parent: ['parent', 'There is no such location to belong to.'],
  station_not_its_own_parent: ['parent', 'A location cannot belong to itself.'],
  crest_has_its_time: ['since', 'A crest read from debris needs the time before which it cannot have been.'],
  crest_time_in_order: ['since', 'The crest cannot have come after it was read.'],
  station_level_has_station: ['station', 'There is no such location.'],
  ground_has_site: ['site', 'There is no such site.'],
  ground_has_water: ['water', 'There is no such water.'],
  earlier_has_water: ['water', 'There is no such water.'],
  earlier_has_station: ['station', 'There is no such location.'],
  survey_has_water: ['water', 'There is no such water.'],
  survey_has_station: ['station', 'There is no such location.'],
  camera_has_station: ['station', 'There is no such location.'],
  camera_time_in_order: ['to', 'The watch cannot end before it began.'],
  opening_has_water: ['water', 'There is no such water.'],
  opening_time_in_order: ['mended', 'A break cannot be plugged before it was opened.'],
  ice_has_water: ['water', 'There is no such water.'],
  ice_has_station: ['station', 'There is no such location.'],
  logged_has_gauge: ['gauge', 'There is no such gauge.'],
  forecast_has_gauge: ['gauge', 'There is no such gauge.'],
  told_rise_has_gauge: ['gauge', 'There is no such gauge.'],
  told_rise_in_order: ['until', 'It cannot be all there before it was told.'],
  intent_once: ['station', 'Something is intended at that place already: correct it in the book.'],
  intent_has_station: ['station', 'There is no such location.'],
  intent_has_line: ['line', 'There is no such line.'],
  entry_is_kept: ['entry', 'An entry is never rewritten: correct it with a new one.'],
};

/** A refusal out of a constraint that the database named; null when the error is something else. */
export function refusalOf(error: unknown): Refusal | null {
  if (error instanceof Refusal) return error;
  const { constraint, code } = (error ?? {}) as { constraint?: string; code?: string };
  if (!constraint) return code === '22P02' ? new Refusal({ id: 'That is not an id of this record.' }, 'unknown') : null;
  const known = CONSTRAINTS[constraint];
  return known
    ? new Refusal({ [known[0]]: known[1] }, 'conflict')
    : new Refusal({ form: `The record does not take this (${constraint.replaceAll('_', ' ')}).` }, 'conflict');
}

/** A refusal out of a schema's issues. */
export const refusalOfIssues = (error: ZodError): Refusal => new Refusal(issuesOf(error));
