import { expect, open, test } from './fixture';

test.use({ story: 'break' });

test('the break designer, both ways: what a break does to every set, and how large it may be', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond', exact: true }).click();
  await page.getByRole('link', { name: 'What a break would do' }).click();
  await expect(page.getByText(/Opening a dam can flood those below/)).toBeVisible();
  await expect(page.getByText(/^From 32½ in to 25¾ in by 26 Nov 05:22, between/)).toBeVisible();
  await expect(page.getByRole('row', { name: /22 stump hollow/ })).toContainText(
    /leaves its band about 06:\d\d, between 06:\d\d and 06:\d\d/,
  );
  await expect(page.getByRole('row', { name: /12 east lodge run/ })).toHaveCount(1);
  await expect(page.getByRole('img', { name: /Course of the level/ })).toBeVisible();

  await page.getByLabel('Level wanted').fill('30 in');
  await page.getByLabel('At', { exact: true }).fill('2026-11-25T16:30');
  await page.getByRole('button', { name: 'Work it out' }).click();
  const answer = page.getByText(/^In 11 h 08 min: To keep 30 in: at most .* wide\. To be down at 30 in: at least .* wide\.$/);
  await expect(answer).toBeVisible();
  const most = /at most ([^ ]+ in) wide/.exec((await answer.textContent()) ?? '')?.[1] ?? '';
  await page.getByLabel('Width at the water').fill(most);
  await page.getByRole('button', { name: 'Work it out' }).click();
  await page.getByText('The course as a table').click();
  await expect(page.getByRole('row', { name: /^(14|17):22 (30|29¾|30¼) in/ }).first()).toBeVisible();

  await page.getByLabel('Width at the water').fill('wide');
  await page.getByLabel('Area of the pond').fill('0');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText(/“wide” is not a length/)).toBeVisible();
  await expect(page.getByText(/The area of the pond is above 0/)).toBeVisible();
  await expect(page.getByLabel('Width at the water')).toHaveValue('wide');
  await page.getByLabel('Area of the pond').fill('40000');
  await page.getByLabel('Width at the water').fill('12 in');
  await page.getByLabel('Sill, on the gauge').fill('-120 in');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText(/over 10 ft deep/)).toBeVisible();
});
