import { inches } from '../units/factors';
import type { RulebookDraft } from './book';

/** Two invented jurisdictions that differ in everything a book can say: to begin with, to try and to test. None is that of any place. */

const feet = (n: number): number => Math.round(n * 30.48) / 100;

/** A district that looks daily, closes otter for a while and keeps large body-grips partly under water. */
export const TARN_DISTRICT: RulebookDraft = {
  schema: 1,
  jurisdiction: 'Tarn district (invented)',
  edition: 'third',
  seasons: [
    { id: 'season-beaver', species: 'beaver', area: '', opens: '10-15', closes: '04-30', from: '07:00' },
    { id: 'season-muskrat', species: 'muskrat', area: '', opens: '11-01', closes: '03-15' },
    { id: 'season-mink', species: 'mink', area: '', opens: '11-01', closes: '02-28' },
    { id: 'season-otter', species: 'otter', area: '', opens: '12-01', closes: '02-28' },
    { id: 'season-raccoon', species: 'raccoon', area: '', opens: '10-15', closes: '02-28' },
  ],
  closures: [{ id: 'closed-otter', species: 'otter', area: '', from: '2025-07-01', until: '2028-06-30', because: 'few were counted' }],
  limits: [{ id: 'limit-otter', species: 'otter', most: 2, per: 'season', tag: true }],
  devices: [
    { id: 'grip-small', class: 'bodyGrip', sizes: ['110', '120', '155', '160'], species: [], least: 'on dry ground' },
    { id: 'grip-large', class: 'bodyGrip', sizes: ['220', '280', '330'], species: [], least: 'partly under' },
    { id: 'foothold', class: 'foothold', sizes: [], species: [], least: 'in the watercourse' },
    { id: 'snare', class: 'snare', sizes: [], species: ['beaver', 'otter'], least: 'partly under' },
    { id: 'enclosed', class: 'enclosed', sizes: [], species: ['raccoon'], least: 'on dry ground' },
  ],
  distances: [{ id: 'far-dwelling', from: 'dwelling', least: feet(150), classes: ['bodyGrip', 'snare'] }],
  checks: [{ id: 'check-daily', every: { kind: 'elapsed', hours: 24 } }],
  loops: [{ id: 'loop', species: ['beaver'], most: inches(12), least: null }],
  submersion: [],
  dams: [{ id: 'dam', opening: 'with leave' }],
  spare: [{ id: 'spare-otter', species: 'otter', classes: ['bodyGrip'], measure: 'the trigger to one side wherever otter sign is found' }],
  tell: [
    {
      id: 'tell-incidental',
      species: [],
      of: 'incidental',
      whom: 'the district office',
      hours: 24,
      how: 'by telephone, with place and condition',
    },
  ],
  ground: [{ id: 'leave', leave: 'written' }],
};

/** A province that looks by the date, weekly under ice, wants body-grips fully under, and has areas and bag limits. */
export const SLATE_PROVINCE: RulebookDraft = {
  schema: 1,
  jurisdiction: 'Slate province (invented)',
  edition: 'first',
  seasons: [
    { id: 'beaver-north', species: 'beaver', area: 'north', opens: '10-01', closes: '05-15' },
    { id: 'beaver-south', species: 'beaver', area: 'south', opens: '11-10', closes: '03-31' },
    { id: 'muskrat', species: 'muskrat', area: '', opens: '11-25', closes: '04-15' },
    { id: 'mink', species: 'mink', area: '', opens: '11-10', closes: '01-31', hours: { from: '05:00', to: '21:00' } },
    { id: 'otter', species: 'otter', area: '', opens: '11-10', closes: '03-31' },
  ],
  limits: [
    { id: 'bag-otter', species: 'otter', most: 4, per: 'season', tag: true },
    { id: 'bag-mink', species: 'mink', most: 6, per: 'day', tag: false },
  ],
  devices: [
    { id: 'grips', class: 'bodyGrip', sizes: ['120', '160', '220', '330'], species: [], least: 'fully under' },
    { id: 'footholds', class: 'foothold', sizes: ['1', '1½', '2', '3', '4', '5'], species: [], least: 'partly under' },
    { id: 'snares', class: 'snare', sizes: [], species: ['beaver'], least: 'in the watercourse' },
  ],
  distances: [
    { id: 'from-lodge', from: 'lodge', least: 5, classes: [] },
    { id: 'from-road', from: 'road', least: 30, classes: ['bodyGrip'] },
  ],
  checks: [
    { id: 'ice-weekly', underIce: true, every: { kind: 'calendarDay', days: 7 } },
    { id: 'under-three-days', situation: 'fully under', every: { kind: 'calendarDay', days: 3 } },
    { id: 'daylight', every: { kind: 'daylight', days: 1, after: 30 } },
  ],
  loops: [{ id: 'loops', species: [], most: inches(10), least: inches(5), stop: true, breakaway: true }],
  submersion: [{ id: 'grips-under', classes: ['bodyGrip'], must: 'fully under' }],
  dams: [{ id: 'no-dam', opening: 'not allowed' }],
  spare: [{ id: 'roof', species: 'other', classes: ['bodyGrip'], measure: 'a roof over every one that stands above water' }],
  tell: [
    { id: 'register', species: ['otter'], of: 'every catch', whom: 'the registry', hours: 72, how: 'with the number of its tag' },
    { id: 'warden', species: [], of: 'incidental', whom: 'the warden', hours: 12, how: 'and keep it for him' },
  ],
  ground: [{ id: 'leave-spoken', leave: 'spoken' }],
};
