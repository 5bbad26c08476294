import { expect, open, serious, test } from './fixture';

test.use({ story: 'empty' });

test('an empty record says what to do first, and leads to the first live set of a landowner', async ({ page, program }) => {
  await open(page, `${program.base}/`);
  await expect(page).toHaveURL(/\/begin$/);
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('A name is needed here.').first()).toBeVisible();
  await page.getByLabel('Your name').fill('Odo Fenn');
  await page.getByLabel('Name of the water').fill('Mill Pond');
  await page.getByText('Units, place, check rule, names').click();
  await page.getByLabel('Units').selectOption('metric');
  await page.getByLabel('Time zone').fill('America/Chicago');
  await page.getByLabel('Latitude').fill('forty');
  await page.getByLabel('Longitude').fill('90,5 W');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText(/“forty” is not a number of degrees\. Write a latitude like/)).toBeVisible();
  await page.getByLabel('Latitude').fill('45.5 N');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Mill Pond' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Day strip: .*Sunrise \d/ })).toBeVisible();

  await page.getByText('Add a location').click();
  const form = page.getByRole('group').filter({ hasText: 'Add a location' });
  await form.getByLabel('Name', { exact: true }).fill('mill run');
  await form.getByLabel('Along the shore from the inlet').fill('12 m');
  await form.getByRole('button', { name: 'Add the location' }).click();
  await expect(page.getByRole('row', { name: /1 mill run/ })).toBeVisible();

  await open(page, `${program.base}/shed`);
  await expect(page.getByText('Nothing yet.')).toBeVisible();
  await page.getByLabel('Tag', { exact: true }).fill('M-1');
  await page.getByLabel('Size').selectOption({ label: '330 body-grip' });
  await page.getByRole('button', { name: 'Add to the shed' }).click();
  await expect(page.getByRole('link', { name: 'M-1' })).toBeVisible();

  await open(page, `${program.base}/bench`);
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByLabel('State').selectOption('live');
  await page.getByLabel('Top of the jaws below water').fill('8 cm');
  await page.getByLabel('Outer trap, by tag').selectOption({ label: 'M-1, 330' });
  await page.getByLabel('Anchored to what, where').fill('ash root');
  const at = page.getByLabel('At', { exact: true });
  const made = new Date(new Date(`${await at.inputValue()}Z`).getTime() - 3_600_000);
  await at.fill(made.toISOString().slice(0, 16));
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText(/No level was read here by then/)).toBeVisible();
  await page.getByLabel('Level on the gauge now').fill('0');
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();

  // nothing is made up: the water was never read, so the level is asked for
  await open(page, `${program.base}/morning`);
  await expect(page.getByRole('row', { name: /1 mill run/ })).toContainText('working');
  await page.getByRole('link', { name: /1 mill run/ }).click();
  await page.getByRole('link', { name: 'Something else' }).click();
  await page.getByRole('link', { name: /^Out of water/ }).click();
  await page.getByLabel('Seen at the set').fill('top 15 cm dry');
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByRole('row', { name: /1 mill run/ })).toContainText('too shallow');
  await expect(page.getByRole('row', { name: /1 mill run/ })).toContainText('5 cm too low');
});
