import { CHROMIUM } from './chromium';
import { chromium } from '@playwright/test';
import { startProgram } from '../tests/support/server';

/** Takes the pictures of docs/screenshots from the demo, at the hour that the tests are told from. Build first. */
const program = await startProgram({ demo: true });
const browser = await chromium.launch(CHROMIUM);
const desk = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
const page = await desk.newPage();

const go = async (path: string): Promise<void> => {
  await page.goto(program.base + path);
  await page.waitForLoadState('networkidle');
};
const href = async (path: string, name: RegExp | string): Promise<string> => {
  await go(path);
  return (await page.getByRole('link', { name }).first().getAttribute('href')) ?? '';
};

const water = await href('/waters', 'Header Pond');
const dry = await href('/morning', /27 patrol channel/);
const bench = await href('/bench', '22 flume gap');
const moss = await href('/waters', 'Moss Slough');
const colony = await href('/colonies', 'Header families');
const views: [string, string][] = [
  ['morning', '/morning'],
  ['waters', '/waters'],
  ['section', water],
  ['break', `${water}/break?of=dam-break-channel&want=sets`],
  ['ice', `${moss}/ice`],
  ['plan', '/waters/plan?minutes=40&traps=8'],
  ['bench', bench],
  ['plans', '/colonies/plans?b.gear=snare&b.pace=all'],
  ['run', '/morning/run'],
  ['guide', `${water}/guide?species=beaver`],
  ['lesson', '/colonies/trainer?level=first&seed=2&at=place-1&type=lodge-run'],
  ['catalogue', '/bench/catalogue'],
  ['find', `${bench}/find`],
  ['colonies', colony],
  ['book', '/book'],
  ['shed', '/shed'],
  ['rules', '/rules'],
];
for (const [name, path] of views) {
  await go(path);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
}
const hand = await phone.newPage();
// a device that was never told who works on it asks once
await hand.goto(program.base + dry);
await hand.getByRole('button', { name: 'Wren Ostby' }).click();
for (const [name, path] of [
  ['check-phone', dry],
  ['field-phone', '/field'],
] as const) {
  await hand.goto(program.base + path);
  await hand.waitForLoadState('networkidle');
  await hand.screenshot({ path: `docs/screenshots/${name}.png` });
}
await browser.close();
await program.end();
