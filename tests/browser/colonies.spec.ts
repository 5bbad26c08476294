import { expect, open, serious, test } from './fixture';

/** What next with a colony: who is left, what they learned, whether it is done. */
test.use({ story: 'colonies' });

test('a colony is read, tried with what it has not learned, called done and opened again', async ({ page, program }) => {
  await open(page, `${program.base}/colonies`);
  await page.getByRole('link', { name: 'Header families' }).click();
  await expect(page.getByText(/^They shy from body-grips, /)).toBeVisible();
  const nights = page.getByRole('region', { name: /^Nights of Header families/ });
  await expect(nights.getByRole('row', { name: /24 south mound .*caught: beaver/ })).toBeVisible();
  expect(await serious(page)).toEqual([]);
  // what is proposed is no body-grip, and leads to the bench
  const next = page.getByRole('listitem').filter({ hasText: 'a catch in 4 nights in range' }).first().getByRole('link');
  await expect(next).not.toHaveText(/Lodge run at/);
  const what = ((await next.textContent()) ?? '').split(' at ')[0] ?? '';
  await next.click();
  await expect(page.getByText(what).first()).toBeVisible();

  await open(page, `${program.base}/colonies`);
  await page.getByRole('link', { name: 'Upper lodge' }).click();
  await expect(page.getByText(/^Nobody home, /)).toBeVisible();
  const call = page.getByRole('button', { name: 'Nobody is left: done' });
  // it is as sure as was asked: the form lies open
  await page.getByLabel('Look again on').fill('2026-11-20');
  await call.click();
  await expect(page.getByText('Look again on a day that is to come.')).toBeVisible();
  await expect(page.getByLabel('Look again on')).toHaveValue('2026-11-20');
  await page.getByLabel('Look again on').fill('2026-12-12');
  await call.click();
  await expect(page.getByText(/Called done Nov 25/)).toBeVisible();
  await page.getByRole('button', { name: 'It is not done after all' }).click();
  await expect(call).toBeVisible();
});

test('a water that nobody named a colony of is named, with what lived there', async ({ page, program }) => {
  await open(page, `${program.base}/colonies`);
  await page.getByRole('link', { name: 'Moss Slough' }).click();
  await page.getByText('Name this colony').click();
  await page.getByLabel('Lived there at first: at least').fill('6');
  await page.getByLabel('At most').fill('4');
  await page.getByLabel('How that is known').fill('two large, two small at dusk');
  await page.getByRole('button', { name: 'Save the colony' }).click();
  await expect(page.getByText('The least is no more than the most: put the smaller number first.')).toBeVisible();
  await expect(page.getByLabel('How that is known')).toHaveValue('two large, two small at dusk');
  await page.getByLabel('Lived there at first: at least').fill('4');
  await page.getByRole('button', { name: 'Save the colony' }).click();
  await expect(page.getByText(/4 lived here at first, you wrote: two large, two small at dusk/)).toBeVisible();
  await expect(page.getByRole('heading', { level: 1, name: 'Moss Slough family' })).toBeVisible();
});

test('a place keeps what it gave and taught, and what lies there', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond' }).first().click();
  const place = await page.locator('a', { hasText: '12 east lodge run' }).evaluateAll((all) => all.map((a) => a.getAttribute('href')));
  await open(page, `${program.base}${place.find((href) => href?.startsWith('/waters/')) ?? ''}`);
  await expect(page.getByText('Lies here: a stake, outer edge, left of the fork; sound')).toBeVisible();
  await page.getByRole('link', { name: 'What it gave and taught, year by year' }).click();
  await expect(page.getByText('6 beaver in 19 looks, 5 times met and not caught.')).toBeVisible();
  await expect(page.getByRole('heading', { name: /1 Lodge run season 2/ })).toBeVisible();
  await expect(page.getByText(/Nov 7 .*beaver: top of the jaws 22¼ in under the water/).first()).toBeVisible();
  await page.getByLabel('What', { exact: true }).selectOption('a stone laid');
  await page.getByLabel('Where, and how').fill('flat one, under the inner trap');
  await page.getByRole('button', { name: 'It lies here' }).click();
  await expect(page.getByText('a stone laid: flat one, under the inner trap', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: /It is gone ?: a stake/ }).click();
  await expect(page.getByText(/^a stake: outer edge, left of the fork; sound: Oct .* to Nov/)).toBeVisible();
  expect(await serious(page)).toEqual([]);
});
