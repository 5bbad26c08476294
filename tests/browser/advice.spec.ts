import { readFileSync } from 'node:fs';
import { expect, open, serious, test } from './fixture';

test.use({ story: 'advice' });

test('fish at a blind set is remarked, taken back by one tap, and what draws elsewhere comes out of its jar', async ({ page, program }) => {
  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: /74 left wall/ }).click();
  await page.waitForLoadState('networkidle');
  await page.getByText('Bait and scent').click();
  await expect(page.getByLabel('What draws')).toHaveValue('blind');
  await page.getByLabel('What draws').selectOption('I say what');
  await page.getByLabel('What', { exact: true }).first().selectOption('fish');
  const remarks = page.getByRole('region', { name: 'Before you walk away' });
  await remarks.getByText('Scent on a blind set').first().click();
  await expect(remarks.getByText(/Fish calls others to it, raccoons first/)).toBeVisible();
  await remarks.getByRole('button', { name: 'Change it' }).first().click();
  await expect(page.getByLabel('What draws')).toHaveValue('blind');
  await expect(remarks.getByText('Scent on a blind set: changed.')).toBeVisible();

  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: /41 head gate mound/ }).click();
  await page.waitForLoadState('networkidle');
  await page.getByText('Bait and scent').click();
  await page.getByLabel('What draws').selectOption('I say what');
  await page.getByLabel('What', { exact: true }).first().selectOption('sac oil');
  await page.getByLabel('Portions').first().fill('plenty');
  await page.getByLabel('Out of').first().selectOption({ label: 'beaver oil (12)' });
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('“plenty” is no number of portions')).toBeVisible();
  await expect(page.getByLabel('Portions').first()).toHaveValue('plenty');
  await page.getByLabel('Portions').first().fill('2');
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await open(page, `${program.base}/shed`);
  await expect(page.getByRole('row', { name: /beaver oil/ })).toContainText('10');
  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: /41 head gate mound/ }).click();
  await page.getByRole('link', { name: 'Remake sheet' }).click();
  await expect(page.getByText('Fresh over the old: sac oil, on the bank, 2 portions.')).toBeVisible();
});

test('a school is picked for the line: the bench says which sets stand on the other side, and both are counted', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/rules`);
  await page.getByRole('link', { name: /where practitioners differ/ }).click();
  const hold = page.getByRole('group', { name: 'Hold or submerge' });
  await expect(hold.getByText(/4 sets, 4 caught/)).toBeVisible();
  await hold.getByRole('radio', { name: /live hold/ }).check();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await expect(hold.getByRole('radio', { name: /live hold/ })).toBeChecked();
  expect(await serious(page)).toEqual([]);

  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: /31 north shoulder/ }).click();
  await page.waitForLoadState('networkidle');
  await page.getByText('Schools', { exact: true }).click();
  const schools = page.getByText(/Hold or submerge: here submersion.*not your line’s school/);
  await expect(schools).toBeVisible();
  await schools.getByRole('button', { name: 'Build it so' }).click();
  await expect(page.getByLabel('Hold', { exact: true })).toHaveValue('live');
  await expect(page.getByText(/Hold or submerge: here live hold.*\(your line’s school\)/)).toBeVisible();
});

test('a set is shown to a friend as a file, his Zaprud draws it, and his answer stays with the set', async ({ page, program }) => {
  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: /22 flume gap/ }).click();
  await page.getByRole('link', { name: 'Ask a friend' }).click();
  await page.getByLabel('What do you ask?').fill('Nothing since Monday. Too deep?');
  await page.getByRole('button', { name: 'Put it on the card' }).click();
  await expect(page.getByRole('group', { name: /as it is met/ })).toBeVisible();
  await expect(page.getByRole('article').getByText('Nothing since Monday. Too deep?')).toBeVisible();
  const [card] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save the card as a file' }).click()]);
  const file = await card.path();
  const text = readFileSync(file, 'utf8');
  expect(text).toContain('Nothing since Monday. Too deep?');
  expect(text).not.toMatch(/"lat"|"lon"|owner/);
  const looks = page.getByRole('article').getByRole('row');
  const told = await looks.allInnerTexts();
  expect(told.join(' ')).toMatch(/\d:\d\d [ap]m/);

  await open(page, `${program.base}/bench/card`);
  await page.getByLabel('or its text').fill('{ "format": "zaprud card", "version": 2 }');
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText(/This card was written by a later program/)).toBeVisible();
  await page.getByLabel('The file of the card').setInputFiles(file);
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByRole('heading', { name: '22 flume gap, of Wren Ostby' })).toBeVisible();
  // each look by the clock of its place, not by that of the machine that reads it
  expect(await looks.allInnerTexts()).toEqual(told);
  await expect(page.getByText('Nothing since Monday. Too deep?')).toBeVisible();
  await page.getByLabel('What would you do?').fill('Raise it three inches and wait four nights.');
  await page.getByLabel('Your name, as your friend knows it').fill('an old hand');
  const [reply] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the answer as a file' }).click(),
  ]);

  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: /22 flume gap/ }).click();
  await page.getByRole('link', { name: 'Ask a friend' }).click();
  await page.getByLabel('The file of the reply').setInputFiles(await reply.path());
  await page.getByRole('button', { name: 'Keep it with the set' }).click();
  await expect(page.getByText('The reply stays with the set.')).toBeVisible();
  await expect(page.getByText('Raise it three inches and wait four nights.')).toBeVisible();
  await page.getByRole('link', { name: 'in the book' }).click();
  await expect(page.getByText(/an old hand answered: Raise it three inches/).first()).toBeVisible();
});

test('the guided way: the best place of a water, three designs for it, what each costs, and to the bench', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond', exact: true }).click();
  await page.getByRole('link', { name: 'Where and with what' }).click();
  await expect(page.getByRole('heading', { name: 'At 17 ice rack' })).toBeVisible();
  await expect(page.getByText('1 live set here already').first()).toBeVisible();
  const design = page.getByRole('article').first();
  // those left have learned the body-grip: what is new to them stands before it
  await expect(design.getByRole('heading', { name: '1. Lodge run, bare snare' })).toBeVisible();
  await expect(design.getByText(/In the shed: 7×7/)).toBeVisible();
  await expect(page.getByRole('article').filter({ has: page.getByRole('heading', { name: '3. Lodge run', exact: true }) })).toContainText(
    'those left here have learned a body-grip',
  );
  const table = page.getByRole('region', { name: 'What each design costs and gives' });
  await expect(table.getByRole('row', { name: /Minutes to set/ })).toContainText('5');
  await expect(page.getByRole('columnheader', { name: '3 sets at once' })).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await page.getByRole('link', { name: '36 old bank den' }).click();
  await expect(page.getByRole('heading', { name: 'At 36 old bank den' })).toBeVisible();
  await page.getByRole('link', { name: 'mink', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Where and with what: mink' })).toBeVisible();
  await page
    .getByRole('link', { name: /^Build it/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Save the set' })).toBeVisible();
  await expect(page.getByLabel('Meant for')).toHaveValue('mink');
});

test('Rounds tells the line’s remarks when they are asked for, the sheet quotes the rulebook, the plan asks it', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/morning`);
  await page.getByText('Remarks', { exact: true }).click();
  const remarks = page.getByRole('region', { name: 'What an old hand would change first' });
  await expect(remarks.getByRole('group').first()).toBeVisible();
  expect(await remarks.getByRole('group').count()).toBeLessThanOrEqual(3);

  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: /22 flume gap/ }).click();
  await page.getByRole('link', { name: 'Steps, cut list and photos' }).click();
  const book = page.getByRole('region', { name: 'By your rulebook' });
  await expect(book.getByText('the local code decides')).toBeVisible();
  await expect(book.getByText('season-beaver')).toBeVisible();

  await open(page, `${program.base}/waters/plan?species=otter`);
  await expect(page.getByText(/Closed then by your rulebook \(closed-otter\)/).first()).toBeAttached();
  await expect(page.getByText(/Nothing worth setting on/)).toBeVisible();
});
