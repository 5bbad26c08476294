import { expect, open, test } from './fixture';

test.use({ story: 'entered' });

test('a rise heard on the radio moves the forecast, and a level far from all that was read is asked about once', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Upper Reservoir', exact: true }).click();
  await page.getByText('Heard of a rise').click();
  await page.getByRole('button', { name: 'Move the forecast by it' }).click();
  await expect(page.getByText('Say by when all of it is there.')).toBeVisible();
  await page.getByLabel('It will rise by').fill('2 ft');
  await page.getByLabel('Give or take').fill('6 in');
  await page.getByLabel('All there by').fill('2026-11-25T20:00');
  await page.getByLabel('Told by').fill('the radio');
  await page.getByRole('button', { name: 'Move the forecast by it' }).click();
  await expect(page.getByText(/Told: a rise of 24 in, give or take 6 in by 8:00 pm \(the radio\)/)).toBeVisible();
  await page.getByText('How sure is the forecast?').click();
  await expect(page.getByText(/what the radio told/)).toBeVisible();

  await page.getByLabel('Level', { exact: true }).fill('350 in');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByText(/above all that was read .* Then save once more; else correct it\./)).toBeVisible();
  await page.getByLabel('Level', { exact: true }).fill('24 in');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page.getByText(/above all that was read/)).toHaveCount(0);
});

test('a gauge below the dam is hung by the drop that was measured, and read beside the pond’s', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Upper Reservoir', exact: true }).click();
  await page.getByText('Add a gauge below the dam').click();
  await page.getByLabel('It shows now').fill('4 in');
  await page.getByRole('button', { name: 'Add the gauge' }).click();
  await expect(page.getByText(/how far the water below lies under the pond/)).toBeVisible();
  await page.getByLabel('Drop from the pond to the water below').fill('30 in');
  await page.getByRole('button', { name: 'Add the gauge' }).click();
  await expect(page.getByText('Add a gauge below the dam')).toHaveCount(0);
  await page.getByText('Enter a reading of another time or surface').click();
  await expect(page.getByLabel('Surface').first()).toBeVisible();
  await page.getByRole('link', { name: 'Levels' }).click();
  await expect(page.getByRole('combobox', { name: 'Gauge' })).toBeVisible();
});

test('a place that was added leaves nothing of itself for the next, and a tag for the next trap neither', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Sallow Outfall', exact: true }).click();
  await page.getByText('Add a location').click();
  const form = page.getByRole('group').filter({ hasText: 'Add a location' });
  await form.getByLabel('Name', { exact: true }).fill('old stump');
  await form.getByLabel('Along the shore from the inlet').fill('90 ft');
  await form.getByLabel('Note').fill('two mouths');
  await form.getByRole('button', { name: 'Add the location' }).click();
  await expect(page.getByRole('row', { name: /old stump/ })).toBeVisible();
  if (!(await form.getByLabel('Name', { exact: true }).isVisible())) await page.getByText('Add a location').click();
  for (const label of ['Along the shore from the inlet', 'Note']) await expect(form.getByLabel(label)).toHaveValue('');
  await expect(form.getByLabel('Name', { exact: true })).toHaveValue('');
  await open(page, `${program.base}/shed`);
  await page.getByLabel('Tag', { exact: true }).fill('Y-01');
  await page.getByRole('button', { name: 'Add to the shed' }).click();
  await expect(page.getByRole('link', { name: 'Y-01' })).toBeVisible();
  await expect(page.getByLabel('Tag', { exact: true })).toHaveValue('');
});

test('a dozen traps in one line, a second site with its leave, and a width kept for its place', async ({ page, program }) => {
  await open(page, `${program.base}/shed`);
  await page.getByLabel('Tag').fill('Z-01 to Z-12');
  await page.getByLabel('Size').selectOption('bodyGrip:330');
  await page.getByRole('button', { name: 'Add to the shed' }).click();
  await expect(page.getByRole('link', { name: 'Z-12', exact: true })).toBeVisible();
  await page.getByLabel('Tag').fill('Z-12 to Z-14');
  await page.getByRole('button', { name: 'Add to the shed' }).click();
  await expect(page.getByText('Z-12 stands in the shed already: none of them was added.')).toBeVisible();

  await open(page, `${program.base}/waters`);
  await page.getByText('Add a water or a site').click();
  await page.getByLabel('Name of the water').fill('Mill Brook');
  await page.getByLabel('Kind of water').selectOption('stream');
  await page.getByLabel('Site', { exact: true }).selectOption('another');
  await page.getByRole('button', { name: 'Add the water and its gauge' }).click();
  await expect(page.getByText(/Name the site/)).toBeVisible();
  await page.getByLabel('Name of the site').fill('Old mill');
  await page.getByLabel('Owner and permission').fill('the miller, by word, until March');
  await page.getByRole('button', { name: 'Add the water and its gauge' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Mill Brook' })).toBeVisible();
  await open(page, `${program.base}/waters`);
  await expect(page.getByRole('heading', { name: /Old mill/ })).toBeVisible();

  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: '27 patrol channel' }).click();
  const width = page.getByRole('textbox', { name: 'Run at the bed' });
  await width.fill('17 in');
  await page.getByLabel('keep it for this place').locator('visible=true').check();
  for (const box of await page.getByRole('checkbox', { name: /\?$/ }).all()) await box.check();
  const despite = page.getByLabel('It goes live all the same, because');
  if (await despite.isVisible()) await despite.fill('it is let down tonight');
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await expect(width).toHaveValue('');
  await expect(page.getByText(/17 in, measured here/)).toBeVisible();
});

test('a form whose answer is slow says that it is being sent, and no longer once it is answered (F164)', async ({ page, program }) => {
  await open(page, `${program.base}/people`);
  let answer = (): void => undefined;
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route(/people\?\/save/, async (route) => {
    await held;
    await route.continue();
  });
  await expect(page.getByText('Sending …')).toBeHidden();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Sending …')).toBeVisible();
  answer();
  await expect(page.getByText('Sending …')).toBeHidden();
});
