import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { MODEL_GROUNDS, MODEL_PLACES, modelPost } from '#core/colony/modelPond';
import { FIRST_PLAN, pickedFrom, planOf, SECOND_PLAN, settingOf, USUAL_POND, type PickedPlan, type PickedPond } from '#core/colony/plans';
import { ageOf, drawFamily, growOlder, learn, stillHere } from '#core/sim/colony/family';
import { liveNight, type World } from '#core/sim/colony/night';
import { drawWeather, freeze, iceOn, mendHour, openDam, pondAtRest, runHour } from '#core/sim/colony/pond';
import { GEAR, SHY } from '#core/sim/colony/rules';
import { against, counted, liveMany, mean, MEASURES, seedOf, whatShows } from '#core/sim/colony/seasons';
import { liveSeason, type Plan, type Setting } from '#core/sim/colony/trapline';
import { seeded } from '#core/sim/random';
import { INCH } from '#core/units/factors';
import { againstText, nightText, planText, seasonText } from '#core/words/plans';

const POND: PickedPond = USUAL_POND;
const SETTING: Setting = settingOf({ ...POND, knows: 'nothing' }, 11);
const many = (plan: Partial<PickedPlan>, pond: Partial<PickedPond> = {}, seasons = 400) =>
  liveMany({
    setting: settingOf({ ...POND, knows: 'nothing', ...pond }, 11),
    plan: planOf({ ...FIRST_PLAN, ...plan }, pond.minutes ?? POND.minutes),
    seasons,
    seed: 7,
  });
/** One trap at one place of the model. */
const alone = (place: string, nights: number) => {
  const post = modelPost(place, 'bodyGrip', 1);
  assert.ok(post);
  const plan: Plan = { ...planOf({ ...FIRST_PLAN, traps: 1 }, 300), posts: [post] };
  return liveMany({ setting: { ...SETTING, nights }, plan, seasons: 600, seed: 3 });
};
const between = (value: number, low: number, high: number): void =>
  assert.ok(value >= low && value <= high, `${value} is not between ${low} and ${high}`);

describe('the model lives by stated rules of thumb (common practice)', () => {
  it('a usual set on the shore takes an animal in about one night of ten', () => {
    between(mean(alone('slide', 3).values.caught) / 3, 0.06, 0.14);
  });
  it('a trap in the main run takes one in about three nights', () => {
    between(mean(alone('runA', 3).values.caught) / 3, 0.22, 0.45);
  });
  it('four to eight in a lodge are usual', () => {
    const random = seeded(11);
    const sizes = Array.from({ length: 1000 }, () => drawFamily(random, { expected: 6, least: 1 }).length);
    between(sizes.filter((n) => n >= 4 && n <= 8).length / 1000, 0.65, 0.8);
  });
  it('six sets take about half of a colony in the first four nights', () => {
    const { byNight } = many({});
    between((byNight[3] ?? 0) / 6, 0.4, 0.65);
  });
  it('a leak at dusk is closed before midnight where several live, and stays open where none does', () => {
    const setting = { ...SETTING, nights: 1 };
    const plan = planOf({ ...FIRST_PLAN, traps: 1, breaks: 'wide' }, 300);
    const empty = liveSeason(seeded(2), { ...setting, lived: { expected: 0, least: 0 } }, plan);
    assert.equal(empty.nights[0]?.events.length, 0);
    assert.ok((empty.nights[0]?.levels.at(-1) ?? 0) < -0.2);
    const hours = Array.from({ length: 200 }, (_, n) =>
      liveSeason(seeded(seedOf(4, n)), { ...setting, lived: { expected: 7, least: 5 } }, plan),
    ).flatMap(({ nights }) => nights[0]?.events.find((e) => e.did === 'mended')?.hour ?? []);
    assert.ok(hours.length > 120);
    // dusk is about half past four: eight hours on it is past midnight
    assert.ok(hours.filter((h) => h < 8).length / hours.length > 0.9);
  });
  it('a leak draws them to the dam: with two small breaks more are caught there', () => {
    const dam = (breaks: PickedPlan['breaks']) => {
      const post = modelPost('dam', 'bodyGrip', 1);
      assert.ok(post);
      const plan = { ...planOf({ ...FIRST_PLAN, traps: 1, breaks }, 300), posts: [post] };
      return mean(liveMany({ setting: { ...SETTING, nights: 5 }, plan, seasons: 400, seed: 5 }).values.caught);
    };
    assert.ok(dam('small') > dam('none') * 1.15);
  });
  it('a wide break leaves more passing a trap that stands dry than a small one', () => {
    const idle = (breaks: PickedPlan['breaks']) =>
      Array.from({ length: 60 }, (_, n) => liveSeason(seeded(n + 1), SETTING, planOf({ ...FIRST_PLAN, breaks }, 300)).idle).reduce(
        (a, b) => a + b,
        0,
      );
    assert.ok(idle('wide') > idle('small'));
  });
  it('a missed body-grip teaches much, a brushed snare next to nothing', () => {
    const [animal] = drawFamily(seeded(1), { expected: 3, least: 3, taught: { bodyGrip: 0, foothold: 0, snare: 0 } });
    assert.ok(animal);
    learn(animal, 'bodyGrip', 'touched');
    learn(animal, 'snare', 'meddled');
    assert.ok(animal.shy.bodyGrip > 0.5);
    assert.ok(animal.shy.snare < 0.05);
  });
  it('where body-grips taught, snares first leave fewer', () => {
    const left = (gear: PickedPlan['gear']) => mean(many({ gear }, { knows: 'bodyGrip' }).values.left);
    assert.ok(left('snare') < left('bodyGrip') - 0.5);
  });
  it('frost ends the sets on the shore', () => {
    const [cold, mild] = [many({}, { frost: 'early' }), many({}, { frost: 'none' })];
    assert.ok(mean(cold.values.caught) < mean(mild.values.caught));
  });
  it('everything at once or one a day: after two weeks one season could not show which', () => {
    const [all, one] = [many({}), many(SECOND_PLAN)];
    const shows = whatShows(against(all.values.left, one.values.left, MEASURES.left));
    assert.ok(shows === 'not in one' || shows === 'none');
    assert.ok((all.byNight[2] ?? 0) > (one.byNight[2] ?? 0) * 1.5, 'in the first nights it is another matter');
  });
});

describe('the water of the model', () => {
  it('a break a foot wide and deep takes an acre down 10.1 in in 12 h', () => {
    // the pond’s exact solution for a broad-crested weir: 0.3048 m of head fall by 10.1 in
    const pond = pondAtRest(1, 0);
    openDam(pond, 0.3048, 0.3048);
    for (let hour = 0; hour < 12; hour += 1) runHour(pond, 0);
    between(-pond.level / INCH, 9.9, 10.3);
  });
  it('at rest it stays where it is, and after rain it comes back', () => {
    const pond = pondAtRest(2, 0.02);
    for (let hour = 0; hour < 24; hour += 1) runHour(pond, 0);
    assert.ok(Math.abs(pond.level) < 1e-3);
    for (let hour = 0; hour < 24; hour += 1) runHour(pond, 0.02 / 24);
    const high = pond.level;
    for (let hour = 0; hour < 240; hour += 1) runHour(pond, 0);
    between(high, 0.02, 0.15);
    assert.ok(pond.level < high / 4);
  });
  it('ice grows with the root of frost: 100 °C·days give 14 cm on a sheltered pond', () => {
    const pond = pondAtRest(1, 0);
    for (let day = 0; day < 10; day += 1) freeze(pond, { rain: 0, air: -10 });
    between(iceOn(pond), 0.139, 0.141);
    freeze(pond, { rain: 0, air: 50 });
    assert.equal(iceOn(pond), 0);
  });
  it('mending shuts it, sooner by more', () => {
    const time = (animals: number): number => {
      const pond = pondAtRest(1, 0.01);
      openDam(pond, 0.3, 0.3);
      for (let hour = 1; hour < 20; hour += 1) if (mendHour(pond, animals)) return hour;
      return 20;
    };
    assert.equal(time(1), 5);
    assert.ok(time(3) < time(1));
  });
  it('a season without frost stays open, one with frost from the third day does not', () => {
    const ice = (cold: number): number => {
      const pond = pondAtRest(1, 0);
      for (const day of drawWeather(seeded(9), 14, cold)) freeze(pond, day);
      return iceOn(pond);
    };
    assert.equal(ice(Infinity), 0);
    assert.ok(ice(3) > 0.02);
  });
});

describe('what holds for every season', () => {
  const plans = fc.record({
    gear: fc.constantFrom(...GEAR),
    traps: fc.integer({ min: 1, max: 14 }),
    pace: fc.constantFrom('all' as const, 'two' as const, 'one' as const),
    breaks: fc.constantFrom('none' as const, 'small' as const, 'wide' as const),
    every: fc.integer({ min: 1, max: 7 }),
    miss: fc.constantFrom('same' as const, ...GEAR),
  });
  const live = (plan: PickedPlan, seed: number, pond: Partial<PickedPond> = {}) =>
    liveSeason(seeded(seed), settingOf({ ...POND, ...pond }, 11), planOf(plan, pond.minutes ?? 300));
  it('everybody who lived there was caught, went or is left', () => {
    fc.assert(
      fc.property(plans, fc.integer({ min: 1, max: 1e6 }), (plan, seed) => {
        const { lived, caught, left, went, nights } = live(plan, seed);
        assert.equal(caught + left + went, lived);
        assert.equal(
          nights.reduce((all, n) => all + n.caught, 0),
          caught,
        );
        const animals = nights.flatMap((n) => n.events.flatMap((e) => (e.did === 'caught' ? [e.animal] : [])));
        assert.equal(new Set(animals).size, animals.length, 'nobody is caught twice');
      }),
      { numRuns: 60 },
    );
  });
  it('a day never takes more minutes than there are, and never has more traps standing', () => {
    fc.assert(
      fc.property(plans, fc.integer({ min: 45, max: 400 }), fc.integer({ min: 1, max: 1e6 }), (plan, minutes, seed) => {
        for (const night of live(plan, seed, { minutes }).nights) {
          assert.ok(night.minutes <= Math.max(minutes, 52));
          assert.ok(night.standing <= plan.traps);
        }
      }),
      { numRuns: 40 },
    );
  });
  it('the same seed gives the same season', () => {
    fc.assert(
      fc.property(plans, fc.integer({ min: 1, max: 1e6 }), (plan, seed) => assert.deepEqual(live(plan, seed), live(plan, seed))),
      { numRuns: 10 },
    );
  });
  it('a trap that is full or sprung takes nothing more until somebody comes', () => {
    const season = live({ ...FIRST_PLAN, traps: 1, every: 7 }, 12, { nights: 7 });
    const taken = season.nights.flatMap((n) => n.events.filter((e) => ['caught', 'touched', 'sprung', 'meddled'].includes(e.did)));
    assert.ok(taken.length <= 1);
  });
  it('a set under its levels is passed, and catches nothing', () => {
    const post = modelPost('runA', 'bodyGrip', 1);
    assert.ok(post);
    const family = drawFamily(seeded(3), { expected: 8, least: 6 });
    const dry = { ...post, bands: [{ min: 5, max: 6 }], state: 'set' as const, animal: null };
    const world: World = { pond: pondAtRest(1, 0.01), grounds: MODEL_GROUNDS, family, standing: [dry], worked: new Set() };
    const { events } = liveNight(seeded(5), world, { rain: 0, air: 5 }, null);
    assert.ok(events.some((e) => e.did === 'over'));
    assert.equal(stillHere(family).length, family.length);
  });
  it('animals that shy turn away about as surely as they do', () => {
    const plan = { ...planOf(FIRST_PLAN, 300) };
    let [turned, met] = [0, 0];
    for (let n = 0; n < 100; n += 1) {
      const taught = { bodyGrip: 1, foothold: 0, snare: 0 };
      const { events } = liveSeason(seeded(n), { ...SETTING, nights: 1, lived: { expected: 6, least: 4, taught } }, plan).nights[0] ?? {
        events: [],
      };
      turned += events.filter((e) => e.did === 'turned').length;
      met += events.filter((e) => e.post !== null && !['over', 'frozen'].includes(e.did)).length;
    }
    between(turned / met, SHY - 0.06, SHY + 0.06);
  });
  it('kits grow, and two year olds leave in spring alone', () => {
    const gone = (month: number): number => {
      const family = drawFamily(seeded(21), { expected: 40, least: 30 });
      const kit = family.find((a) => ageOf(a) === 'kit');
      const before = kit?.weight ?? 0;
      for (let day = 0; day < 30; day += 1) growOlder(seeded(day), family, month);
      assert.ok((kit?.weight ?? 0) > before);
      return family.filter((a) => a.gone === 'left').length;
    };
    assert.equal(gone(11), 0);
    assert.ok(gone(4) > 0);
  });
});

describe('two plans held against each other', () => {
  it('counts each season of the one against each of the other', () => {
    const found = against([1, 2, 3], [2, 2], { less: false });
    assert.deepEqual([found.first, found.second], [2 / 6, 2 / 6]);
    assert.equal(against([0, 0], [1, 1], { less: true }).first, 1);
    assert.throws(() => against([], [1], { less: true }), /nothing to compare/);
  });
  it('agrees with counting every pair', () => {
    const list = fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 20 });
    fc.assert(
      fc.property(list, list, (a, b) => {
        const pairs = a.flatMap((x) => b.map((y) => Math.sign(x - y)));
        const share = (sign: number): number => pairs.filter((p) => p === sign).length / pairs.length;
        const found = against(a, b, { less: false });
        assert.ok(Math.abs(found.first - share(1)) < 1e-12 && Math.abs(found.second - share(-1)) < 1e-12);
      }),
    );
  });
  it('a clear difference shows in one season, a small one does not, the same plan never', () => {
    const a = many({}, {}, 200);
    assert.equal(whatShows(against(a.values.left, a.values.left, MEASURES.left)), 'none');
    const one = many({ traps: 1 }, {}, 200);
    assert.equal(whatShows(against(a.values.left, one.values.left, MEASURES.left)), 'first');
    assert.match(
      againstText(against(a.values.left, one.values.left, MEASURES.left), ['first plan', 'second plan']),
      /^The first plan is better/,
    );
  });
  it('counts bars', () => {
    assert.deepEqual(counted([1, 1, 3], 1, 3), [2, 0, 1]);
  });
});

describe('a plan in a link', () => {
  const said = (text: string) => (name: string) => new URLSearchParams(text).get(name);
  it('an empty link is the usual pair', () => {
    assert.deepEqual(pickedFrom(said('')), { picked: { pond: USUAL_POND, plans: [FIRST_PLAN, SECOND_PLAN], seed: 1 }, errors: {} });
  });
  it('says at its field what is wrong, and keeps the rest', () => {
    const { picked, errors } = pickedFrom(said('a.traps=99&b.gear=snare&lived=x&seed=0'));
    assert.equal(errors['a.traps'], 'Traps is 14 at most.');
    assert.match(errors.lived ?? '', /whole number from 1 to 15/);
    assert.equal(errors.seed, 'Seed is 1 at least.');
    assert.equal(picked.plans[1].gear, 'snare');
    assert.equal(picked.plans[0].traps, FIRST_PLAN.traps);
  });
  it('places as many as there are traps, the best places first, a second at each after that', () => {
    const { posts } = planOf({ ...FIRST_PLAN, traps: 9 }, 300);
    assert.deepEqual(posts.map((p) => p.id).slice(6), ['mound.bodyGrip.1', 'runA.bodyGrip.2', 'dam.bodyGrip.2']);
    assert.equal(planOf({ ...FIRST_PLAN, gear: 'foothold', traps: 6 }, 300).posts.length, 6);
  });
  it('what stands after a miss stands at the same place', () => {
    const { instead } = planOf({ ...FIRST_PLAN, miss: 'snare' }, 300);
    assert.equal(instead?.get('runA.bodyGrip.1')?.gear, 'snare');
    assert.equal(instead?.get('runA.bodyGrip.1')?.ground, 'runA');
  });
  it('every set of the model works at the level of rest', () => {
    for (const { id } of MODEL_PLACES)
      for (const gear of GEAR) {
        const post = modelPost(id, gear, 1);
        if (post)
          assert.ok(
            post.bands.some(({ min, max }) => min <= 0 && max >= 0),
            post.id,
          );
      }
  });
  it('says a plan, a season and a night in words', () => {
    assert.equal(
      planText({ ...FIRST_PLAN, traps: 1, breaks: 'small', every: 2, miss: 'snare' }),
      '1 body-grip, alone, two small breaks, checked every 2 nights, after a miss a snare instead',
    );
    const season = liveSeason(seeded(seedOf(1, 0)), SETTING, planOf(FIRST_PLAN, 300));
    assert.match(seasonText(season), new RegExp(`${season.caught} of ${season.lived} caught, the last in night ${season.last} of 14`));
    const [night] = season.nights;
    assert.ok(night);
    const quiet = { ...night, events: [], levels: [-0.254], ice: 0.0508, looked: false };
    assert.equal(nightText(quiet, {}, 'us'), 'Nobody came by. Water down to 10 in under rest. Ice 2 in.');
    assert.equal(nightText(quiet, {}, 'metric'), 'Nobody came by. Water down to 25.5 cm under rest. Ice 5 cm.');
  });
});
