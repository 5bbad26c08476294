import { plainFrame } from '#core/units/frame';
import { chromium } from '@playwright/test';
import { designScene } from '#core/scene/designScene';
import { FIRST_PLAN, planOf, settingOf, USUAL_POND } from '#core/colony/plans';
import { liveMany } from '#core/sim/colony/seasons';
import { CATALOGUE } from '#core/sets/catalogue';
import { sampleDesign, sampleLevels, sampleSurface } from '#core/sets/sample';
import { inches } from '#core/units/factors';
import { statesOf } from '#core/sets/standing';
import { numberSpec } from '#core/sets/setType';

type Say = (what: string, is: string, budget?: string) => void;
const FRAME = 16;
const median = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

/** What one pull of a length reckons anew, for every type: design, states and both drawings; the slowest type is told. */
export function designs(say: Say): void {
  const times = CATALOGUE.map((type) => {
    const key = Object.keys(type.numbers)[0] ?? '';
    const spec = numberSpec(type, key);
    const own: number[] = [];
    for (let i = 0; i < 40; i += 1) {
      const value = spec ? spec.min + ((spec.max - spec.min) * i) / 39 : inches(i);
      const start = performance.now();
      const design = sampleDesign(type, undefined, 'us', { [key]: value });
      statesOf({ layout: design, devices: [] }, { known: sampleLevels(type), age: {}, atMost: {} }, plainFrame('us'));
      for (const view of ['side', 'eye'] as const)
        designScene(design, {
          view,
          known: sampleLevels(type),
          surface: sampleSurface(type),
          frame: { width: 600, height: 290 },
          system: 'us',
        });
      if (i >= 10) own.push(performance.now() - start);
    }
    return { id: type.id, time: median(own) };
  });
  const slowest = [...times].sort((a, b) => b.time - a.time)[0];
  say(
    'a design reckoned and both drawings laid out, median type',
    `${(median(times.map((t) => t.time)) / FRAME).toFixed(2)} of a frame`,
    'budget 1 frame (16 ms)',
  );
  say(`the same, slowest type (${slowest?.id ?? ''})`, `${((slowest?.time ?? NaN) / FRAME).toFixed(2)} of a frame`);
}

/** A thousand seasons of a colony of six under a plan, against what somebody waits for without asking himself whether it works. */
export function seasons(say: Say): void {
  const start = performance.now();
  liveMany({ setting: settingOf(USUAL_POND, 11), plan: planOf(FIRST_PLAN, USUAL_POND.minutes), seasons: 1000, seed: 1 });
  say('a thousand seasons of two weeks lived', `${((performance.now() - start) / FRAME).toFixed(0)} frames`, 'budget 200 frames');
}

/** The same in Chromium: from the pull of a handle to a page that is laid out again. */
export async function redraw(base: string, say: Say): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/bench`);
  const station = await page
    .getByLabel('Location')
    .getByRole('option', { name: /^26 feed bed/ })
    .getAttribute('value');
  await page.goto(`${base}/bench/new?station=${station ?? ''}&type=dive-pole&like=`);
  await page.waitForLoadState('networkidle');
  // as text: what runs in the page must not be touched by the loader of this file
  const times: number[] = await page.evaluate(`(async () => {
    const handle = () => document.querySelector('[role="slider"][aria-label^="Top "]');
    const found = [];
    for (let i = 0; i < 60; i += 1) {
      const start = performance.now();
      handle().dispatchEvent(new KeyboardEvent('keydown', { key: i % 20 < 10 ? 'ArrowUp' : 'ArrowDown', bubbles: true }));
      await Promise.resolve();
      handle().getBoundingClientRect();
      if (i >= 15) found.push(performance.now() - start);
      await new Promise((done) => requestAnimationFrame(done));
    }
    return found;
  })()`);
  await browser.close();
  say('a length pulled in Chromium: reckoned, drawn, laid out', `${(median(times) / FRAME).toFixed(2)} of a frame`, 'budget 1 frame');
}
