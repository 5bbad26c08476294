import { expect, open, test } from './fixture';

test.use({ story: 'break' });

test('a break that is open moves every set: until when it is fine, what to change at the check, and its end once it is found mended', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/morning`);
  const flume = page.getByRole('row', { name: /22 flume gap/ });
  await expect(flume).toContainText(
    /Works until about \d:\d\d am \(\d:\d\d am at the earliest\), then perhaps too shallow, too little loop under water/,
  );
  await expect(flume).toContainText(/Lower the loop .* in.*Then it should work until Nov 26/);
  await expect(page.getByRole('row', { name: /42 willow bend/ })).toContainText('Should work until the check');
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond', exact: true }).click();
  await expect(page.getByRole('heading', { name: '22 flume gap: working' })).toBeVisible();
  await page.getByRole('link', { name: 'Breaks', exact: true }).click();
  await page.getByRole('button', { name: 'It was found plugged' }).click();
  await expect(page.getByText(/nothing runs out there any more/)).toBeVisible();
  await open(page, `${program.base}/morning`);
  await expect(page.getByRole('main')).not.toContainText('Works until about');

  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Upper Reservoir', exact: true }).click();
  await page.getByRole('link', { name: 'Breaks', exact: true }).click();
  await page.getByText(/A break was opened, or found open/).click();
  await page.getByLabel('Its width at the water').fill('two hands');
  await page.getByRole('button', { name: 'Save the break' }).click();
  await expect(page.getByText(/“two hands” is not a length/)).toBeVisible();
  await page.getByLabel('Its width at the water').fill('20 in');
  await page.getByLabel('Opened at', { exact: true }).fill('2026-11-26T05:00');
  await page.getByRole('button', { name: 'Save the break' }).click();
  await expect(page.getByText(/not open yet is a what-if/)).toBeVisible();
  await page.getByLabel('Opened at', { exact: true }).fill('2026-11-25T04:00');
  await page.getByLabel('Opened by').selectOption('others');
  await page.getByRole('button', { name: 'Save the break' }).click();
  await expect(page.getByText(/20 in wide, bottom at .* open since Nov 25 4:00 am, by others/)).toBeVisible();
});

test('the break designer, both ways: what a break does to every set, and how large it may be', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond', exact: true }).click();
  await page.getByRole('link', { name: 'Breaks', exact: true }).click();
  await expect(page.getByText(/Opening a dam can flood downstream/)).toBeVisible();
  await expect(page.getByText(/^32½ in to [\d¼½¾]+ in by Nov 26 5:22 am \(likely/)).toBeVisible();
  await expect(page.getByRole('row', { name: /22 flume gap/ })).toContainText(/fails about 6:\d\d am \([56]:\d\d am to [67]:\d\d am\)/);
  await expect(page.getByRole('row', { name: /12 east lodge run/ })).toHaveCount(1);
  await expect(page.getByRole('img', { name: /Course of the level/ })).toBeVisible();

  await page.getByLabel('Level wanted').fill('28 in');
  await page.getByLabel('At', { exact: true }).fill('2026-11-25T16:30');
  await page.getByRole('button', { name: 'Calculate' }).click();
  const answer = page.getByText(/^In 11 h 0\d min from now\. To keep 28 in: at most .* wide\. To be down at 28 in: at least .* wide\.$/);
  await expect(answer).toBeVisible();
  const most = /at most ([^ ]+ in) wide/.exec((await answer.textContent()) ?? '')?.[1] ?? '';
  await page.getByLabel('Width at the water', { exact: true }).fill(most);
  await page.getByRole('button', { name: 'Calculate' }).click();
  await page.getByText('The course as a table').click();
  await expect(page.getByRole('row', { name: /^(2|5):22 pm (28|27¾|28¼) in/ }).first()).toBeVisible();

  await page.getByLabel('Width at the water', { exact: true }).fill('wide');
  await page.getByLabel('Area of the pond').fill('0');
  await page.getByRole('button', { name: 'Calculate' }).click();
  await expect(page.getByText(/“wide” is not a length/)).toBeVisible();
  await expect(page.getByText(/The area of the pond is above 0/)).toBeVisible();
  await expect(page.getByLabel('Width at the water', { exact: true })).toHaveValue('wide');
  await page.getByLabel('Area of the pond').fill('40000');
  await page.getByLabel('Width at the water', { exact: true }).fill('12 in');
  await page.getByLabel('Bottom on the gauge', { exact: true }).fill('-120 in');
  await page.getByRole('button', { name: 'Calculate' }).click();
  await expect(page.getByText(/over 10 ft deep/)).toBeVisible();
});
