import { expect, open, test } from './fixture';

test.use({ story: 'halfHour' });

/** From an empty record to the first figures of the book, each reckoned by hand beside its line. It is 05:22 on the 25th. */
test('a newcomer’s first half hour: what is measured is used, and every figure is the one that a hand reckons', async ({
  page,
  program,
}) => {
  await test.step('a crew, a water, its gauge', async () => {
    await open(page, `${program.base}/`);
    await page.getByLabel('Your name').fill('Odo Fenn');
    await page.getByLabel('Name of the water').fill('Mill Pond');
    await page.getByText('Units, place, check rule, names').click();
    await page.getByLabel('Units').selectOption('us');
    await page.getByLabel('Time zone').fill('America/Chicago');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Mill Pond' })).toBeVisible();
    await page.getByText('Enter a reading of another time or surface').click();
    await page.getByLabel('Level on the gauge').fill('30 in');
    await page.getByLabel('Read at').fill('2026-11-20T08:00');
    await page.getByRole('button', { name: 'Save this reading' }).click();
    await expect(page.getByText('Gauge read 5 days ago')).toBeVisible();
    await page.getByLabel('Level', { exact: true }).fill('30 in');
    await page.getByRole('button', { name: 'Save reading' }).click();
    await expect(page.getByText(/Gauge read [01] min ago/)).toBeVisible();
  });

  await test.step('a place with its depth and its width', async () => {
    await page.getByText('Add a location').click();
    const form = page.getByRole('group').filter({ hasText: 'Add a location' });
    await form.getByLabel('Name', { exact: true }).fill('mill run');
    await form.getByLabel('Kind').selectOption('run');
    await form.getByLabel('Along the shore from the inlet').fill('40 ft');
    await form.getByLabel('Depth there now').fill('20 in');
    await form.getByRole('button', { name: 'Add the location' }).click();
    await page
      .getByRole('row', { name: /1 mill run/ })
      .getByRole('link', { name: '1 mill run' })
      .click();
    await expect(page.getByText('20 in of water now.')).toBeVisible();
    await page.getByRole('link', { name: 'Measure this place' }).click();
    await page.getByLabel('Width at the bed').fill('14 in');
    await page.getByRole('button', { name: 'Save what was measured' }).click();
    await expect(page.getByRole('row', { name: /Width at the bed 14 in/ })).toBeVisible();
  });

  await test.step('a trap, and a set out of what was measured', async () => {
    await open(page, `${program.base}/shed`);
    await page.getByLabel('Tag', { exact: true }).fill('K-01');
    await page.getByLabel('Size').selectOption({ label: '330 body-grip' });
    await page.getByRole('button', { name: 'Add to the shed' }).click();
    await open(page, `${program.base}/bench`);
    await page.getByRole('button', { name: 'To the bench' }).click();
    await expect(page.getByText('14 in, measured here Nov 25')).toBeVisible();
    await expect(page.getByText('20 in, depth here')).toBeVisible();
    await expect(page.getByText('9 in, on this bed')).toBeVisible();
    await page.getByLabel('State').selectOption('live');
    // 20 in of water, 1 in of stand, a frame of 10 in: 9 in stay over it
    await page.getByLabel('Top of the jaws below water').fill('9 in');
    await page.getByLabel('Outer trap, by tag').selectOption({ label: 'K-01, 330' });
    await page.getByLabel('Anchored to what, where').fill('ash root');
    await page.getByLabel('At', { exact: true }).fill('2026-11-20T08:00');
    for (const question of await page.getByRole('checkbox').all()) await question.check();
    await page.getByRole('button', { name: 'Save the set' }).click();
    await expect(page.getByText('Saved to the book.')).toBeVisible();
  });

  await test.step('where it works, and what tomorrow brings', async () => {
    await open(page, `${program.base}/waters`);
    await page.getByRole('link', { name: 'Mill Pond', exact: true }).click();
    await page.getByRole('link', { name: /1 mill run: working/ }).click();
    const card = page.getByRole('region', { name: '1 mill run' });
    // the jaws' top at 21 in on the gauge: 4 in proud at 17, a foot under at 33, perhaps two feet at 45
    await expect(card.getByText(/Works at 17 in to 33 in/)).toBeVisible();
    await expect(page.getByText(/this time tomorrow 30 in/)).toBeVisible();
  });

  const check = async (at: string, what: string, answer: () => Promise<void>): Promise<void> => {
    await open(page, `${program.base}/morning`);
    await page.getByRole('link', { name: /1 mill run/ }).click();
    await page.getByRole('link', { name: what }).click();
    await answer();
    await page.getByRole('radio', { name: 'remade' }).check();
    await page.getByLabel('Level on the gauge').fill('30 in');
    await page.getByLabel('Checked at').fill(at);
    for (const question of await page
      .getByRole('group', { name: /Arming check/ })
      .getByRole('checkbox')
      .all())
      await question.check();
    await page.getByRole('button', { name: 'Save the check' }).click();
    await expect(page.getByText('Saved to the book.')).toBeVisible();
  };
  await test.step('sprung and remade, then a beaver', async () => {
    await check('2026-11-22T08:00', 'Sprung, empty', async () => undefined);
    await check('2026-11-24T08:00', 'Catch, dead', async () => {
      await page.getByLabel('Weight').fill('44 lb');
      await page.getByLabel('Age', { exact: true }).selectOption('adult');
      await page.getByRole('radio', { name: 'dead' }).check();
      await page.getByLabel('neck').check();
    });
  });

  await test.step('the book, as a hand reckons it', async () => {
    await open(page, `${program.base}/book`);
    // 117 h since it was set; half of each 48 h before it was found fired do not count: 69 h of 117, 2.9 of 4.9 nights
    const beaver = page.getByRole('row', { name: /^beaver/ });
    await expect(beaver).toContainText('2.9 of 4.9');
    await expect(beaver).toContainText('no rate');
    await expect(page.getByRole('row', { name: /mill run: beaver, adult, 44 lb, neck, remade/ })).toBeVisible();
    await open(page, `${program.base}/colonies`);
    await expect(page.getByText('Met a trap and got away: 1 sprung empty. The last check had a catch.')).toBeVisible();
    await open(page, `${program.base}/morning`);
    // it may rise 3 in before 33
    await expect(page.getByRole('row', { name: /1 mill run/ })).toContainText('can rise 3 in');
  });
});
