import { expect, open, serious, test } from './fixture';

test.use({ story: 'newcomer' });

test('from the name to a first live set in twelve answers, nothing asked that can come later', async ({ page, program }) => {
  let answers = 0;
  const answer = async (given: Promise<unknown>): Promise<void> => {
    await given;
    answers += 1;
  };
  await open(page, `${program.base}/`);
  await answer(page.getByLabel('Your name').fill('Odo Fenn'));
  await answer(page.getByLabel('Name of the water').fill('Mill Pond'));
  await page.getByRole('button', { name: 'Begin' }).click();

  await expect(page.getByRole('heading', { level: 1, name: 'Mill Pond' })).toBeVisible();
  await expect(page.getByRole('group', { name: /What will stand here/ })).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Build the set' }).click();
  await expect(page.getByText('Choose what the place is: a lodge, a run, a dam.')).toBeVisible();
  await expect(page.getByText('Choose the trap that stands there.')).toBeVisible();
  await answer(page.getByLabel('What place is it?').selectOption('run'));
  await answer(page.getByLabel('Which trap?').selectOption({ label: '330 body-grip' }));
  await page.getByRole('button', { name: 'Build the set' }).click();

  await expect(page.getByLabel('Outer trap, by tag')).toHaveValue(/.+/);
  await answer(page.getByLabel('Top of the jaws below water').fill('6 in'));
  await answer(page.getByLabel('Anchored to what, where').fill('ash root, left bank'));
  await answer(page.getByLabel('Level on the gauge now').fill('0'));
  for (const question of await page.getByRole('checkbox').all()) await answer(question.check());
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText('It is live and owes its checks.')).toBeVisible();
  expect(answers).toBeLessThanOrEqual(12);

  await open(page, `${program.base}/morning`);
  const row = page.getByRole('row', { name: /1 first run/ });
  await expect(row).toContainText('working');
  await expect(row).toContainText('330');
  // where the line lies was not said: no hour of light is told
  await expect(page.getByRole('img', { name: /^Day strip: .*Sunrise none, sunset none/ })).toBeVisible();
});

test('what was left for later is said later: the place brings the light, and the water its next places', async ({ page, program }) => {
  await open(page, `${program.base}/people`);
  await expect(page.getByText('Nobody said yet where it lies: hours of light are not known.')).toBeVisible();
  await page.getByLabel('Latitude').fill('45.5');
  await page.getByRole('button', { name: 'Save the line' }).click();
  await expect(page.getByText('A place needs both: type the longitude too, or empty both.')).toBeVisible();
  await page.getByLabel('Longitude').fill('90.5 W');
  await page.getByLabel('Time zone').fill('America/Chicago');
  await page.getByRole('button', { name: 'Save the line' }).click();
  await expect(page.getByRole('img', { name: /^Day strip: .*Sunrise 7:/ })).toBeVisible();
  await open(page, `${program.base}/waters/plan`);
  await expect(page.getByRole('heading', { name: 'Beaver plan' })).toBeVisible();
});
