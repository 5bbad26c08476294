import { CHROMIUM } from './chromium';
import { chromium } from '@playwright/test';
import { startProgram } from '../tests/support/server';
import { ROOMS, visibleWords } from '../tests/support/words';

/** How many words each room shows before anything is opened, with the demo at 1280 by 800, beside what it may show. Build first. */
const program = await startProgram({ demo: true });
const browser = await chromium.launch(CHROMIUM);
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
for (const room of ROOMS) {
  await room.open(page, program.base);
  const { words, screens } = await visibleWords(page);
  console.log(`${room.name.padEnd(18)} ${String(words).padStart(5)} of ${room.most}, ${screens.toFixed(1)} screens`);
  if (process.argv.includes('--text')) console.log((await page.locator('main').innerText()).replaceAll(/\n+/g, '\n'));
}
await browser.close();
await program.end();
