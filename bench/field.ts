import { chromium } from '@playwright/test';
import { v7 } from 'uuid';
import { BODY_VERSION } from '#core/record/kinds';
import { MOST_FORMS } from '#lib/field/sent';

type Say = (what: string, is: string, budget?: string) => void;

/** What the field part asks of a thin line: its first open as bytes and requests, and a day's end as bytes and sendings. */
export async function fieldLine(base: string, say: Say): Promise<void> {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })).newPage();
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  let [bytes, requests] = [0, 0];
  session.on('Network.loadingFinished', ({ encodedDataLength }) => {
    bytes += encodedDataLength;
    requests += 1;
  });
  await page.goto(`${base}/field`);
  await page.getByRole('heading', { name: /To check/ }).waitFor();
  await page.waitForLoadState('networkidle');
  say('first open of the field part', `${(bytes / 1024).toFixed(0)} kB in ${requests} requests`, 'budget 700 kB');

  // a tap on the likeliest answer, until the check is safe on the device and the list is back
  await page.context().setOffline(true);
  await page.getByRole('listitem').getByRole('link').nth(2).click();
  const frames = await page.evaluate(async () => {
    const button = [...document.querySelectorAll<HTMLButtonElement>('form.taps button')].find((b) =>
      /untouched/i.test(b.textContent ?? ''),
    );
    let count = 0;
    button?.click();
    while (!document.querySelector('section[aria-label="This device"]') && count < 600) {
      await new Promise(requestAnimationFrame);
      count += 1;
    }
    return count;
  });
  say('a check from tap to kept on the device', `${frames} frames`, 'budget 60');
  await browser.close();
}

/** The outbox of 500 entries, sent as a device sends it. */
export async function outbox(base: string, gauge: string, say: Say): Promise<void> {
  const from = Date.parse('2026-10-20T06:00:00Z');
  const forms = Array.from({ length: 500 }, (_, i) => {
    const at = new Date(from + i * 3_600_000).toISOString();
    const body = { id: v7(), gauge, at, level: 0.5 + (i % 7) / 100, bound: 'exact', source: 'gauge', set: null, note: '' };
    return [{ id: v7(), kind: 'reading', occurredAt: at, by: null, body }];
  });
  let [sendings, bytes, taken] = [0, 0, 0];
  for (let i = 0; i < forms.length; i += MOST_FORMS) {
    const sent = JSON.stringify({ version: BODY_VERSION, forms: forms.slice(i, i + MOST_FORMS) });
    const answer = await fetch(`${base}/field/outbox`, {
      method: 'POST',
      body: sent,
      headers: { 'content-type': 'application/json', origin: base },
    });
    const { answers } = (await answer.json()) as { answers: { fate: string }[] };
    sendings += 1;
    bytes += sent.length;
    taken += answers.filter((a) => a.fate === 'taken').length;
  }
  say(
    'an outbox of 500 entries',
    `${taken} taken, ${sendings} sendings, ${(bytes / 1024).toFixed(0)} kB before compression`,
    'budget 10 sendings',
  );
}
