import { CHROMIUM } from './chromium';
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { designScene, type View, type DesignScene } from '#core/scene/designScene';
import { INKS } from '#core/scene/stroke';
import { CATALOGUE } from '#core/sets/catalogue';
import { sampleDesign } from '#core/sets/sample';
import { inches } from '#core/units/factors';

/** Draws every type of the catalogue with its variants on one sheet, both views: to be looked at. Usage: contactSheet.ts <folder> [type …] */
const [, , folder = '.', ...only] = process.argv;
const css = readFileSync(new URL('../src/app.css', import.meta.url), 'utf8');
const light = [...css.matchAll(/--(\w+):\s*(#[0-9a-f]{6})/gi)].reduce<Record<string, string>>(
  (found, [, name, colour]) => (name && colour && !(name in found) ? { ...found, [name]: colour } : found),
  {},
);
const of = (name: string): string => light[name] ?? '#777777';

function svg(scene: DesignScene, title: string): string {
  const shapes = scene.shapes.map(
    (s) =>
      `<path d="${s.d}" stroke="${of(INKS[s.ink].line)}" stroke-width="${s.width}" fill="${s.fill === 'none' ? 'none' : of(INKS[s.ink][s.fill === 'pale' ? 'pale' : 'line'])}" ${s.part === 'animal' ? 'opacity="0.45"' : ''} ${s.dash ? 'stroke-dasharray="6 3"' : ''}/>`,
  );
  const dims = scene.dimensions.map(
    (d) =>
      `<path d="M${d.from.join(' ')}L${d.to.join(' ')}" stroke="#18282b"/><text x="${d.box.x}" y="${d.box.y + 14}" font-size="14" font-family="Overpass Variable, sans-serif">${d.text}</text>`,
  );
  return `<figure><svg width="${scene.width}" height="${scene.height}" style="background:${of('sky')}">${scene.water ? `<rect y="${scene.water.y}" width="${scene.width}" height="${Math.max(0, scene.height - scene.water.y)}" fill="${of('water')}"/>` : ''}${scene.ice ? `<rect y="${scene.ice.y}" width="${scene.width}" height="${scene.ice.height}" fill="${of('ice')}"/>` : ''}<path d="${scene.ground}" fill="${of('bed')}" stroke="${of('bedink')}" stroke-width="2"/>${shapes.join('')}${scene.water ? `<path d="M0 ${scene.water.y}H${scene.width}" stroke="${of('line')}" stroke-width="3"/>` : ''}${dims.join('')}</svg><figcaption>${title}</figcaption></figure>`;
}

const known = { pond: 1, tail: 0.4, sheet: 0 };
const figures = CATALOGUE.filter((type) => only.length === 0 || only.includes(type.id)).flatMap((type) =>
  [undefined, ...(type.variants ?? [])].map((variant) => {
    const design = sampleDesign(type, variant, 'us');
    const at = type.underIce ? { ...known, sheet: inches(6) } : { pond: known.pond, tail: known.tail };
    const surface = type.id === 'dam-crossover-face' ? 'tail' : 'pond';
    const name = `${type.id}${variant ? `, ${variant.name}` : ''}`;
    const drawn = (view: View, width: number) =>
      designScene(design, { view, known: at, surface, frame: { width, height: 270 }, system: 'us' });
    return `<div>${svg(drawn('side', 430), name)}${svg(drawn('eye', 330), 'as it is met')}</div>`;
  }),
);
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1580, height: 1000 } });
for (let i = 0; i < figures.length; i += 8) {
  await page.setContent(
    `<style>body{margin:6px;display:grid;grid-template-columns:1fr 1fr;gap:4px;font:13px sans-serif}div{display:flex;gap:4px}figure{margin:0}</style>${figures.slice(i, i + 8).join('')}`,
  );
  await page.screenshot({ path: `${folder}/sheet-${String(i / 8 + 1).padStart(2, '0')}.png`, fullPage: true });
}
await browser.close();
console.log(`${figures.length} designs drawn in ${folder}`);
