import { connect } from '#server/database';
import { expect, open, test } from './fixture';

test.use({ story: 'badInput' });

const one = async (url: string, query: string): Promise<number> => {
  const db = connect(url);
  const { rows } = await db.raw<{ rows: { n: string }[] }>(query);
  await db.destroy();
  return Number(rows[0]?.n);
};

/** Opens the bench on a set of the demo by its number and name. */
async function bench(page: import('@playwright/test').Page, base: string, name: string): Promise<void> {
  await open(page, `${base}/bench`);
  await page.getByRole('link', { name, exact: true }).click();
  await page.waitForLoadState('networkidle');
}

test('a depth of “abc” is refused beside its field, and what was typed stays', async ({ page, program }) => {
  await bench(page, program.base, '15 west lodge run');
  await page.getByLabel('Depth of the run').fill('abc');
  await page.getByLabel('Note').fill('typed before');
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText(/“abc” is not a length Zaprud can read. Write it like 9 1\/2 in/)).toBeVisible();
  await expect(page.getByLabel('Depth of the run')).toHaveValue('abc');
  await expect(page.getByLabel('Note')).toHaveValue('typed before');
  await expect(page.getByLabel('Depth of the run')).toHaveAttribute('aria-invalid', 'true');
});

test('a depth out of its range says the range', async ({ page, program }) => {
  await bench(page, program.base, '15 west lodge run');
  await page.getByLabel('Depth of the run').fill('40 ft');
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText(/Depth of the run lies between 0 in and/)).toBeVisible();
});

test('a trap already in another set is refused beside the trap', async ({ page, program }) => {
  await bench(page, program.base, '15 west lodge run');
  await page.getByLabel('Outer trap, by tag').selectOption({ label: 'K-10, 330 (stands in 27 patrol channel)' });
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText(/already stands in another set at that time/)).toBeVisible();
});

test('a check before placement, a catch of −3 kg, a weight that is no weight', async ({ page, program }) => {
  await open(page, `${program.base}/morning`);
  await page.getByRole('link', { name: /12 east lodge run/ }).click();
  await page.getByRole('link', { name: 'Catch, dead' }).click();
  await page.getByRole('radio', { name: 'as it was' }).check();
  await page.getByRole('radio', { name: 'dead' }).check();
  await page.getByLabel('Weight').fill('-3 kg');
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByText('A weight is more than 0.')).toBeVisible();
  // what was chosen from a list stays chosen, however often the form comes back
  await page.getByLabel('Sex').selectOption('male');
  await page.getByLabel('Weight').fill('heavy');
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByText(/“heavy” is not a weight Zaprud can read/)).toBeVisible();
  await page.getByLabel('Weight').fill('40');
  await page.getByLabel('Checked at').fill('2026-10-01T08:00');
  await page.getByRole('button', { name: 'Save the check' }).click();
  await expect(page.getByText(/a trap is checked after it was placed/)).toBeVisible();
  await expect(page.getByLabel('Weight')).toHaveValue('40');
  await expect(page.getByLabel('Sex')).toHaveValue('male');
  await expect(page.getByRole('radio', { name: 'dead' })).toBeChecked();
});

test('what is typed while an answer is under way stands when it comes', async ({ page, program }) => {
  await open(page, `${program.base}/morning`);
  await page.getByRole('link', { name: /12 east lodge run/ }).click();
  await page.getByRole('link', { name: 'Catch, dead' }).click();
  await page.getByRole('radio', { name: 'as it was' }).check();
  await page.getByLabel('Weight').fill('-3 kg');
  await page.getByRole('radio', { name: 'dead' }).check();
  let answer = (): void => undefined;
  const typed = new Promise<void>((done) => (answer = done));
  await page.route('**/check/**', async (route) => {
    await typed;
    await route.continue();
  });
  await page.getByRole('button', { name: 'Save the check' }).click();
  await page.getByLabel('Weight').fill('41 lb');
  await page.getByLabel('neck').check();
  answer();
  await expect(page.getByText('A weight is more than 0.')).toBeVisible();
  await expect(page.getByLabel('Weight')).toHaveValue('41 lb');
  await expect(page.getByLabel('neck')).toBeChecked();
});

test('a pull before the last check', async ({ page, program }) => {
  await bench(page, program.base, '12 east lodge run');
  await page.getByText('Pull this set').click();
  await page.getByLabel('Pulled at').fill('2026-11-20T08:00');
  await page.getByRole('button', { name: /Pull it/ }).click();
  await expect(page.getByText(/That time does not fit/)).toBeVisible();
});

test('an unknown id in the address is a plain page, without a trace', async ({ page, program }) => {
  for (const path of [
    '/waters/nonsense',
    '/waters/00000000-0000-7000-8000-000000000000',
    '/bench/nonsense',
    '/check/%27%3B--',
    '/book/00000000-0000-7000-8000-000000000000',
    '/bench/new?station=x',
    '/nowhere',
  ]) {
    const answer = await page.goto(program.base + path);
    expect(answer?.status(), path).toBe(404);
    await expect(page.getByRole('alert')).toContainText('There is no such');
    expect(await page.content()).not.toMatch(/\.js:\d+|node_modules|at \w+ \(/);
  }
});

test('a form sent twice is one row; a body of 50 MB is refused in words', async ({ request, page, program }) => {
  await open(page, `${program.base}/shed`);
  const form = {
    entry: '01900000-0000-7000-8000-000000000001',
    id: '01900000-0000-7000-8000-000000000002',
    tag: 'TWICE',
    size: 'foothold:4',
    note: '',
  };
  const headers = { origin: program.base, accept: 'text/html' };
  for (let i = 0; i < 2; i += 1)
    expect((await request.post(`${program.base}/shed?/device`, { form, headers, maxRedirects: 0 })).status()).toBe(303);
  expect(await one(program.url, `select count(*) as n from device where tag = 'TWICE'`)).toBe(1);
  const huge = await request
    .post(`${program.base}/shed?/device`, {
      headers: { ...headers, 'content-type': 'application/x-www-form-urlencoded' },
      data: 'a'.repeat(50_000_000),
    })
    .catch((error: Error) => error);
  if (!(huge instanceof Error)) {
    expect(huge.status()).toBe(413);
    expect(await huge.text()).toContain('more than Zaprud takes at once');
  }
});

test('PostgreSQL stops while the page is open: the sentence, the typed values, and then exactly one row', async ({ page, program }) => {
  await open(page, `${program.base}/shed`);
  await page.getByLabel('Tag', { exact: true }).fill('AWAY-1');
  await page.getByLabel('Note').fill('bought at the sale');
  program.postgres().stop();
  await page.getByRole('button', { name: 'Add to the shed' }).click();
  await expect(page.getByRole('alert')).toContainText('The record cannot be reached just now');
  await expect(page.getByLabel('Tag', { exact: true })).toHaveValue('AWAY-1');
  await expect(page.getByLabel('Note')).toHaveValue('bought at the sale');
  program.postgres().start();
  await page.getByRole('button', { name: 'Add to the shed' }).click();
  await expect(page.getByRole('link', { name: 'AWAY-1' })).toBeVisible();
  expect(await one(program.url, `select count(*) as n from device where tag = 'AWAY-1'`)).toBe(1);
});

test('the same without script: what was typed is kept on a page that sends it again', async ({ browser, program }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto(`${program.base}/shed`);
  await page.getByLabel('Tag', { exact: true }).fill('AWAY-2');
  program.postgres().stop();
  await page.getByRole('button', { name: 'Add to the shed' }).click();
  await expect(page.getByRole('alert')).toContainText('What you typed is still here');
  await expect(page.getByText('AWAY-2')).toBeVisible();
  const other = await context.newPage();
  await other.goto(`${program.base}/morning`);
  await expect(other.getByRole('alert')).toContainText('Nothing is lost');
  program.postgres().start();
  await page.getByRole('button', { name: 'Send again' }).click();
  await expect(page.getByRole('link', { name: 'AWAY-2' })).toBeVisible();
  expect(await one(program.url, `select count(*) as n from device where tag = 'AWAY-2'`)).toBe(1);
  await context.close();
});

test('no stack trace left the server', async ({ program }) => {
  expect(program.output.join('')).not.toMatch(/\n\s+at .*\(.*:\d+:\d+\)/);
});
