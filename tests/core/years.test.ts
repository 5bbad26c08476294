import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { builtText, hourCaught, setYear, stoodFrom } from '#core/ledger/years';
import type { Check } from '#core/record/kinds';
import { setTypeOf } from '#core/sets/catalogue';
import { inches } from '#core/units/factors';
import { gaveText, meantText } from '#core/words/years';
import { AS_SET } from '../support/looked';

const device = (over: Partial<Check['devices'][number]>): Check['devices'][number] => ({
  ...{
    id: 'd',
    stay: 's',
    ...AS_SET,
  },
  ...over,
});
const visit = (at: string, ...devices: Check['devices']): Check =>
  ({
    ...{ id: at, set: 's', at, by: 'p', change: 'as it was', changeNote: '', asked: null, took: null, photo: null, note: '', devices },
  }) as unknown as Check;
const caught = (species: string) => device({ outcome: 'catch', catch: { species } as Check['devices'][number]['catch'] });

describe('what a set gave in its year', () => {
  const visits = [
    visit('2026-11-03T15:00:00Z', caught('beaver'), caught('muskrat')),
    visit('2026-11-04T15:00:00Z', device({ outcome: 'sprung empty' })),
    visit('2026-11-05T15:00:00Z', device({ outcome: 'not reached', searched: 'flood over the road' })),
    visit('2026-11-06T15:00:00Z', device({}), device({ outcome: 'miss' })),
  ];
  it('counts looks, animals apart, and what met it; a day nobody came is no look', () => {
    const year = setYear(visits);
    assert.deepEqual([year.looks, year.met, year.caught], [3, 2, { beaver: 1, muskrat: 1 }]);
    assert.deepEqual(year.notReached, [{ at: new Date('2026-11-05T15:00:00Z'), why: 'flood over the road' }]);
    assert.equal(gaveText(year), '1 beaver and 1 muskrat in 3 looks, 2 times met and not caught.');
    assert.equal(gaveText(setYear([])), 'Never looked at.');
    assert.equal(gaveText({ looks: 4, caught: {}, met: 0 }), 'Nothing in 4 looks.');
  });
  it('says what was looked at and left, and what was only meant', () => {
    assert.equal(meantText({ season: '2', doing: 'left', type: '', because: 'dogs.' }), 'Season 2: left unset, dogs.');
    assert.equal(meantText({ season: '3', doing: 'prepared', type: 'Lodge run', because: '' }), 'Season 3: Lodge run, prepared.');
  });
  it('tells the numbers that somebody typed, as the type calls them', () => {
    const type = setTypeOf('lodge-run');
    assert.deepEqual(builtText(type, { numbers: { topUnder: inches(5.5) } }, 'us'), ['top of the jaws below water 5½ in']);
    assert.deepEqual(builtText(type, { numbers: {} }, 'us'), []);
  });
  it('stood from its first trap to its last, or still does', () => {
    const stay = (from: string, to: string | null) => ({ id: from, position: 'trap', device: 'd', from, to });
    assert.equal(stoodFrom({ stays: [] }), null);
    const stays = [stay('2026-11-03T00:00:00Z', '2026-11-05T00:00:00Z'), stay('2026-11-01T00:00:00Z', '2026-11-09T00:00:00Z')];
    assert.deepEqual(stoodFrom({ stays }), { from: new Date('2026-11-01T00:00:00Z'), to: new Date('2026-11-09T00:00:00Z') });
    assert.equal(stoodFrom({ stays: [...stays, stay('2026-11-10T00:00:00Z', null)] })?.to, null);
  });
});

describe('when an animal went into a set, by the camera', () => {
  const event = (at: string, species = 'beaver', did: 'at the set' | 'went round' = 'at the set') => ({ at: new Date(at), species, did });
  const [since, found] = [new Date('2026-11-03T15:00:00Z'), new Date('2026-11-04T15:00:00Z')];
  it('is the last of its kind at the set before it was found', () => {
    const events = [event('2026-11-03T22:10:00Z'), event('2026-11-04T03:40:00Z'), event('2026-11-04T05:00:00Z', 'beaver', 'went round')];
    assert.deepEqual(hourCaught(events, 'beaver', since, found), new Date('2026-11-04T03:40:00Z'));
  });
  it('is not known from another animal, another night, or no camera', () => {
    assert.equal(hourCaught([event('2026-11-04T03:40:00Z', 'otter')], 'beaver', since, found), null);
    assert.equal(hourCaught([event('2026-11-02T03:40:00Z')], 'beaver', since, found), null);
    assert.equal(hourCaught([], 'beaver', since, found), null);
  });
});
