import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { inviteSchema } from '#core/door/invite';
import { faultOfPassphrase, LONGEST, SHORTEST } from '#core/door/passphrase';
import { ROLES, whyNot } from '#core/door/roles';

const none = (): boolean => false;

describe('a passphrase', () => {
  it('is 12 to 128 characters, counted as a person counts them', () => {
    assert.match(faultOfPassphrase('heron ladde', '', none) ?? '', /That is 11 characters: take 12 or more/);
    assert.equal(faultOfPassphrase('heron ladder', '', none), null);
    assert.match(faultOfPassphrase('heron 🦫🦫', '', none) ?? '', /That is 8 characters/);
    assert.match(faultOfPassphrase('abcdefgh'.repeat(17), '', none) ?? '', /take 128 or fewer/);
  });
  it('is none that everybody tries, whatever its capitals and whatever digits stand around it', () => {
    const known = (text: string): boolean => text === 'trustnoonehere';
    for (const text of ['TrustNoOneHere', 'trust no one here 1', '2026trustnoonehere'])
      assert.match(faultOfPassphrase(text, '', known) ?? '', /Everybody tries/, text);
  });
  it('holds neither its name nor a few signs again and again', () => {
    assert.match(faultOfPassphrase('Wren Ostby 1968', 'wren ostby', none) ?? '', /leave the name out/);
    assert.match(faultOfPassphrase('ababababababab', '', none) ?? '', /repeats a few signs/);
  });
  it('of any kind of letters is taken, where it is long enough, has five different signs and nobody knows it', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: SHORTEST, maxLength: LONGEST }), (text) => {
        const length = [...text].length;
        const fits = length >= SHORTEST && length <= LONGEST && new Set(text.normalize('NFKC').toLowerCase().trim()).size >= 5;
        if (fits) assert.equal(faultOfPassphrase(text, '', none), null);
      }),
    );
  });
});

describe('what a role may write', () => {
  const check = { kind: 'check', corrects: false };
  const reading = { kind: 'reading', corrects: false };
  it('owner and trapper anything, a client nothing', () => {
    assert.equal(whyNot('owner', [{ kind: 'set', corrects: true }]), null);
    assert.equal(whyNot('trapper', [{ kind: 'set', corrects: true }]), null);
    assert.match(whyNot('reader', [check]) ?? '', /writes nothing/);
  });
  it('a helper a check with what belongs to it, and no correction of anything', () => {
    assert.equal(whyNot('helper', [check, reading]), null);
    assert.match(whyNot('helper', [reading]) ?? '', /writes checks/);
    for (const kind of ['person', 'rulebook', 'crew', 'sign'])
      assert.match(whyNot('helper', [check, { kind, corrects: false, own: true }]) ?? '', /writes checks/, `${kind} beside a check`);
    assert.equal(whyNot('helper', [{ kind: 'person', corrects: false, own: true }]), null);
    assert.match(whyNot('helper', [{ kind: 'person', corrects: false, own: false }]) ?? '', /writes checks/, 'another’s settings');
    assert.match(whyNot('helper', [check, { kind: 'check', corrects: true }]) ?? '', /corrects nothing/);
  });
  it('is never more for a lesser role', () => {
    const asked = fc.array(fc.record({ kind: fc.constantFrom('check', 'reading', 'set', 'person', 'water'), corrects: fc.boolean() }), {
      minLength: 1,
    });
    fc.assert(
      fc.property(asked, (entries) => {
        const may = ROLES.map((role) => whyNot(role, entries) === null);
        assert.deepEqual(
          may,
          may.toSorted((a, b) => Number(b) - Number(a)),
        );
      }),
    );
  });
});

describe('an invitation', () => {
  const good = { person: '', newName: 'Sela', role: 'helper', how: 'code', waters: [], coordinates: false };
  const fault = (change: object) => inviteSchema.safeParse({ ...good, ...change }).error?.issues.map((i) => [i.path[0], i.message]);
  it('names somebody, a role and a way', () => {
    assert.equal(inviteSchema.safeParse(good).success, true);
    assert.deepEqual(fault({ newName: ' ' })?.[0]?.[0], 'newName');
    // a typed name is not passed over for whom the list happened to stand on
    assert.match(String(fault({ person: '019b76da-a800-7000-8000-000000000002' })?.[0]?.[1]), /somebody else is chosen above/);
    assert.deepEqual(fault({ role: 'king' })?.[0], ['role', 'Choose what this person may do: owner, trapper, helper or client.']);
    assert.deepEqual(fault({ how: 'owl' })?.[0]?.[0], 'how');
  });
  it('of a client shares a water', () => {
    assert.deepEqual(fault({ role: 'reader' })?.[0]?.[0], 'waters');
    assert.equal(fault({ role: 'reader', waters: ['019b76da-a800-7000-8000-000000000001'] }), undefined);
  });
});
