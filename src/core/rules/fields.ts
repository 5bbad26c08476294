import { SPECIES } from '../animals/species';
import { DEVICE_CLASSES } from '../devices/sizes';
import { CATCHES, DISTANCES, SITUATIONS, type BookPart } from './book';

/** The rules of a book as plain forms: one form a part, one field a line. What a part says stands in the schema. */

export type BookFieldKind =
  'text' | 'day' | 'date' | 'clock' | 'number' | 'length' | 'way' | 'choice' | 'many' | 'sizes' | 'yes' | 'interval';

export interface BookField {
  /** its place in the rule: `hours.from` lies inside */
  name: string;
  label: string;
  kind: BookFieldKind;
  options?: readonly string[];
  /** it may stay empty */
  optional?: true;
  help?: string;
}

interface PartForm {
  title: string;
  /** what the part holds, in a word or two */
  one: string;
  fields: readonly BookField[];
}

const species: BookField = { name: 'species', label: 'Animal', kind: 'choice', options: SPECIES };
const kinds: BookField = { name: 'species', label: 'For', kind: 'many', options: SPECIES, help: 'none ticked: every animal' };
const classes: BookField = { name: 'classes', label: 'Traps', kind: 'many', options: DEVICE_CLASSES, help: 'none ticked: every kind' };
const area: BookField = { name: 'area', label: 'Area', kind: 'text', optional: true, help: 'empty: everywhere' };
const said: BookField = { name: 'said', label: 'Its own words, its page', kind: 'text', optional: true };

export const PART_FORMS: Readonly<Record<BookPart, PartForm>> = {
  seasons: {
    title: 'Seasons',
    one: 'a season',
    fields: [
      species,
      area,
      { name: 'opens', label: 'Opens', kind: 'day', help: 'month and day, like 11-01' },
      { name: 'closes', label: 'Closes, that day with it', kind: 'day' },
      { name: 'from', label: 'On the first day from', kind: 'clock', optional: true, help: 'like 07:00' },
      { name: 'hours.from', label: 'Every day from', kind: 'clock', optional: true },
      { name: 'hours.to', label: 'Every day to', kind: 'clock', optional: true },
      said,
    ],
  },
  closures: {
    title: 'Closed for a while',
    one: 'a closure',
    fields: [
      species,
      area,
      { name: 'from', label: 'From', kind: 'date' },
      { name: 'until', label: 'Until', kind: 'date', optional: true, help: 'empty: until further notice' },
      { name: 'because', label: 'Because', kind: 'text', optional: true },
      said,
    ],
  },
  limits: {
    title: 'Limits and tags',
    one: 'a limit',
    fields: [
      species,
      { name: 'most', label: 'At most', kind: 'number', optional: true },
      { name: 'per', label: 'In a', kind: 'choice', options: ['season', 'day'] },
      { name: 'tag', label: 'Every one carries a tag', kind: 'yes' },
      said,
    ],
  },
  devices: {
    title: 'Approved traps',
    one: 'an approved trap',
    fields: [
      { name: 'class', label: 'Trap', kind: 'choice', options: DEVICE_CLASSES },
      { name: 'sizes', label: 'Sizes', kind: 'sizes', optional: true, help: 'like 220, 330; empty: every size' },
      kinds,
      { name: 'least', label: 'It has to be at least', kind: 'choice', options: SITUATIONS },
      said,
    ],
  },
  distances: {
    title: 'Distances',
    one: 'a distance',
    fields: [
      { name: 'from', label: 'From a', kind: 'choice', options: DISTANCES },
      { name: 'least', label: 'At least', kind: 'way' },
      classes,
      said,
    ],
  },
  checks: {
    title: 'Checks',
    one: 'an interval',
    fields: [
      classes,
      { name: 'situation', label: 'Where they are at least', kind: 'choice', options: SITUATIONS, optional: true },
      { name: 'underIce', label: 'Under ice only', kind: 'yes' },
      { name: 'every', label: 'Looked at', kind: 'interval' },
      said,
    ],
  },
  loops: {
    title: 'Loops',
    one: 'a rule for loops',
    fields: [
      kinds,
      { name: 'most', label: 'Loop at most', kind: 'length', optional: true },
      { name: 'least', label: 'Loop at least', kind: 'length', optional: true },
      { name: 'stop', label: 'With a stop', kind: 'yes' },
      { name: 'breakaway', label: 'With a breakaway', kind: 'yes' },
      said,
    ],
  },
  submersion: {
    title: 'Submersion',
    one: 'a rule for submersion',
    fields: [classes, { name: 'must', label: 'They have to be', kind: 'choice', options: ['fully under', 'not fully under'] }, said],
  },
  dams: {
    title: 'Dams',
    one: 'a rule for dams',
    fields: [{ name: 'opening', label: 'Opening a dam is', kind: 'choice', options: ['allowed', 'with leave', 'not allowed'] }, said],
  },
  spare: {
    title: 'To spare others',
    one: 'a measure',
    fields: [species, classes, { name: 'measure', label: 'What is done', kind: 'text' }, said],
  },
  tell: {
    title: 'Who is told of a catch',
    one: 'a duty',
    fields: [
      kinds,
      { name: 'of', label: 'Of', kind: 'choice', options: CATCHES },
      { name: 'whom', label: 'Who is told', kind: 'text' },
      { name: 'hours', label: 'Within hours', kind: 'number' },
      { name: 'how', label: 'How', kind: 'text', optional: true },
      said,
    ],
  },
  ground: {
    title: 'Leave of the ground',
    one: 'a rule for the ground',
    fields: [{ name: 'leave', label: 'Leave has to be', kind: 'choice', options: ['written', 'spoken'] }, said],
  },
};
