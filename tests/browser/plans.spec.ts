import { expect, open, serious, test } from './fixture';
import type { Page } from '@playwright/test';

/** Plans tried on a model, and a pond to learn on: neither touches the record. */
test.use({ story: 'colonies' });

test('two plans are lived a thousand seasons each, and the link holds them', async ({ page, program }) => {
  await open(page, `${program.base}/colonies`);
  await page.getByRole('link', { name: 'Try a plan' }).click();
  const left = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: 'Left at the end' }) })
    .last();
  await expect(left.getByText(/On average/)).toBeVisible({ timeout: 30_000 });
  await expect(left.getByText(/No difference that one season could show|No difference, not even/)).toBeVisible();
  // a bad number is told at its field, and the rest is kept
  const second = page.getByRole('group', { name: 'Second plan' });
  await second.getByLabel('Traps').fill('40');
  await second.getByLabel('First with').selectOption('snares');
  await page.getByRole('button', { name: 'Live 1,000 seasons' }).click();
  await expect(page.getByText('Traps is 14 at most.')).toBeVisible();
  await expect(second.getByLabel('First with')).toHaveValue('snare');
  await second.getByLabel('Traps').fill('1');
  await page.getByRole('button', { name: 'Live 1,000 seasons' }).click();
  await expect(left.getByText(/The first plan is better, and one season mostly shows it/)).toBeVisible({ timeout: 30_000 });
  expect(new URL(page.url()).searchParams.get('b.traps')).toBe('1');
  // the drawing's table has every season
  await left.getByText('As a table').click();
  const counts = await left.getByRole('row').getByRole('cell').allTextContents();
  expect(counts.map(Number).reduce((all, n) => all + n, 0)).toBe(2000);
  // one season is lived again
  const one = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: 'One of these seasons' }) })
    .last();
  await one.getByLabel('Season').fill('3');
  await expect(one.getByText(/ of \d+ caught/)).toBeVisible();
  await expect(one.getByRole('listitem')).toHaveCount(14);
  expect(await serious(page)).toEqual([]);
});

test('a colony of the record gives the model how many live there and what they know', async ({ page, program }) => {
  await open(page, `${program.base}/colonies`);
  await page.getByRole('link', { name: 'Header families' }).click();
  await page.getByRole('link', { name: 'Try plans on a colony like it' }).click();
  await expect(page.getByText(/How many live there and what they know is from Header families/)).toBeVisible();
  await page.getByText(/^The pond: /).click();
  await expect(page.getByLabel('They know')).toHaveValue('bodyGrip');
});

/** Builds what the bench proposes first at a place, and answers its arming check. */
async function build(page: Page, place: RegExp): Promise<void> {
  await page.getByRole('listitem').getByRole('link', { name: place }).click();
  const offers = page.getByRole('region', { name: place }).getByRole('listitem').getByRole('link');
  await offers.first().click();
  await page.getByRole('button', { name: /^Set it, \d+ minutes/ }).click();
  await expect(page.getByText(/Not live yet: /)).toBeVisible();
  await page.getByLabel('Anchored to what, where').fill('root on the left bank');
  for (const box of await page.getByRole('group', { name: 'Arming check' }).getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: /^Set it, \d+ minutes/ }).click();
  await expect(page.getByRole('heading', { name: 'Your sets' })).toBeVisible();
}

test('a first lesson is played to its end, survives a reload, and leaves the record as it was', async ({ page, program }) => {
  test.setTimeout(90_000);
  await open(page, `${program.base}/bench`);
  const before = await page.getByRole('region', { name: 'Sets of this season' }).getByRole('row').count();
  await open(page, `${program.base}/colonies`);
  await page.getByRole('link', { name: 'A stranger’s pond' }).click();
  await page.getByRole('link', { name: 'Another pond' }).click();
  await expect(page.getByText(/is pond 2:/)).toBeVisible();
  await expect(page.getByText('Look at each place: fresh sign tells where they go.')).toBeVisible();
  await build(page, /^1 main lodge run$/);
  await expect(page.getByText('Set today')).toBeVisible();
  expect(await serious(page)).toEqual([]);
  for (let day = 1; day <= 5; day += 1) {
    await expect(page.getByText(`Day ${day} of 5.`)).toBeVisible();
    for (const button of await page.getByRole('button', { name: /^Remake, / }).all()) await button.click();
    if (day === 3) {
      await page.reload();
      await expect(page.getByText('Day 3 of 5.')).toBeVisible();
    }
    await page.getByRole('button', { name: 'Let the night come' }).click();
  }
  await expect(page.getByRole('heading', { name: /caught; a plain set at each place in use/ })).toBeVisible();
  const told = page.getByRole('table').filter({ has: page.getByRole('columnheader', { name: 'What the animals did' }) });
  await expect(told.getByRole('row', { name: /main lodge run In use: / })).toBeVisible();
  await expect(told.getByRole('row', { name: /dam In use: .*no set/ }).first()).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Begin this pond anew' }).click();
  await expect(page.getByText('Day 1 of 5.')).toBeVisible();
  await open(page, `${program.base}/bench`);
  await expect(page.getByRole('region', { name: 'Sets of this season' }).getByRole('row')).toHaveCount(before);
});
