import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { suggestionsFor } from '#core/planning/suggest';
import { setTypeOf } from '#core/sets/catalogue';
import { remarksOn } from '#lib/trainer/remarks';
import { activity } from '#core/sign/activity';
import { offeredAt } from '#core/stations/offered';
import { debrief, plainPosts } from '#core/trainer/debrief';
import { LESSONS, LEVELS, type Level } from '#core/trainer/lessons';
import { fits, lived, minutesFor, type Build, type Move } from '#core/trainer/lived';
import { dayOf, strangersPond, type Stranger } from '#core/trainer/stranger';
import {
  isLesson,
  lookText,
  morningText,
  nextText,
  nightStory,
  outcomeText,
  placeText,
  shyText,
  signText,
  storyText,
} from '#core/words/trainer';

const levels = fc.constantFrom(...LEVELS);
const seeds = fc.integer({ min: 1, max: 999_999 });
const ponds = fc.record({ seed: seeds, level: levels });

/** What the bench proposes first at a place, in a trap of the pond. */
function first(pond: Stranger, place: number, trap = 0): Build {
  const station = pond.stations[place];
  assert.ok(station);
  const offer = suggestionsFor('beaver', offeredAt(station, { pond: 0 }, false), 11).find((o) =>
    pond.traps.some((t) => t.class === setTypeOf(o.built).usual.class),
  );
  assert.ok(offer);
  const type = setTypeOf(offer.built);
  const own = pond.traps.filter((t) => t.class === type.usual.class)[trap];
  assert.ok(own);
  const position = type.positions.find((p) => !p.optional) ?? type.positions[0];
  assert.ok(position);
  return {
    id: `set-${place}`,
    station: station.id,
    type: type.id,
    numbers: {},
    choices: {},
    traps: { [position.id]: own.id },
    anchor: 'root',
  };
}
const night: Move = { do: 'night', opens: false };
const nights = (n: number): Move[] => Array.from({ length: n }, () => night);

describe('a stranger’s pond', () => {
  it('is the same for whoever opens its link, and another with another seed', () => {
    fc.assert(
      fc.property(ponds, ({ seed, level }) => assert.deepEqual(strangersPond(seed, level), strangersPond(seed, level))),
      { numRuns: 30 },
    );
    assert.notDeepEqual(strangersPond(1, 'usual').stations, strangersPond(2, 'usual').stations);
  });
  it('tells where they go by its sign: what is used has fresh sign, what is not has none', () => {
    fc.assert(
      fc.property(ponds, ({ seed, level }) => {
        const pond = strangersPond(seed, level);
        for (const { id, use } of pond.grounds) {
          const value = activity(pond.signs[id] ?? [], dayOf(0));
          assert.ok(use > 0.3 ? value > 0.24 : value < 0.2, `${id} ${use} ${value}`);
        }
        assert.equal(pond.grounds.filter((g) => g.use < 0.3).length, LESSONS[level].idle);
      }),
      { numRuns: 60 },
    );
  });
  it('always has a dam and a run that are used, the traps of its level, and somebody at home', () => {
    fc.assert(
      fc.property(ponds, ({ seed, level }) => {
        const pond = strangersPond(seed, level);
        assert.deepEqual(
          pond.stations.slice(0, 2).map((s) => s.kind),
          ['run', 'dam'],
        );
        assert.ok(pond.family.length >= LESSONS[level].lived.least);
        assert.equal(
          pond.traps.length,
          LESSONS[level].traps.reduce((all, t) => all + t.count, 0),
        );
        assert.equal(new Set(pond.traps.map((t) => t.tag)).size, pond.traps.length);
      }),
      { numRuns: 40 },
    );
  });
  it('says so where somebody trapped before', () => {
    const taught = Array.from({ length: 20 }, (_, n) => strangersPond(n + 1, 'hard')).find((p) => p.before.length > 0);
    assert.ok(taught);
    assert.match(storyText(taught), /last winter with body-grips, and some were left/);
    assert.equal(storyText(strangersPond(1, 'first')), '5 places, 3 body-grips, 1 snare, 5 nights, 180 minutes a day.');
  });
});

describe('a lesson', () => {
  const pond = strangersPond(2, 'first');
  it('is lived anew from its moves: what was played stays as it was', () => {
    const moves: Move[] = [{ do: 'set', build: first(pond, 0) }, night, night];
    const [once, twice] = [lived(pond, moves), lived(pond, [...moves, night])];
    assert.deepEqual(
      twice.looks.filter((l) => l.day <= 3),
      once.looks,
    );
    assert.deepEqual(lived(pond, moves), once);
  });
  it('nobody is caught where nothing stands, and it ends after its nights', () => {
    const empty = lived(pond, nights(9));
    assert.equal(empty.over, true);
    assert.equal(empty.day, LESSONS.first.nights + 1);
    assert.deepEqual(empty.looks, []);
    assert.equal(debrief(pond, empty).caught, 0);
  });
  it('a trap that caught takes nothing more until it is remade', () => {
    const moves: Move[] = [{ do: 'set', build: first(pond, 0) }];
    const left = lived(pond, [...moves, ...nights(5)]);
    assert.ok(debrief(pond, left).caught <= 1);
    // the same nights with a remake each morning catch at least as many in this seed
    const tended = lived(pond, [...moves, ...nights(5).flatMap((n) => [n, { do: 'remake' as const, id: 'set-0' }])]);
    assert.ok(debrief(pond, tended).caught > debrief(pond, left).caught);
  });
  it('counts the minutes of a day, and says what does not fit', () => {
    const set: Move = { do: 'set', build: first(pond, 0) };
    const begun = lived(pond, []);
    assert.equal(lived(pond, [set]).minutes, begun.minutes + minutesFor(begun, set));
    assert.equal(fits(pond, { ...begun, minutes: LESSONS.first.minutes }, set), false);
    assert.equal(fits(pond, begun, set), true);
  });
  it('a pulled set fishes no more, and its trap is free again', () => {
    const moves: Move[] = [{ do: 'set', build: first(pond, 0) }, { do: 'pull', id: 'set-0' }, ...nights(3)];
    const after = lived(pond, moves);
    assert.deepEqual(after.looks, []);
    assert.equal(after.sets[0]?.pulled, true);
  });
  it('a set built far too deep is passed, and the morning says so', () => {
    const build = first(pond, 0);
    const deep = { ...build, numbers: { topUnder: 0.9 } };
    const found = lived(pond, [{ do: 'set', build: deep }, ...nights(4)]).looks.map((l) => l.found);
    assert.ok(
      found.every((f) => f === 'outside'),
      found.join(' '),
    );
  });
  it('an open dam is closed by those at home, and the water is lower in the morning or was', () => {
    const open: Move = { do: 'night', opens: true };
    const leaks = Array.from({ length: 30 }, (_, n) => lived(strangersPond(n + 1, 'first'), [open])).map((l) => l.leaks[0]?.closed);
    assert.ok(leaks.filter(Boolean).length > 15);
    assert.ok(leaks.some((closed) => closed === false));
  });
  it('everybody is caught, gone or left in every lesson', () => {
    fc.assert(
      fc.property(ponds, fc.array(fc.boolean(), { minLength: 1, maxLength: 10 }), ({ seed, level }, opened) => {
        const own = strangersPond(seed, level);
        const moves: Move[] = [{ do: 'set', build: first(own, 0) }, ...opened.map((opens): Move => ({ do: 'night', opens }))];
        const lesson = lived(own, moves);
        const gone = lesson.hidden.world.family.filter((a) => a.gone !== null).length;
        const told = debrief(own, { ...lesson, over: true });
        assert.equal(gone + told.left.kit + told.left.yearling + told.left.adult, told.lived);
        assert.equal(
          told.places.reduce((all, p) => all + p.caught, 0),
          told.caught,
        );
      }),
      { numRuns: 12 },
    );
  });
});

describe('what really happened', () => {
  const told = (over: object) => ({ station: 'a', used: true, passes: 6, idle: 0, turned: 0, caught: 1, nights: 4, ...over });
  it('names a used place without a set, a left one with one, and a set that stood outside its levels', () => {
    assert.equal(placeText(told({ nights: 0, passes: 3 })), 'In use: 3 passes, and no set.');
    assert.equal(placeText(told({ used: false, passes: 0, caught: 0 })), 'Left long ago: nobody came by, and a set stood here 4 nights.');
    assert.equal(
      placeText(told({ idle: 3 })),
      'In use: 6 passes in 4 nights, 1 caught, 3 while the set stood outside its levels or in ice.',
    );
    assert.equal(placeText(told({ used: false, nights: 0, passes: 1 })), 'Left long ago: 1 pass. Rightly let alone.');
    assert.deepEqual([told({}), told({ nights: 0 }), told({ used: false }), told({ idle: 3 })].map(isLesson), [false, true, true, true]);
  });
  it('the plain plan stands at used places alone, and never with more traps than there are', () => {
    fc.assert(
      fc.property(ponds, ({ seed, level }) => {
        const pond = strangersPond(seed, level);
        const posts = plainPosts(pond);
        assert.ok(posts.length > 0 && posts.length <= pond.traps.length);
        const used = new Set(pond.grounds.filter((g) => g.use > 0.3).map((g) => g.id));
        assert.ok(posts.every((p) => used.has(p.ground)));
      }),
      { numRuns: 40 },
    );
  });
  it('where body-grips taught, the plain plan begins with none', () => {
    const taught = Array.from({ length: 20 }, (_, n) => strangersPond(n + 1, 'hard')).filter((p) => p.before.length > 0);
    assert.ok(taught.length > 5);
    for (const pond of taught) assert.notEqual(plainPosts(pond)[0]?.gear, 'bodyGrip');
  });
  it('a harder pond leaves a plain plan more to learn', () => {
    const share = (level: Level): number => {
      const all = Array.from({ length: 12 }, (_, n) => strangersPond(n + 1, level)).map((pond) => {
        const { plain, lived: count } = debrief(pond, lived(pond, []));
        return (plain.low + plain.high) / 2 / count;
      });
      return all.reduce((a, b) => a + b, 0) / all.length;
    };
    assert.ok(share('first') > 0.35 && share('hard') < 1);
  });
});

describe('what an old hand would have said', () => {
  const said = (seed: number, place: number) => {
    const pond = strangersPond(seed, 'first');
    const lesson = lived(pond, [{ do: 'set', build: first(pond, place) }]);
    const [set] = lesson.sets;
    assert.ok(set);
    return remarksOn(pond, lesson, set, 'us')
      .map((r) => r.sentence)
      .join(' ');
  };
  it('names a trap so deep that they pass over it, and keeps quiet of what is well built', () => {
    assert.equal(said(2, 0), '');
    assert.match(said(1, 1), /in of water stand over the jaws/);
  });
});

describe('a lesson in words', () => {
  const pond = strangersPond(2, 'first');
  const begun = lived(pond, []);
  it('tells what to do next', () => {
    assert.match(nextText(pond, begun), /^Look at each place/);
    assert.match(nextText(pond, lived(pond, [{ do: 'set', build: first(pond, 0) }])), /^3 traps in the bag/);
    assert.match(nextText(pond, { ...begun, over: true }), /really happened/);
    const found = { ...begun, looks: [{ day: 1, set: 's', trap: 't', found: 'sprung' as const, animal: null }] };
    assert.equal(nextText(pond, found), '1 set does not fish: remake or move it, or pull it.');
  });
  it('says a look, a morning and a sign in the reader’s units', () => {
    const caught = { found: 'caught' as const, animal: { age: 'kit' as const, weight: 6 } };
    assert.equal(lookText(caught, 'us'), 'Caught: kit beaver, 13 lb');
    assert.equal(lookText(caught, 'metric'), 'Caught: kit beaver, 6 kg');
    assert.equal(morningText({ levels: { pond: -0.0762 }, ice: 0.0254 }, 'us'), 'Water 3 in down. Ice 1 in.');
    assert.equal(morningText({ levels: { pond: 0 }, ice: 0 }, 'metric'), 'Water as it was.');
    assert.equal(signText([]), 'No sign.');
    assert.equal(signText([{ kind: 'cuttings', freshness: 'hours', at: dayOf(0), species: 'beaver' }]), 'Cuttings, hours old.');
  });
  it('tells a night by the hour', () => {
    const event = (did: 'caught' | 'passed' | 'mended', hour: number, animal: number | null) => ({
      did,
      hour,
      animal,
      post: null,
      ground: animal === null ? null : 'a',
    });
    const story = nightStory(
      [event('caught', 0, 1), event('mended', 3, null), event('passed', 4, 2), event('passed', 5, 2)],
      () => 'adult',
      () => 'dam',
    );
    assert.deepEqual(story, [
      'An adult was caught at the dam, at dusk.',
      'They closed the leak, 3 hours after dusk.',
      '2 passes that touched nothing.',
    ]);
    assert.deepEqual(
      nightStory(
        [],
        () => '',
        () => '',
      ),
      ['Nobody came by.'],
    );
  });
  it('says who is left and what they learned', () => {
    const base = { places: [], lived: 6, caught: 4, plain: { low: 3, high: 5 } };
    const some = { ...base, left: { kit: 2, yearling: 0, adult: 1 }, shy: { bodyGrip: 0.8, snare: 0.02 } };
    assert.match(outcomeText(some), /^4 of 6 caught; .* catches 3 to 5 here in four seasons of five\. Left: 2 kits, 1 adult\.$/);
    assert.equal(shyText(some), 'Those left turn from body-grips four in five.');
    assert.equal(shyText({ ...some, shy: {} }), 'They learned nothing from you.');
    assert.equal(shyText({ ...some, left: { kit: 0, yearling: 0, adult: 0 } }), '');
  });
});
