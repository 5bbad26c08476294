import { expect, open, test } from './fixture';

test('two people change one set: the second is told what the first changed, and both changes stand', async ({ page, program, browser }) => {
  const other = await browser.newPage();
  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: '15 west lodge run' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('15 west lodge run');
  await open(other, page.url());

  await page.getByLabel('Anchored to what, where').fill('the leaning birch');
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();

  await other.getByLabel('Note', { exact: true }).fill('ice at the edge');
  await other.getByRole('button', { name: 'Save the changes' }).click();
  const told = other.getByRole('alert');
  await expect(told).toContainText(/Wren Ostby changed this .*: Anchored to what, where: .* → the leaning birch/);
  await expect(told).toContainText('Your values are still here');
  await expect(other.getByLabel('Note', { exact: true })).toHaveValue('ice at the edge');
  await other.getByRole('button', { name: 'Save my changes on top' }).click();
  await expect(other.getByText('Saved to the book.')).toBeVisible();
  await expect(other.getByLabel('Anchored to what, where')).toHaveValue('the leaning birch');
  await expect(other.getByLabel('Note', { exact: true })).toHaveValue('ice at the edge');
  await other.close();
});

test('a check from a page opened before the set was pulled is answered, not lost', async ({ page, program, browser }) => {
  const other = await browser.newPage();
  await open(page, `${program.base}/morning`);
  const link = page.getByRole('link', { name: /35 tail pool run/ });
  const check = `${program.base}${await link.getAttribute('href')}`;
  await link.click();
  await open(other, `${program.base}/bench`);
  await other.getByRole('link', { name: '35 tail pool run' }).click();
  await other.getByText('Pull this set').click();
  await other.getByRole('button', { name: /Pull it/ }).click();
  await expect(other.getByText('Saved to the book.')).toBeVisible();
  await other.close();

  await page.getByRole('link', { name: 'Something else' }).click();
  await expect(page.getByText('Not live: no check needed.')).toBeVisible();
  await open(page, check);
  await expect(page.getByText('Not live: no check needed.')).toBeVisible();
});

test('a check that also pulled the set is taken back whole with one tap', async ({ page, program }) => {
  await open(page, `${program.base}/morning`);
  await page.getByRole('link', { name: /42 willow bend/ }).click();
  await page.getByRole('link', { name: 'Something else' }).click();
  await page.getByRole('link', { name: /^I pulled it/ }).click();
  await expect(page.getByRole('radio', { name: 'pulled' })).toBeChecked();
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByRole('row', { name: /42 willow bend/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row', { name: /42 willow bend/ })).toHaveCount(1);
});

test('a reading typed with its figures swapped is corrected in the book, and the set that was measured by it moves', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Upper Reservoir', exact: true }).click();
  await page.getByLabel('Level', { exact: true }).fill('42 in');
  await page.getByRole('button', { name: 'Save reading' }).click();
  // so far from what was read before it is asked about once
  await expect(page.getByText(/above all that was read/)).toBeVisible();
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByText(/42 in/).first()).toBeVisible();
  await open(page, `${program.base}/bench`);
  await page.getByLabel('Location').selectOption({ label: '60 spring inlet, point at Upper Reservoir' });
  await page.getByLabel('Type of set').selectOption({ label: 'Castor mound foothold (beaver, otter)' });
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByLabel('State').selectOption('live');
  await page.getByLabel('Number').fill('199');
  await page.getByLabel('Name', { exact: true }).fill('swapped');
  await page.getByLabel('Trap, by tag').selectOption({ label: 'K-35, No. 4' });
  await page.getByLabel('Hold', { exact: true }).selectOption('live restraint');
  await page.getByLabel('Anchored to what, where').fill('T bar');
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await open(page, `${program.base}/morning`);
  const row = page.getByRole('row', { name: /199 swapped/ });
  const works = async (): Promise<string> => /Works at [^;.]*/.exec((await row.textContent()) ?? '')?.[0] ?? '';
  const before = await works();
  expect(before).not.toBe('');

  await open(page, `${program.base}/book`);
  await page
    .getByRole('row', { name: /board at the spillway: 42 in/ })
    .getByRole('link', { name: /correct/ })
    .click();
  await page.getByLabel('Level', { exact: true }).fill('24 in');
  await page.getByLabel(/Why/).fill('figures swapped');
  await page
    .getByRole('button', { name: /Save|Correct/ })
    .first()
    .click();
  await expect(page.getByText('It corrects an older entry')).toBeVisible();
  await open(page, `${program.base}/morning`);
  await expect(row).toBeVisible();
  expect(await works()).not.toBe(before);
});

test('a break that is found wider grows as one break, and a pond of unknown size is asked for its two numbers', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Moss Slough', exact: true }).click();
  await page.getByRole('link', { name: 'Breaks', exact: true }).click();
  await page.getByText(/A break was opened, or found open/).click();
  await page.getByLabel('Its width at the water').fill('8 in');
  await page.getByLabel('Bottom of the break, on the gauge').fill('10 in');
  const opened = page.getByLabel('Opened at', { exact: true });
  await opened.fill((await opened.inputValue()).replace(/T.*/, 'T04:00'));
  await page.getByRole('button', { name: 'Save the break' }).click();
  await expect(page.getByText(/8 in wide, bottom at 10 in/)).toBeVisible();
  await page.getByText('It was found wider, deeper or shallower').click();
  await page.getByLabel('Width now').fill('wide');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText(/“wide” is not a length/)).toBeVisible();
  await page.getByLabel('Width now').fill('20 in');
  await page.getByRole('button', { name: 'Save the change' }).click();
  await expect(page.getByText(/20 in wide, bottom at 10 in/)).toBeVisible();
  await expect(page.getByText(/seen changed 1 time/)).toBeVisible();
  await page.getByLabel('Rise in a day when nothing runs out').fill('½ in');
  await page.getByRole('button', { name: 'Save these' }).click();
  await expect(page.getByText('The forecast is wide:')).toHaveCount(0);
});
