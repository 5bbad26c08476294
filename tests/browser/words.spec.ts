import { expect, test } from './fixture';
import { ROOMS, visibleWords } from '../support/words';

test.use({ story: 'words', viewport: { width: 1280, height: 800 } });

for (const room of ROOMS)
  test(`${room.name} shows at most ${room.most} words before anything is opened`, async ({ page, program }) => {
    await room.open(page, program.base);
    const { words } = await visibleWords(page);
    expect(words).toBeGreaterThan(60);
    expect(words).toBeLessThanOrEqual(room.most);
  });

test('a count over the rounds shows its sets alone, with what to do about them', async ({ page, program }) => {
  await page.goto(`${program.base}/morning`);
  await page.getByRole('link', { name: /^5 not working/ }).click();
  await expect(page.getByText('Fix these first.')).toBeVisible();
  await expect(page.getByRole('link', { name: /12 east lodge run/ })).toHaveCount(0);
  const row = page.getByRole('row', { name: /27 patrol channel/ });
  await expect(row.getByText(/top of the jaws is/)).toBeHidden();
  await row.getByText('Lower it 7¼ in').click();
  await expect(row.getByText(/The top of the jaws is 6¾ in above water/)).toBeVisible();
  await page.getByRole('link', { name: /^18 due/ }).click();
  await expect(page.getByRole('link', { name: /12 east lodge run/ })).toBeVisible();
});
