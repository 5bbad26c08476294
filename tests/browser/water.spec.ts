import { expect, open, test } from './fixture';

test.use({ story: 'moving water' });

test('tomorrow’s sets, from a reading to a changed set: the night is played, the remedy taken at the bench, the section shows it', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Header Pond', exact: true }).click();
  await page.getByLabel('Level', { exact: true }).fill('32 in');
  await page.getByRole('button', { name: 'Save reading' }).click();
  await expect(page).toHaveURL(/read=1/);
  await page.getByText('How sure is the forecast?').click();
  await expect(page.getByText(/Based on the water balance of the pond\. 8 in 10 readings should land in the shaded range/)).toBeVisible();

  const time = page.getByRole('slider', { name: 'Time looked at' });
  await expect(page.getByRole('heading', { name: '22 flume gap: working' })).toBeVisible();
  await time.fill('720');
  await expect(time).toHaveAttribute('aria-valuetext', /^5:22 pm: [\d¼½¾]+ in, between [\d¼½¾]+ in and [\d¼½¾]+ in/);
  await expect(page.getByRole('heading', { name: /22 flume gap: too shallow/ })).toBeVisible();
  await time.press('Home');
  await expect(time).toHaveAttribute('aria-valuetext', 'now');
  await page.getByRole('button', { name: 'Play forecast' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await expect(time).not.toHaveAttribute('aria-valuetext', 'now');
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('button', { name: 'Now' }).click();

  // the level is dragged by key: the forecast goes on from there
  const level = page.getByRole('slider', { name: 'Level of the water, what if' });
  await level.press('PageDown');
  await expect(level).toHaveAttribute('aria-valuetext', '30 in');
  await time.fill('360');
  await expect(time).toHaveAttribute('aria-valuetext', /^11:22 am: 2[789][¼½¾]? in/);
  await page.getByRole('link', { name: 'Back to now' }).click();

  const flume = page.getByRole('article').filter({ hasText: '22 flume gap: working' });
  await expect(flume).toContainText(/Works until about \d:\d\d am/);
  const lower = /Lower the loop ([\d¼½¾ ]+ in)/.exec((await flume.textContent()) ?? '')?.[1] ?? '';
  expect(lower).not.toBe('');
  await flume.getByRole('link', { name: '22 flume gap' }).click();
  await page.getByLabel('Level on the gauge now').fill('32 in');
  await page.getByRole('textbox', { name: 'Lowest point below water' }).fill('10 in');
  await page.getByLabel('Depth of the channel').fill('13 in');
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page).toHaveURL(/saved=1/);
  await open(page, `${program.base}/morning`);
  await expect(page.getByRole('row', { name: /22 flume gap/ })).not.toContainText('fine until about');
});

test('ice before a wire is cut: what the hole will hold, thinner places, and no figure that promises', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Moss Slough', exact: true }).click();
  await page.getByRole('link', { name: 'Ice', exact: true }).click();
  await expect(page.getByText(/^No ice is safe/)).toBeVisible();
  await expect(page.getByText(/82 low lodge pole: New ice in the hole by .* a safety pole of .* is required/)).toBeVisible();
  await expect(page.getByRole('row', { name: /^81 low lodge run/ })).toContainText('measured here against the open sheet');
  await expect(page.getByRole('img', { name: /Course of the ice/ })).toBeVisible();
  await page.getByLabel('Thickness').fill('3 m');
  await page.getByLabel('Note').fill('by the pile');
  await page.getByRole('button', { name: 'Save to the book' }).click();
  await expect(page.getByText(/between 0 and 1\.5 m \(59 in\) thick/)).toBeVisible();
  await expect(page.getByLabel('Note')).toHaveValue('by the pile');
  await page.getByLabel('Thickness').fill('4 3/4 in');
  await page.getByRole('button', { name: 'Save to the book' }).click();
  await expect(page.getByText(/the course begins again from it/)).toBeVisible();
});

test('a logger’s file is looked at before anything of it is taken', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Upper Reservoir', exact: true }).click();
  await page.getByRole('link', { name: 'Levels', exact: true }).click();
  await expect(page.getByRole('img', { name: /Course of the level/ })).toBeVisible();
  const file = page.getByLabel('CSV of a level logger');
  const give = (name: string, text: string) => file.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  const row = (n: number, level: string): string => `${new Date(Date.UTC(2026, 9, 1) + n * 900_000).toISOString()},${level}`;
  await give('mixed.csv', `time,level\n${row(0, '50 cm')}\n${row(1, '20 in')}`);
  await expect(page.getByText(/written in 2 units \(cm, in\): make them one/)).toBeVisible();
  await give('zone.csv', `time,level (cm)\n2026-11-25 09:00,50`);
  await expect(page.getByText(/lies? in the future: the clock or the zone of the file is another one/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take the whole stretch' })).toHaveCount(0);
  const year = Array.from(
    { length: 300_000 },
    (_, n) => `${new Date(Date.UTC(2026, 3, 1) + n * 60_000).toISOString()},${(60 + 5 * Math.sin(n / 3000)).toFixed(2)}`,
  );
  year[5000] = `${new Date(Date.UTC(2026, 3, 1) + 5000 * 60_000).toISOString()},190`;
  await give('long.csv', `time,level (cm)\n${year.slice(0, 100_000).join('\n')}\n${year.slice(101_000).join('\n')}`);
  await expect(page.getByText(/^299000 rows|^299,000 rows/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/1 gap, the longest 16 h/)).toBeVisible();
  await expect(page.getByText(/2 jumps of over 4 in/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the whole stretch' }).click();
  await expect(page.getByText(/points of the logger are in the book/)).toBeVisible();
  await page.getByLabel('Days back').selectOption('366');
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByText(/What was read as a table: [\d,]+ in 366 days/)).toBeVisible();
});

test('how good the forecasts were, and how the sets stood in the water', async ({ page, program }) => {
  await open(page, `${program.base}/book`);
  await page.getByRole('link', { name: 'Forecast accuracy' }).click();
  await expect(page.getByText(/readings came into the forecast range, \d+%; 80% were promised/)).toBeVisible();
  await page.getByRole('link', { name: 'Book', exact: true }).last().click();
  await page.getByRole('link', { name: 'Water at each set' }).click();
  await expect(page.getByRole('row', { name: /20 inlet point/ })).toContainText('under its working range');
});

test('the weather of the night and what it asks, from the simulated station and from a table', async ({ page, program }) => {
  await open(page, `${program.base}/waters/weather`);
  await expect(page.getByText(/are expected in the night: breaks cut wider and streams rise/)).toBeVisible();
  await expect(page.getByText(/Header Pond: upwind/)).toBeVisible();
  await page.getByLabel('CSV of hours').setInputFiles({
    name: 'mast.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('time,temperature (f),wind from\n2026-08-01T00:00,60,NW\n2026-08-01T01:00,hot,N'),
  });
  await expect(page.getByText(/1 hour new, 0 here already, 1 refused/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the 1 new' }).click();
  await expect(page.getByText('1 hour taken into the book.')).toBeVisible();
});
