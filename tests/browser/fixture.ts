import { readFileSync } from 'node:fs';
import { connect } from '#server/database';
import { test as base, expect, type Page } from '@playwright/test';
import { startProgram, type Program } from '../support/server';

async function firstPerson(url: string): Promise<string | undefined> {
  const db = connect(url);
  const found = (await db('person').select('id').where({ name: 'Wren Ostby' }).first()) as { id: string } | undefined;
  await db.destroy();
  return found?.id;
}

/** One program with the demo for each story. */
export const test = base.extend<object, { program: Program; story: string }>({
  /** named in each file, so that every file begins with a program of its own */
  story: ['', { scope: 'worker', option: true }],
  program: [
    async ({ story }, use) => {
      const program = await startProgram({ demo: !['empty', 'newcomer', 'halfHour'].includes(story), own: story === 'badInput' });
      await use(program);
      await program.end();
    },
    { scope: 'worker', timeout: 180_000 },
  ],
  /** a device that was told who works on it, where somebody does */
  context: async ({ context, program }, use) => {
    const person = await firstPerson(program.url);
    if (person) await context.addCookies([{ name: 'person', value: person, url: program.base }]);
    await use(context);
  },
});

export { expect };

const axe = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/** What axe finds serious or critical on a page, in words; by all its rules, or by those that are named. */
export async function serious(page: Page, rules: string[] = []): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe);
  return page.evaluate(async (only) => {
    const { axe: runner } = window as unknown as {
      axe: {
        run: (
          options: object,
        ) => Promise<{ violations: { id: string; impact: string; nodes: { target: string[]; failureSummary: string }[] }[] }>;
      };
    };
    const { violations } = await runner.run({
      resultTypes: ['violations'],
      // style sheets are of the page itself: nothing is fetched a second time
      preload: false,
      ...(only.length > 0 ? { runOnly: { type: 'rule', values: only } } : {}),
    });
    return violations
      .filter((v) => v.impact === 'serious' || v.impact === 'critical')
      .map(
        (v) =>
          `${v.id}: ${v.nodes
            .map((n) => n.target.join(' '))
            .slice(0, 3)
            .join(', ')}`,
      );
  }, rules);
}

/** The page once its script runs: only then a click is more than a plain form. */
export async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.locator('html[data-script]').waitFor({ state: 'attached' });
}
