import { CHROMIUM } from './chromium';
import { readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

/** Measures the shipped font in Chromium and writes the table with which core places labels. Run after a change of the font. */
const font = readFileSync('node_modules/@fontsource-variable/overpass/files/overpass-latin-wght-normal.woff2').toString('base64');
const letters = [...Array.from({ length: 95 }, (_, i) => String.fromCharCode(32 + i)), ...'¼½¾×·–—−’“”°…'];

const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage();
await page.setContent(
  `<style>@font-face{font-family:O;src:url(data:font/woff2;base64,${font});font-weight:100 900}</style><p style="font-family:O">a</p>`,
);
const widths = await page.evaluate(async (all) => {
  await document.fonts.load('600 100px O');
  const context = document.createElement('canvas').getContext('2d');
  if (!context) throw new Error('no canvas');
  context.font = '600 100px O';
  return all.map((letter) => [letter, Math.round(context.measureText(letter).width * 10) / 1000] as const);
}, letters);
await browser.close();

const rows = widths.map(([letter, width]) => `  ${JSON.stringify(letter)}: ${width},`).join('\n');
writeFileSync(
  'src/core/scene/letterWidths.ts',
  `/** Width of each letter of the shipped font at weight 600, in ems. Made by tools/letterWidths.ts; a browser test holds it to what Chromium draws. */\nexport const LETTER_WIDTHS: Readonly<Record<string, number>> = {\n${rows}\n};\n`,
);
