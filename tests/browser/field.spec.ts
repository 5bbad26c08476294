import { connect } from '#server/database';
import type { BrowserContext, Page } from '@playwright/test';
import { movedBuild } from '../support/moved';
import { NOW } from '../support/server';
import { expect, test } from './fixture';

test.use({ story: 'field', viewport: { width: 390, height: 844 } });

/** The field part as it stands once it may be taken out of reach. */
async function along(context: BrowserContext, base: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${base}/field`);
  await expect(page.getByText('All is in the record')).toBeVisible();
  // every file it is drawn from is on the device
  await expect.poll(() => page.evaluate(async () => Boolean(await caches.match('/field')))).toBe(true);
  return page;
}

const row = (page: Page, name: RegExp) => page.getByRole('listitem').filter({ hasText: name }).getByRole('link');

/** Untouched: one tap, or where it is the second in a row its questions with it. */
async function tapUntouched(page: Page): Promise<void> {
  const again = page.getByRole('link', { name: 'Untouched again' });
  await expect(again.or(page.getByRole('button', { name: /untouched/i })).first()).toBeVisible();
  if (await again.isVisible()) {
    // the second in a row asks what was seen, what the place shows, what was used there
    await again.click();
    await expect(page.getByLabel('Seen on camera?')).toBeVisible();
    await page.getByRole('button', { name: 'Save the check' }).click();
  } else await page.getByRole('button', { name: /untouched/i }).click();
}

async function untouched(page: Page, name: RegExp): Promise<void> {
  await row(page, name).click();
  await tapUntouched(page);
  await expect(page.getByRole('heading', { name: /to check/i })).toBeVisible();
}

/** Looks at the first sets of the list, one after the other. */
async function untouchedFirst(page: Page, sets: number): Promise<void> {
  for (let n = 0; n < sets; n += 1) {
    await page.getByRole('list').first().getByRole('link').first().click();
    await tapUntouched(page);
    await expect(page.getByRole('heading', { name: /Not due today/ })).toBeVisible();
  }
}

/** A dead catch with its photo at the first set of the list, left as it was. */
async function caughtFirst(page: Page, photo: Buffer): Promise<void> {
  await page.getByRole('list').first().getByRole('link').first().click();
  await page.getByRole('link', { name: 'Catch, dead' }).click();
  await page.getByRole('radio', { name: 'as it was' }).check();
  await photograph(page, photo);
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByRole('heading', { name: /Not due today/ })).toBeVisible();
}

async function photograph(page: Page, photo: Buffer): Promise<void> {
  await page.getByLabel(/^Photo/).setInputFiles({ name: 'catch.png', mimeType: 'image/png', buffer: photo });
  await expect(page.getByText(/^Kept, \d+ kB\.$/)).toBeVisible();
}

/** Set again on the way: every question of what a hand was laid on. */
async function remake(page: Page, name: RegExp): Promise<void> {
  await row(page, name).click();
  await page.getByRole('link', { name: /Sprung, empty/ }).click();
  await page.getByRole('radio', { name: 'remade' }).check();
  for (const question of await page.getByRole('group', { name: 'Arming check' }).getByRole('checkbox').all()) await question.check();
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByRole('heading', { name: /Not due today/ })).toBeVisible();
}

async function tables(url: string): Promise<Record<string, number>> {
  const db = connect(url);
  const counts = await Promise.all(
    ['check_visit', 'catch', 'photo'].map(async (table): Promise<[string, number]> => {
      const [found] = (await db(table).count('* as n')) as { n: string }[];
      return [table, Number(found?.n)];
    }),
  );
  await db.destroy();
  return Object.fromEntries(counts);
}

test('a level and a place seen in passing are kept without a signal and stand in the record afterwards', async ({ context, program }) => {
  await context.grantPermissions(['geolocation'], { origin: program.base });
  const db = connect(program.url);
  const dam = (await db('station')
    .join('water', 'water.id', 'station.water_id')
    .where({ 'water.name': 'Header Pond' })
    .whereNotNull('station.lat')
    .first('station.lat', 'station.lon')) as { lat: number; lon: number };
  await context.setGeolocation({ latitude: dam.lat, longitude: dam.lon, accuracy: 6 });
  const page = await along(context, program.base);
  await context.setOffline(true);
  await page.getByRole('link', { name: 'A level' }).click();
  await page.getByRole('button', { name: 'Save the level' }).click();
  await expect(page.getByText('Choose the gauge that was read.')).toBeVisible();
  await page.getByRole('radio', { name: /Header Pond, board/ }).check();
  await page.getByLabel('It shows').fill('29 1/2 in');
  await page.getByRole('button', { name: 'Save the level' }).click();
  await expect(page.getByText('1 waits here for a signal')).toBeVisible();

  await page.getByRole('link', { name: 'Mark a place' }).click();
  await expect(page.getByText(/The receiver says where, within/)).toBeVisible();
  await expect(page.getByLabel('Along the shore from the inlet')).toHaveValue(/\d+ ft/);
  await photograph(page, await page.screenshot({ clip: { x: 0, y: 0, width: 380, height: 300 } }));
  await expect(page.getByAltText('Photo of this place')).toBeVisible();
  await page.getByRole('button', { name: 'bank den' }).click();
  await expect(page.getByText('2 wait here for a signal')).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText('All is in the record')).toBeVisible();
  const marked = (await db('station').where({ kind: 'bank den' }).orderBy('number', 'desc').first()) as Record<string, string>;
  expect([marked.lat, marked.name]).toEqual([dam.lat, 'bank den']);
  await db.destroy();
  await page.goto(`${program.base}/waters/${marked.water_id}/${marked.id}`);
  await expect.poll(() => page.getByAltText(/Photo of \d+ bank den/).evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(380);
  await page.goto(`${program.base}/book?kind=reading`);
  await expect(page.getByRole('row', { name: /Header Pond.*29½ in/ }).first()).toBeVisible();
});

test('the order of the day is worked out without a signal and shared by two; what the other looked at leaves the list', async ({
  context,
  program,
}) => {
  const page = await along(context, program.base);
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Order of the day' }).click();
  await expect(page.getByRole('heading', { name: /^Back about/ })).toBeVisible();
  await page.getByLabel('People').selectOption('2');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByRole('heading', { name: /^Second: \d+ stops/ })).toBeVisible();
  await page.getByRole('button', { name: 'Share it so' }).click();
  await expect(page.getByText(/Wren Ostby has \d+ sets/)).toBeVisible();
  await page.getByRole('link', { name: 'The run', exact: true }).click();
  const yours = page.getByRole('heading', { name: /Yours to check/ });
  const theirs = page.getByRole('heading', { name: /With Corin Vale/ });
  const count = async (heading: typeof yours): Promise<number> => Number((await heading.textContent())?.match(/\d+/)?.[0]);
  const [mine, his] = [await count(yours), await count(theirs)];
  expect(mine + his).toBeGreaterThan(15);
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText('All is in the record')).toBeVisible();

  // the other, at the desk, looks at one of his and is led to the next of his
  const desk = await context.newPage();
  await desk.goto(`${program.base}/morning/run`);
  await expect(desk.getByText(`Corin Vale has ${his} sets.`)).toBeVisible();
  await page.getByRole('list').nth(1).getByRole('link').first().click();
  const name = await page.getByRole('heading', { level: 1 }).textContent();
  const set = new URL(page.url()).searchParams.get('set') ?? '';
  await page.goto(`${program.base}/field`);
  await desk.goto(`${program.base}/check/${set}`);
  await expect(desk.getByRole('heading', { level: 1, name: name ?? '' })).toBeVisible();
  await desk.getByRole('button', { name: /untouched/i }).click();
  await expect(desk).toHaveURL(/morning\?saved|ask=/);
  await page.getByRole('button', { name: 'Refresh' }).click();
  await expect(theirs).toContainText(String(his - 1));
  await desk.close();
});

test('a clock that went wrong on the way is asked about once, and what carries its time is moved', async ({ context, program }) => {
  const page = await along(context, program.base);
  await context.setOffline(true);
  await page.clock.install({ time: Date.now() + 2 * 3_600_000 });
  await page.reload();
  await untouched(page, /12 east lodge run/);
  await expect(page.getByText('1 waits here for a signal')).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText(/now runs 2 h( 0 min)? ahead of the record, and 1 form carries its time/)).toBeVisible();
  // it stays asked, and every other page says that something waits
  await page.goto(`${program.base}/people`);
  await page.getByRole('link', { name: '1 form waits on this device to be sent' }).click();
  await page.getByRole('button', { name: 'Move them to the time of the record' }).click();
  await expect(page.getByText('All is in the record')).toBeVisible();
  await expect(page.getByText(/waits for you on Rounds/)).toBeHidden();
});

test('a set that was pulled meanwhile: the look is held, said on the device, and decided on Rounds', async ({ context, program }) => {
  const page = await along(context, program.base);
  await context.setOffline(true);
  const db = connect(program.url);
  const set = (await db('trap_set').where({ number: 42 }).first()) as { id: string };
  await db('stay').where({ set_id: set.id, live_to: 'infinity' }).update({ live_to: '2026-11-25T10:00:00Z' });
  await db.destroy();
  await untouched(page, /42 willow bend/);
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Send now' }).click();
  const told = page.getByRole('alert').filter({ hasText: 'Check of 42 willow bend waits for you on Rounds' });
  await expect(told).toContainText('a trap is checked after it was placed and not after it was pulled');
  await told.getByRole('button', { name: 'Seen' }).click();
  await expect(told).toBeHidden();
  await page.goto(`${program.base}/morning`);
  const held = page.getByRole('form', { name: /Held: 42 willow bend/ });
  await held.getByRole('button', { name: 'Into the book, on top' }).click();
  await expect(held.getByRole('alert')).toContainText('Still not taken');
  await held.getByRole('button', { name: 'Leave it out' }).click();
  await expect(held).toBeHidden();
});

test('the map of the run is drawn without a signal: where they stand, how far off and in which direction', async ({ context, program }) => {
  await context.grantPermissions(['geolocation']);
  await context.setGeolocation({ latitude: 45.5132, longitude: -90.4868, accuracy: 6 });
  const page = await along(context, program.base);
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Map' }).click();
  await expect(page.getByText('You are at the cross, within 20 ft.')).toBeVisible();
  await page.getByLabel('Show').selectOption({ label: 'Header Pond' });
  await expect(page.getByRole('img', { name: /The sets on their ground, north up/ })).toBeVisible();
  await expect(page.getByRole('listitem').first()).toContainText(/26 feed bed float\s*3\d\d ft south/);
  // who walks on sees the nearest first
  await context.setGeolocation({ latitude: 45.51248, longitude: -90.48762, accuracy: 6 });
  await expect(page.getByRole('listitem').first()).toContainText(/15 west lodge run\s*\d\d ft south-east/);
  await page.getByRole('listitem').first().getByRole('link').click();
  await expect(page.getByRole('heading', { name: /15 west lodge run/ })).toBeVisible();
});

test('three days without a signal, the clock two hours wrong, the tab killed twice, the program restarted as its next version: everything is in the book exactly once', async ({
  context,
  program,
}) => {
  test.setTimeout(400_000);
  const before = await tables(program.url);
  let page = await along(context, program.base);
  const photos = [1, 2, 3, 4, 5, 6].map((n) => page.screenshot({ clip: { x: 0, y: 60 * n, width: 380, height: 300 } }));
  const [first, second, ...others] = await Promise.all(photos);
  if (!first || !second) throw new Error('no pictures to send');
  await context.setOffline(true);
  await program.stop();
  const begun = Date.now() + 2 * 3_600_000;
  await context.clock.install({ time: begun });
  await page.reload();

  // a half-filled catch with its photo survives the tab
  await row(page, /33 crossover/).click();
  await page.getByRole('link', { name: 'Catch, dead' }).click();
  await page.getByLabel('Weight').fill('44 lb');
  await photograph(page, first);
  await page.close();
  page = await context.newPage();
  // another room opens as the run while nothing can be reached
  await page.goto(`${program.base}/morning`);
  await expect(row(page, /33 crossover/)).toContainText('half filled');
  await row(page, /33 crossover/).click();
  await page.getByRole('link', { name: 'Go on with what was half filled' }).click();
  await expect(page.getByLabel('Weight')).toHaveValue('44 lb');
  await expect.poll(() => page.getByAltText('Photo of this check').evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(380);
  await page.getByRole('radio', { name: 'as it was' }).check();
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByText('1 waits here for a signal')).toBeVisible();

  // what cannot be is refused here as at the desk
  await row(page, /27 patrol channel/).click();
  await page.getByRole('link', { name: /Something else/ }).click();
  await page.getByRole('link', { name: /^Missing/ }).click();
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByText(/Missing is mostly a catch. Say where it was looked for/)).toBeVisible();
  await page.getByLabel('Outcome').selectOption('untouched');
  // a level typed without a signal moves every set of its water
  await page.getByLabel('Level on the gauge').fill('41');
  await page.getByRole('button', { name: 'Save the check' }).click();
  if (await page.getByText(/Sent again as it is|not far|far from/i).isVisible())
    await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByText('2 wait here for a signal')).toBeVisible();
  await expect(row(page, /24 south mound/)).not.toContainText('Lower the bed 10 in');
  await remake(page, /24 south mound/);
  await caughtFirst(page, second);
  await untouchedFirst(page, 10);
  await expect(page.getByText('14 wait here for a signal')).toBeVisible();
  await page.close();

  page = await context.newPage();
  await context.clock.setSystemTime(begun + 24 * 3_600_000);
  await page.goto(`${program.base}/field`);
  await expect(page.getByText('14 wait here for a signal')).toBeVisible();
  await untouchedFirst(page, 1);
  await page.getByText('What waits').click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('14 wait here for a signal')).toBeVisible();
  // a set that was planned at the desk goes live: its trap, its anchor and its arming check are asked here too
  await row(page, /3 first bend/).click();
  await page.getByRole('button', { name: 'It is live' }).click();
  await expect(page.getByText('A live set needs its trap: choose a tag.')).toBeVisible();
  await page.getByLabel('Trap', { exact: true }).selectOption({ index: 1 });
  await page.getByLabel('Anchored to what, and where?').fill('alder root, left bank');
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  await page.getByRole('button', { name: 'It is live' }).click();
  await expect(page.getByText('15 wait here for a signal')).toBeVisible();
  for (const photo of others.slice(0, 2)) await caughtFirst(page, photo);
  await untouchedFirst(page, 11);

  await context.clock.setSystemTime(begun + 48 * 3_600_000);
  await page.reload();
  await remake(page, /41 head gate mound/);
  for (const photo of others.slice(2)) await caughtFirst(page, photo);
  await untouchedFirst(page, 10);
  await expect(page.getByText('41 wait here for a signal')).toBeVisible();

  const next = movedBuild();
  await program.start(new Date(Date.parse(NOW) + 48 * 3_600_000).toISOString(), next.folder);
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText(/now runs 2 h( \d+ min)? ahead of the record, and 41 forms carry its time/)).toBeVisible();
  await page.getByRole('button', { name: 'Move them to the time of the record' }).click();
  await expect(page.getByText('All is in the record')).toBeVisible();
  await expect(page.getByText(/waits for you on Rounds/)).toBeHidden();
  const after = await tables(program.url);
  expect(Object.fromEntries(Object.entries(after).map(([table, n]) => [table, n - (before[table] ?? 0)]))).toEqual({
    check_visit: 40,
    catch: 6,
    photo: 6,
  });
  const db = connect(program.url);
  expect((await db('trap_set').where({ name: 'first bend' }).first('state')) as object).toEqual({ state: 'live' });
  const shown = (await db('check_visit').whereNotNull('photo_id').orderBy('at').first('entry_id')) as { entry_id: string };
  await db.destroy();
  // the device takes the next version along, and nothing of the one before
  await page.goto(`${program.base}/field`);
  await expect.poll(() => page.evaluate(() => caches.keys())).toEqual(expect.arrayContaining([`field ${next.version}`]));
  await expect.poll(() => page.evaluate(async () => (await caches.keys()).filter((name) => name.startsWith('field')).length)).toBe(1);
  await context.setOffline(true);
  await page.reload();
  await expect(row(page, /12 east lodge run/)).toBeVisible();
  await context.setOffline(false);
  await page.goto(`${program.base}/book/${shown.entry_id}`);
  await expect(page.getByRole('heading', { name: /33 crossover, lower face: beaver.*44 lb.*with a photo/ })).toBeVisible();
  await expect.poll(() => page.getByAltText(/Photo of .*33 crossover/).evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(380);
  next.remove();
});
