import { LETTER_WIDTHS } from '#core/scene/letterWidths';
import { textWidth } from '#core/scene/labels';
import { clashes } from '../support/boxes';
import type { Page } from '@playwright/test';
import type { Program } from '../support/server';
import { expect, open, serious, test } from './fixture';

test.use({ story: 'access' });
test.describe.configure({ mode: 'parallel' });

const ROOMS = [
  '/morning',
  '/waters',
  '/bench',
  '/colonies',
  '/book',
  '/shed',
  '/rules',
  '/people',
  '/people/door',
  '/people/copies',
  '/shared',
];

/** The address of every room, of one water, one set and one entry of each kind. */
async function everyPage(page: Page, program: Program): Promise<(string | null)[]> {
  await open(page, `${program.base}/waters`);
  const water = await page.getByRole('link', { name: 'Header Pond', exact: true }).getAttribute('href');
  await open(page, `${program.base}/morning`);
  const check = await page.getByRole('link', { name: /27 patrol channel/ }).getAttribute('href');
  await open(page, `${program.base}/colonies`);
  const colony = await page.getByRole('link', { name: 'Header families' }).getAttribute('href');
  await open(page, `${program.base}/bench`);
  const bench = await page.getByRole('link', { name: '27 patrol channel' }).getAttribute('href');
  await open(page, `${program.base}/book`);
  const entry = await page
    .getByRole('link', { name: /the entry of/ })
    .first()
    .getAttribute('href');
  await open(page, `${program.base}${water}/read`);
  const survey = await page.getByRole('link', { name: /dam crossing read/ }).getAttribute('href');
  await open(page, `${program.base}${water}`);
  const station = await page.getByRole('link', { name: '13 lodge' }).first().getAttribute('href');
  await open(page, `${program.base}/waters`);
  const ice = await page.getByRole('link', { name: 'Moss Slough', exact: true }).getAttribute('href');
  await open(page, `${program.base}/bench`);
  const sets = await Promise.all(
    [/^12 east/, /^20 inlet/, /^22 flume/, /^26 feed/, /^33 crossover/].map((name) =>
      page.getByRole('link', { name }).getAttribute('href'),
    ),
  );
  const scouting = [
    ...['read', 'read/crossing', 'read/lodge', 'read/brook', 'ledger', 'count', 'break', 'levels', 'ice', 'fills', 'guide'].map(
      (path) => `${water}/${path}`,
    ),
    survey,
    station,
    `${station}/measure`,
  ];
  const rooms = [
    ...ROOMS,
    '/waters/plan',
    '/waters/plan/sheet',
    '/waters/exchange',
    '/waters/sign',
    '/waters/weather',
    '/book/forecasts',
    '/book/earns?by=station',
    `${station}/years`,
    '/colonies/odds',
    '/colonies/plans',
    '/colonies/trainer?level=usual&seed=3&at=place-1&type=lodge-run',
    colony,
    '/book/water',
    '/bench/catalogue?place=undercut&species=mink',
    '/bench/catalogue/undercut-bank',
    '/bench/carry',
    '/morning/paper',
    '/morning/typed',
    '/morning/away',
    '/morning/run',
    '/morning/word',
    '/morning/run?people=2',
    '/morning/nothing',
    '/morning/nothing?begun=1',
    '/rules?part=seasons',
    '/rules?part=checks',
    '/rules/schools',
    `${bench}/sheet`,
    `${bench}/find`,
    `${bench}/card`,
    '/bench/card',
    `/bench/series?like=${bench?.split('/').at(-1)}`,
    ...scouting,
    ice,
    ...sets,
  ];
  const own = check?.split('/').at(-1);
  const field = ['/field', `/field?set=${own}`, `/field?set=${own}&outcome=catch`];
  return [...rooms, water, check, `${check}?outcome=catch`, ...field, bench, entry, '/nowhere'];
}

/** Two stories go through all pages side by side, each through every other one. */
for (const half of [0, 1])
  test(`in every room axe finds nothing serious, no word lies on another and nothing scrolls sideways, small and wide, light and dark (${half + 1} of 2)`, async ({
    page,
    program,
    context,
  }) => {
    // longer than one task, on a slow machine several times so
    test.setTimeout(600_000);
    const pages = (await everyPage(page, program)).filter((_, i) => i % 2 === half);
    await context.addCookies([{ name: 'theme', value: 'firstlight', url: program.base }]);
    for (const path of pages) {
      await page.setViewportSize({ width: 390, height: 844 });
      await open(page, program.base + path);
      await page.waitForLoadState('networkidle');
      await page.evaluate(() => document.fonts.ready);
      for (const width of [390, 360, 1280]) {
        await page.setViewportSize({ width, height: 800 });
        // charts settle after a change of size
        await expect.poll(() => clashes(page), `${path} at ${width}`).toEqual([]);
      }
      await expect(page.locator('html')).toHaveAttribute('data-theme', 'firstlight');
      expect(await serious(page), `${path} in firstlight`).toEqual([]);
      // the dark page has the same elements in other colours, at once and not on their way there
      await page.addStyleTag({ content: '* { transition: none !important; }' });
      await page.evaluate(() => (document.documentElement.dataset.theme = 'headlamp'));
      expect(await serious(page, ['color-contrast']), `${path} in headlamp`).toEqual([]);
    }
  });

test('who chose the dark light gets it from the first byte, and axe finds nothing serious in it', async ({ page, program, context }) => {
  await context.addCookies([{ name: 'theme', value: 'headlamp', url: program.base }]);
  await open(page, `${program.base}/morning`);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'headlamp');
  expect(await serious(page)).toEqual([]);
});

test('the letter widths that place labels are those Chromium draws, within 5 %', async ({ page, program }) => {
  await open(page, `${program.base}/morning`);
  const words = [
    '33 crossover, lower face',
    '27 patrol channel',
    'yesterday 41¾ in',
    ...Object.keys(LETTER_WIDTHS).filter((l) => /\w/.test(l)),
  ];
  const drawn = await page.evaluate(async (all) => {
    await document.fonts.load('600 20px "Overpass Variable"');
    const context = document.createElement('canvas').getContext('2d');
    if (!context) return [];
    context.font = '600 20px "Overpass Variable"';
    return all.map((word) => context.measureText(word).width);
  }, words);
  words.forEach((word, i) => expect(Math.abs(textWidth(word, 20) / (drawn[i] ?? 0) - 1), word).toBeLessThan(0.05));
});

test('the keyboard alone: skip to the room, open a water, move the level, and its address keeps it', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Go to the room' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('main').getByRole('link').first()).toBeFocused();
  await page.getByRole('link', { name: 'Header Pond', exact: true }).focus();
  await page.keyboard.press('Enter');
  const level = page.getByRole('slider', { name: /Level of the water/ });
  await level.focus();
  const before = await level.getAttribute('aria-valuetext');
  for (let i = 0; i < 8; i += 1) await page.keyboard.press('ArrowUp');
  await expect(level).not.toHaveAttribute('aria-valuetext', before ?? '');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await expect(page.getByRole('heading', { name: /patrol channel/ })).toHaveCount(0);
  expect(page.url()).toContain('level=');
  await page.reload();
  await expect(page.getByLabel('Level', { exact: true })).toHaveValue(/^4\d/);
  await expect(page.getByText('what if 4')).toBeVisible();
});

test('a question mark lists every page, water and set; a few letters and Enter go there', async ({ page, program }) => {
  await open(page, `${program.base}/book`);
  await page.keyboard.press('?');
  const dialog = page.getByRole('dialog', { name: 'Go to' });
  await expect(dialog.getByRole('option', { name: 'Rounds', exact: true })).toHaveAttribute('aria-selected', 'true');
  await expect(dialog.getByRole('option', { name: 'Header Pond', exact: true })).toBeAttached();
  expect(await serious(page)).toEqual([]);
  await page.keyboard.type('12 east');
  await expect(dialog.getByRole('option')).toHaveText(['Check 12 east lodge run', 'Bench 12 east lodge run']);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('12 east lodge run');
  expect(page.url()).toContain('/bench/');
  // in a field a question mark is a question mark
  await page.getByLabel('Note', { exact: true }).fill('');
  await page.getByLabel('Note', { exact: true }).press('?');
  await expect(dialog).toBeHidden();
  await page.keyboard.press('Control+k');
  await expect(dialog).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
});

test('the level is dragged with the mouse and every set answers', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond', exact: true }).click();
  const handle = page.getByRole('slider', { name: 'Level of the water' });
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 20, box.y - 60, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByRole('heading', { name: /patrol channel: too shallow/ })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Back to now' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to now' }).click();
  await expect(page.getByRole('heading', { name: /patrol channel: too shallow/ })).toBeVisible();
});

test('without script a level is asked as a what-if, a reading saved, and a set checked', async ({ browser, program }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto(`${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond', exact: true }).click();
  await page.getByLabel('Level', { exact: true }).fill('45 in');
  await page.getByRole('button', { name: 'Try level' }).click();
  await expect(page.getByRole('heading', { name: /patrol channel: too shallow/ })).toHaveCount(0);
  await page.getByLabel('Level', { exact: true }).fill('nonsense');
  await page.getByRole('button', { name: 'Try level' }).click();
  await expect(page.getByText(/“nonsense” is not a length/)).toBeVisible();
  await page.getByLabel('Level', { exact: true }).fill('33 in');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByText(/Gauge read [01] min ago/)).toBeVisible();
  await page.goto(`${program.base}/morning`);
  await page.getByRole('link', { name: /45 ditch pinch/ }).click();
  // a device that was never told who works on it asks once (F74)
  await expect(page.getByRole('heading', { name: /Who checks\?/ })).toBeVisible();
  await page.getByRole('button', { name: 'Corin Vale' }).click();
  await page.getByRole('button', { name: 'Untouched' }).click();
  await expect(page.getByText(/Saved to the book|The check is saved/)).toBeVisible();
  await page.goto(`${program.base}/book`);
  await expect(page.getByRole('row', { name: /45 ditch pinch: untouched Corin Vale/ }).first()).toBeVisible();
  await page.goto(`${program.base}/morning`);
  await page.getByRole('link', { name: /42 willow bend/ }).click();
  await expect(page.getByRole('heading', { name: /Who checks\?/ })).toHaveCount(0);
  await context.close();
});

test('a section with twelve stations and more shows every set by name, none over another', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond', exact: true }).click();
  await expect(page.getByRole('slider', { name: 'Level of the water' })).toBeVisible();
  const labels = await page.locator('svg a text').all();
  expect(labels.length).toBeGreaterThanOrEqual(12);
  const boxes = await Promise.all(labels.map((l) => l.boundingBox()));
  boxes.forEach((a, i) =>
    boxes.forEach((b, j) => {
      if (!a || !b || i >= j) return;
      const apart = a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y;
      expect(apart, `labels ${i} and ${j}`).toBe(true);
    }),
  );
});
