import { expect, open, test } from './fixture';

test.use({ story: 'scouting' });

async function water(page: import('@playwright/test').Page, base: string, name: string): Promise<void> {
  await open(page, `${base}/waters`);
  await page.getByRole('link', { name, exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

/** On paper: the rooms and forms are gone, the map stands. */
async function onPaper(page: import('@playwright/test').Page, map: RegExp): Promise<void> {
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
  await expect(page.getByRole('button').first()).toBeHidden();
  await expect(page.getByRole('img', { name: map })).toBeVisible();
  expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(5000);
  await page.emulateMedia({ media: 'screen' });
}

test('the crossing of a dam: gaps ticked, the main one named while ticking, a map at the end, and a station made of it', async ({
  page,
  program,
}) => {
  await water(page, program.base, 'Upper Reservoir');
  await page.getByRole('link', { name: 'Scouting guides' }).click();
  await page.getByRole('link', { name: 'Find the crossover' }).click();
  const middle = page.getByRole('group', { name: /The middle of the dam/ });
  const left = page.getByRole('group', { name: /The left end/ });
  await left.getByLabel('there is a gap').check();
  await left.getByLabel('wet', { exact: true }).check();
  await expect(page.getByText(/None of these gaps is worn/)).toBeVisible();
  await middle.getByLabel('there is a gap').check();
  for (const trait of ['worn', 'wet', 'left bare of poles']) await middle.getByLabel(trait, { exact: true }).check();
  await expect(page.getByText(/^Main crossing at the middle: worn, wet and left bare of poles/)).toBeVisible();
  await middle.getByLabel('Width of gap 1').fill('wide');
  await page.getByRole('button', { name: 'Save the reading' }).click();
  await expect(page.getByText(/“wide” is not a length/)).toBeVisible();
  await expect(middle.getByLabel('worn', { exact: true })).toBeChecked();
  await middle.getByLabel('Width of gap 1').fill('20 in');
  await page.getByRole('button', { name: 'Save the reading' }).click();
  await expect(page.getByRole('img', { name: /dam seen from below/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /1, main middle 20 in/ })).toBeVisible();
  await onPaper(page, /dam seen from below/);
  await page
    .getByRole('row', { name: /1, main/ })
    .getByRole('button', { name: /make it a location/ })
    .click();
  await expect(page.getByRole('heading', { level: 1, name: /crossing, middle/ })).toBeVisible();
  await expect(page.getByText('belongs to')).toContainText('65 long dam');
});

test('the winter lodge: signs that disagree, holes felt one after the other, a numbered map on paper', async ({ page, program }) => {
  await water(page, program.base, 'Header Pond');
  await page.getByRole('link', { name: 'Scouting guides' }).click();
  await page.getByRole('link', { name: 'Find runs under ice' }).click();
  await expect(page.getByText(/No ice is safe/)).toBeVisible();
  await page.getByLabel('frosted vent').check();
  await expect(page.getByText(/One sign does not decide/)).toBeVisible();
  await page.getByLabel('green sticks in the pile').check();
  await expect(page.getByText(/^Live, as far as it can be seen/)).toBeVisible();
  await page.getByLabel('Feed pile °').fill('120');
  await page.getByLabel('Radius').fill('6 ft');
  const first = page.getByRole('group', { name: 'Hole 1' });
  await first.getByLabel('Felt in hole 1').selectOption('sticks');
  await first.getByLabel('From the peak').fill('7 ft');
  await page.getByRole('button', { name: 'Save and draw the map' }).click();
  await expect(page.getByText(/bearing from the peak, in degrees/)).toBeVisible();
  await first.getByLabel('Bearing').fill('80');
  await page.getByRole('button', { name: 'Save and draw the map' }).click();
  await expect(page.getByRole('img', { name: /Map of the lodge from above/ })).toBeVisible();
  await expect(page.getByText(/Sticks: go about 24 in outward on 80°, to 9 ft from the peak/)).toBeVisible();
  await page.getByLabel('Felt').selectOption('edge of the sticks');
  await page.getByLabel('From the peak').fill('9 ft');
  await page.getByLabel('Bearing').fill('80');
  await page.getByRole('button', { name: 'Add the hole' }).click();
  await expect(page.getByText(/Edge of the sticks at 9 ft on 80°: this is the place/)).toBeVisible();
  await expect(page.getByRole('row', { name: /2 edge of the sticks 9 ft 80°/ })).toBeVisible();
  await onPaper(page, /Map of the lodge from above/);
});

test('the walk of a brook: one tap a mark, ranked with reasons, on a strip', async ({ page, program }) => {
  await water(page, program.base, 'Sallow Outfall');
  await page.getByRole('link', { name: 'Scouting guides' }).click();
  await page.getByRole('link', { name: 'Creek walk' }).click();
  const tap = (mark: string) => page.getByRole('button', { name: mark, exact: true }).click();
  await tap('bend');
  await page.getByLabel('Along, mark 1').fill('40 ft');
  await tap('root wad');
  await page.getByLabel('Along, mark 2').fill('260 ft');
  await page.getByLabel('Depth at the trap, mark 2').fill('5');
  await page.getByLabel('Roof over the bed, mark 2').fill('8');
  await page.getByRole('group', { name: 'Mark 2' }).getByLabel('outside of a bend').check();
  await tap('pool');
  await page.getByLabel('Along, mark 3').fill('300 ft');
  await page.getByRole('button', { name: 'Save and rank the marks' }).click();
  await expect(page.getByRole('img', { name: /The creek as a strip/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^1 2 root wad 260 ft outside of the bend, 5 in at the trap, as wanted/ })).toContainText(
    'yes',
  );
  await expect(page.getByRole('row', { name: /3 pool 300 ft/ })).toContainText('leave it');
  await onPaper(page, /The creek as a strip/);
});

test('the plan: worked out, answered for 40 minutes and 8 traps, a place taken, one left, and a sheet to print', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'The plan' }).click();
  await expect(page.getByRole('heading', { name: 'Beaver plan' })).toBeVisible();
  await page.getByLabel('Minutes I have').fill('40');
  await page.getByLabel('Traps').fill('8');
  await page.getByRole('button', { name: 'Calculate' }).click();
  await expect(
    page.getByText(/^In 40 minutes with 8 traps: set \d, in this order: 97 bank hole, 92 sluice corner, 54 lane culvert/),
  ).toBeVisible();
  await page.getByText('closed by depth, ice, permission or rulebook').click();
  // a frozen place is no place to be sent to while its ice is short of the table
  await expect(page.getByText(/^Ice: maybe only .* short of the 4 in of ice .* Stay off\.$/).first()).toBeVisible();
  const first = page.getByRole('listitem').filter({ hasText: '92 sluice corner' }).first();
  await first.getByText('Take it into the plan').click();
  await first.getByLabel('To do').selectOption('prepared for the date');
  await first.getByLabel('Opening date').fill('2026-12-05');
  await first.getByRole('button', { name: 'Save 92 sluice corner' }).click();
  await expect(page.getByText('sluice corner: saved to the plan and the book.')).toBeVisible();
  await expect(page.getByText(/^In 40 minutes with 8 traps/)).toBeVisible();
  await expect(page.getByRole('link', { name: /sluice corner: .*, prepared for Dec 5/ })).toBeVisible();
  const second = page.getByRole('listitem').filter({ hasText: '54 lane culvert' }).first();
  await second.getByText('Take it into the plan').click();
  await second.getByLabel('To do').selectOption('left unset');
  await second.getByRole('button', { name: 'Save 54 lane culvert' }).click();
  await expect(page.getByText(/Say why it is left unset/)).toBeVisible();
  await page.getByRole('link', { name: 'Printed sheet' }).click();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
  await expect(page.getByRole('group', { name: /Section of the water/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Map of/ })).toBeVisible();
  await expect(page.getByRole('table')).toBeVisible();
  const pdf = (await page.pdf({ format: 'A4', landscape: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page\b/g)?.length ?? 0, 'one or two pages').toBeLessThanOrEqual(2);
  await page.emulateMedia({ media: 'screen' });
});
