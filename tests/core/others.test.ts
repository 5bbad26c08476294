import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { canHold, STRANGERS, type Stranger } from '#core/others/holds';
import { BUILDS } from '#core/animals/species';
import { POUND } from '#core/units/factors';
import { SIZES } from '#core/devices/sizes';
import { largestIn } from '#core/sets/pieces/hold';
import { othersIn, type OthersAsked } from '#core/others/others';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { sampleDesign, sampleSurface } from '#core/sets/sample';
import { usualDevices } from '#core/sets/standing';

/** Who else could be in a set (common practice, no source). */
function asked(id: string, over: Partial<OthersAsked> = {}): OthersAsked {
  const type = setTypeOf(id);
  const devices = Object.values(usualDevices(type));
  const choices = Object.fromEntries(Object.entries(type.choices).map(([key, c]) => [key, c.default]));
  const surface = sampleSurface(type);
  const base = {
    type,
    species: type.species[0] ?? ('beaver' as const),
    devices,
    choices,
    surface,
    design: sampleDesign(type, undefined, 'us'),
  };
  return { ...base, then: { pond: 1, tail: 0.4 }, panPull: undefined, seen: [], users: '', ...over };
}
const who = (id: string, over: Partial<OthersAsked> = {}): Stranger[] => othersIn(asked(id, over)).map((o) => o.who);
const of = (id: string, stranger: Stranger, over: Partial<OthersAsked> = {}) => othersIn(asked(id, over)).find((o) => o.who === stranger);

describe('who else could be in it', () => {
  it('an otter in the lodge run of a beaver, spared by a trigger to one side', () => {
    const otter = of('lodge-run', 'otter');
    assert.ok(otter?.because.includes('swims into it'));
    assert.deepEqual(
      otter?.spares.find((s) => s.how === 'trigger to one side'),
      { how: 'trigger to one side', done: false },
    );
    assert.equal(of('lodge-run', 'otter', { choices: { trigger: 'side' } })?.spares[0]?.done, true);
  });
  it('its sign at the place counts, where it can be caught at all', () => {
    assert.ok(of('lodge-run', 'otter', { seen: ['otter'] })?.because.includes('sign noted here'));
    assert.ok(!who('lodge-run', { seen: ['bird of prey'] }).includes('bird of prey'));
  });
  it('no dog under water; one at a set that shows, where dogs are known', () => {
    assert.ok(!who('lodge-run', { users: 'dogs on the dike' }).includes('dog'));
    const dog = of('otter-latrine', 'dog', { users: 'dogs on the dike' });
    assert.deepEqual(dog?.because, ['walks into it', 'the ground is used']);
    assert.ok(!who('otter-latrine').includes('dog'));
  });
  it('a 110 on a log holds no beaver; a larger grip there may hold an otter', () => {
    assert.ok(!who('log-crossing').includes('beaver'));
    assert.ok(!who('log-crossing', { devices: [{ class: 'bodyGrip', size: '110' }] }).includes('otter'));
    assert.ok(who('log-crossing', { devices: [{ class: 'bodyGrip', size: '160' }] }).includes('otter'));
  });
  it('fish in a pocket calls a raccoon, a root does not call one', () => {
    const fish = of('pocket', 'raccoon', { choices: { bait: 'fish' } });
    assert.ok(fish?.because.includes('comes for the bait'));
    assert.ok(!of('pocket', 'raccoon', { choices: { bait: 'root' } })?.because.includes('comes for the bait'));
  });
  it('a stop on the loop is done where it was said', () => {
    const stop = (ends: string) =>
      of('slide-snare', 'otter', { choices: { ends } })?.spares.find((s) => s.how === 'a stop on the loop')?.done;
    assert.deepEqual([stop('unsaid'), stop('none'), stop('stop'), stop('both')], [false, false, true, true]);
  });
  it('under ice only swimmers', () => {
    for (const id of ['ice-snare-pole', 'ice-hanging'])
      for (const name of who(id, { users: 'dogs', seen: ['raccoon'] }))
        assert.ok(['beaver', 'otter', 'mink', 'muskrat'].includes(name), `${id}: ${name}`);
  });
  it('of all types none names the animal that it is meant for, and each has a reason', () => {
    for (const type of CATALOGUE)
      for (const other of othersIn(asked(type.id, { users: 'dogs', seen: ['otter', 'raccoon'] }))) {
        assert.notEqual(other.who, type.species[0]);
        assert.ok(other.because.length > 0, type.id);
      }
  });
});

describe('a pan that was measured', () => {
  const spared = (panPull: number | undefined, who: Stranger) =>
    of('castor-foothold', who, { panPull })?.spares.find((s) => s.how === 'a heavier pan')?.done;
  it('spares who walks over it: a mink at 2 lb, a muskrat at 3, a raccoon at 5 (common practice)', () => {
    assert.equal(spared(2 * POUND, 'mink'), true);
    assert.equal(spared(2 * POUND, 'muskrat'), false);
    assert.equal(spared(3 * POUND, 'muskrat'), true);
    assert.equal(spared(5 * POUND, 'raccoon'), true);
  });
  it('that nobody measured spares nobody', () => assert.equal(spared(undefined, 'mink'), false));
});

describe('the anchor, the list of others and the form of a catch', () => {
  it('have one answer to whom a device holds: the anchor is reckoned for the strongest of them', () => {
    const builds = { beaver: 'beaverAdult', otter: 'otter', raccoon: 'raccoon', mink: 'mink' } as const;
    for (const kind of ['bodyGrip', 'foothold', 'snare', 'enclosed'] as const)
      for (const size of SIZES[kind]) {
        const held = STRANGERS.filter((who): who is keyof typeof builds => who in builds && canHold({ class: kind, size }, who));
        const heaviest = [...held].sort((a, b) => BUILDS[builds[b]].weight.high - BUILDS[builds[a]].weight.high)[0];
        assert.equal(largestIn({ class: kind, size }, 'muskrat'), heaviest ? builds[heaviest] : 'muskrat', `${kind} ${size}`);
      }
  });
  it('a larger device holds whoever a smaller one of its class holds', () => {
    const sizes = ['110', '155', '220', '330'];
    for (const who of STRANGERS)
      for (const [n, size] of sizes.entries())
        if (canHold({ class: 'bodyGrip', size }, who))
          for (const more of sizes.slice(n)) assert.ok(canHold({ class: 'bodyGrip', size: more }, who), who);
  });
});
