import { execFileSync } from 'node:child_process';
import { expect, test, type Page } from '@playwright/test';
import { startProgram, type Program } from '../support/server';
import { serious } from './fixture';

/** Where everybody signs in: from the first link, printed at the machine, to a passkey, a helper and a client. */
let program: Program;
test.beforeAll(async () => {
  program = await startProgram({ demo: true, env: { ZAPRUD_DOOR: 'closed' } });
});
test.afterAll(() => program.end());

/** A browser has passkeys for a name, not for a number. */
const at = (path: string): string => program.base.replace('127.0.0.1', 'localhost') + path;

async function invited(page: Page): Promise<void> {
  const told = execFileSync(process.execPath, ['--import', 'tsx', 'tools/invite.ts', 'Wren Ostby'], {
    env: { ...process.env, DATABASE_URL: program.url },
    encoding: 'utf8',
  });
  const [, link = ''] = /:\d+(\/pair\?code=\w+)/.exec(told) ?? [];
  await page.goto(at(link));
  await page.getByLabel('What this device is called').fill('Kitchen laptop');
  await page.getByRole('button', { name: 'Pair it' }).click();
  await expect(page.getByRole('link', { name: 'Rounds' })).toBeVisible();
}

test('the first comes in by a link from the machine, makes a passkey, signs out and in again by it', async ({ page }) => {
  await page.goto(at('/morning'));
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await invited(page);
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('WebAuthn.enable');
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: { protocol: 'ctap2', transport: 'internal', hasResidentKey: true, hasUserVerification: true, isUserVerified: true },
  });
  await page.goto(at('/people/door'));
  await expect(page.getByText('Kitchen laptop', { exact: true })).toBeVisible();
  await page.getByLabel('What it is called').fill('Laptop key');
  await page.getByRole('button', { name: 'Make a passkey here' }).click();
  await expect(page.getByRole('button', { name: 'Remove the passkey Laptop key' })).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Sign out here' }).click();
  await page.getByRole('link', { name: 'Use a passkey' }).click();
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page).toHaveURL(/\/morning$/);
  await page.goto(at('/people/door'));
  await expect(page.getByText(/Browser with a passkey/).first()).toBeVisible();
});

test('an owner lets a client in by a link: he sees his water, no place, and no room of the line', async ({ page, browser }) => {
  await invited(page);
  await page.goto(at('/people/door'));
  await page.getByLabel('Who', { exact: true }).selectOption({ label: 'somebody new, named below' });
  await page.getByLabel('May do', { exact: true }).selectOption({ label: 'client: only the waters shared with him' });
  await page.getByLabel('The code is').selectOption({ label: 'sent, and opened within a week' });
  await page.getByRole('button', { name: 'Show a code' }).click();
  await expect(page.getByText('Choose somebody of the crew, or type a new name.')).toBeVisible();
  await page.getByLabel('New name').fill('Tova Lind');
  await page.getByLabel('Header Pond').check();
  await page.getByRole('button', { name: 'Show a code' }).click();
  const link = await page.getByText(/\/pair\?code=/).innerText();

  const client = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await client.goto(link.trim());
  await client.getByRole('button', { name: 'Pair it' }).click();
  await expect(client.getByRole('heading', { name: 'Shared with you' })).toBeVisible();
  await client.getByRole('link', { name: 'Header Pond' }).click();
  await expect(client.getByRole('heading', { name: 'Standing now' })).toBeVisible();
  await expect(client.getByText(/A set trap can hold a dog/)).toBeVisible();
  await expect(client.getByText(/\d\d\.\d{5}/)).toHaveCount(0);
  await expect(client.getByRole('link', { name: 'Rounds' })).toHaveCount(0);
  expect(await serious(client)).toEqual([]);
  expect((await client.goto(at('/book')))?.status()).toBe(404);
  await client.close();
});
