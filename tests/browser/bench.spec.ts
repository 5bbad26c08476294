import { clashes } from '../support/boxes';
import type { Page } from '@playwright/test';
import { expect, open, serious, test } from './fixture';

test.use({ story: 'bench' });

interface Task {
  /** why it goes live although its own figures speak against it */
  despite?: string;
  /** as the bench names it */
  station: string;
  type: string;
  water: string;
  name: string;
  tags: Record<string, string>;
  numbers?: Record<string, string>;
  choices?: Record<string, string>;
  anchor: string;
  /** what the design says while it is built */
  says: RegExp[];
}

const idOf = async (page: Page, base: string, station: string): Promise<string> => {
  await open(page, `${base}/bench`);
  return (await page.getByLabel('Location').getByRole('option', { name: station }).getAttribute('value')) ?? '';
};

/** Designs a set at a station and places it, as a trapper would; Morning and the section show it afterwards. */
async function place(page: Page, base: string, task: Task): Promise<void> {
  await open(page, `${base}/bench`);
  await page.getByLabel('Location').selectOption({ label: task.station });
  await page.getByLabel('Type of set').selectOption({ label: task.type });
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.waitForLoadState('networkidle');
  await page.getByLabel('State').selectOption('live');
  await page.getByLabel('Name', { exact: true }).fill(task.name);
  for (const [label, text] of Object.entries(task.numbers ?? {})) await page.getByLabel(label, { exact: true }).fill(text);
  for (const [label, text] of Object.entries(task.choices ?? {})) await page.getByLabel(label, { exact: true }).selectOption(text);
  for (const [label, tag] of Object.entries(task.tags)) await page.getByLabel(label, { exact: true }).selectOption({ label: tag });
  const holding = page.getByText(/\d+ checks? OK/);
  if ((await holding.count()) > 0) await holding.click();
  for (const says of task.says) await expect(page.getByText(says).first()).toBeVisible();
  await page.getByLabel('Anchored to what, where').fill(task.anchor);
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  if (task.despite) await page.getByLabel('It goes live all the same, because').fill(task.despite);
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await open(page, `${base}/morning`);
  await expect(page.getByRole('link', { name: new RegExp(task.name) }).first()).toBeVisible();
  await open(page, `${base}/waters`);
  await page.getByRole('link', { name: task.water, exact: true }).click();
  await page.getByText(/The same as a table/).click();
  await expect(page.getByRole('link', { name: new RegExp(task.name) }).first()).toBeVisible();
}

test('a body-grip: a dive pole with its trap 2½ in under', async ({ page, program }) => {
  await place(page, program.base, {
    station: '26 feed bed, feed bed at Header Pond',
    type: 'Dive pole (beaver, otter)',
    water: 'Header Pond',
    name: 'pole at the pile',
    tags: { 'Trap, by tag': 'K-14, 330' },
    numbers: { 'Top below water': '2.5', 'Width of the way': '24' },
    anchor: 'birch, right bank',
    says: [/Frame and springs|Gaps beside it/, /Jaw swing/, /Water over it/],
  });
});

test('a foothold on a slide wire: profile, resting place, pole within reach', async ({ page, program }) => {
  await place(page, program.base, {
    station: '64 birch slide, slide at Upper Reservoir',
    type: 'Slide set, foothold (beaver, otter)',
    water: 'Upper Reservoir',
    name: 'wire at the birch',
    tags: { 'Trap, by tag': 'K-37, No. 5' },
    numbers: { 'Pan below water': '2.5', 'Depth 3 ft out': '26', 'Depth 6 ft out': '44', 'Depth 9 ft out': '60', 'Wire or tether': '9 ft' },
    choices: { Foot: 'front' },
    anchor: 'stake at the toe',
    despite: 'the pole goes in from the boat',
    says: [
      /The lock rests .* out from the water’s edge in .* The margin of .* is gone when the level falls to/,
      /Deep-end pole/,
      /Within your reach/,
    ],
  });
});

test('a snare: a castor stick with its loop two thirds under', async ({ page, program }) => {
  await place(page, program.base, {
    station: '20 inlet point, point at Header Pond',
    type: 'Castor stick snare (beaver)',
    water: 'Header Pond',
    name: 'stick at the inlet',
    tags: { 'Snare, by tag': 'K-54, 7×7 3/32 snare' },
    numbers: { Loop: '10', 'Loop below water': '2/3', 'Loop cable at hand': '38 in' },
    anchor: 'stake in the bank',
    says: [/67% of its height is under, 71% of its area/, /38 in of loop cable would give up to/],
  });
});

test('an enclosed foot trap on the dry trail, the minor fourth class', async ({ page, program }) => {
  await place(page, program.base, {
    station: '54 lane culvert, culvert at Lower Bog Ditch',
    type: 'Enclosed foothold (raccoon)',
    water: 'Lower Bog Ditch',
    name: 'trail by the lane',
    tags: { 'Trap, by tag': 'K-71, enclosed, pull' },
    numbers: { 'Driven in': '14 in' },
    choices: { 'Ground for the stake': 'firm' },
    anchor: 'through its swivel',
    says: [/rebait|Rebait|every wet night/, /ground holds it against about/],
  });
});

test('under ice: a trap hung where the ice of the next check will not reach it', async ({ page, program }) => {
  await place(page, program.base, {
    station: '82 sunk pile, feed bed at Moss Slough',
    type: 'Under-ice hanging set (beaver)',
    water: 'Moss Slough',
    name: 'hung at the pile',
    tags: { 'Trap, by tag': 'K-15, 330', 'Second trap, same cable, by tag': 'none' },
    numbers: { 'Top of the jaws under the ice’s top': '', 'Ice now': '2', 'Bed to the water line': '36', 'Hole number': '7' },
    anchor: 'stick across hole 7',
    says: [/at the next check the jaws hang/, /Wire to cut/],
  });
});

test('the fast way: the last set of its type copied, three numbers changed, saved with at most 25 keystrokes', async ({
  page,
  program,
}) => {
  const station = await idOf(page, program.base, '41 head gate mound, castor mound at Hatchery Race');
  await open(page, `${program.base}/bench/new?station=${station}&type=castor-foothold`);
  await expect(page.getByText(/Copied from/)).toBeVisible();
  await expect(page.getByLabel('Trap, by tag')).not.toHaveValue('');
  await page.getByLabel('Pan below water', { exact: true }).focus();
  let strokes = 0;
  const press = async (...keys: string[]): Promise<void> => {
    for (const key of keys) {
      strokes += 1;
      await page.keyboard.press(key);
    }
  };
  await press('4', 'Tab', '9', 'Tab', '1', '2', 'Enter');
  await expect(page.getByText(/Not live yet/)).toBeVisible();
  // an anchor belongs to its place: that of the other set is not taken along
  await expect(page.getByLabel('Anchored to what, where')).toBeFocused();
  await press('r', 'o', 'o', 't', 'Enter');
  await expect(page.getByRole('checkbox').first()).toBeFocused();
  const questions = await page.getByRole('checkbox').count();
  for (let i = 0; i < questions; i += 1) await press('y');
  await press('Enter');
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  expect(strokes).toBeLessThanOrEqual(25);
  await expect(page.getByLabel('Pan below water', { exact: true })).toHaveValue('4 in');
  await expect(page.getByLabel('Pan before the mound', { exact: true })).toHaveValue('12 in');
});

test('a length is drawn by hand and by key, and its number follows; two designs stand side by side', async ({ page, program }) => {
  const station = await idOf(page, program.base, '26 feed bed, feed bed at Header Pond');
  await open(page, `${program.base}/bench/new?station=${station}&type=crossed-limbs&like=`);
  const field = page.getByLabel('Top below water', { exact: true });
  const handle = page.getByRole('slider', { name: 'Top below water, drawn as it is met' });
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(field).toHaveValue('2¼ in');
  await page.keyboard.press('PageUp');
  await expect(field).toHaveValue('3¼ in');
  await page.getByRole('button', { name: 'Compare' }).click();
  const box = await handle.boundingBox();
  if (!box) throw new Error('the handle is not drawn');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 14, { steps: 4 });
  await page.mouse.up();
  await expect(field).not.toHaveValue('3¼ in');
  const beside = page.getByRole('region', { name: 'Two designs side by side' });
  await expect(beside.getByText('Held', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Take the held one back' }).click();
  await expect(field).toHaveValue('3¼ in');
  await page.getByLabel(/What if the water stood/).fill('-8');
  await expect(page.getByRole('heading', { name: /If it stood 8 in lower/ })).toBeVisible();
  expect(await serious(page)).toEqual([]);
});

test('impossible numbers are said beside what they are about, and nothing typed is lost', async ({ page, program }) => {
  const station = await idOf(page, program.base, '26 feed bed, feed bed at Header Pond');
  await open(page, `${program.base}/bench/new?station=${station}&type=dive-pole&like=`);
  const field = page.getByLabel('Top below water', { exact: true });
  await page.getByLabel('Depth here').fill('8');
  await field.fill('3');
  await expect(page.getByText(/would reach 13 in down, but it is 8 in deep here/)).toHaveCount(2);
  await expect(field).toHaveAccessibleDescription(/would reach 13 in down/);
  await page.getByLabel('Anchor cable', { exact: true }).fill('90 ft');
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText(/Anchor cable lies between 6 in and 20 ft/)).toBeVisible();
  await expect(page.getByLabel('Anchor cable', { exact: true })).toHaveValue('90 ft');
  await expect(page.getByLabel('Depth here')).toHaveValue('8');
  await open(page, `${program.base}/bench/new?station=${station}&type=lure-pole&like=`);
  await page.getByLabel('Depth here').fill('4');
  await expect(page.getByText(/the water is 4 in deep: it would reach 2 in into the bed/).first()).toBeVisible();
});

test('the catalogue finds types by place and species; no word of five drawings lies over another', async ({ page, program }) => {
  await open(page, `${program.base}/bench/catalogue`);
  await page.getByLabel('Place').selectOption('undercut');
  await page.getByLabel('Species').selectOption('mink');
  await page.getByRole('button', { name: 'Find' }).click();
  await expect(page.getByRole('heading', { name: 'Undercut bank' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Lodge run', exact: true })).toHaveCount(0);
  for (const type of ['lodge-run', 'castor-foothold', 'channel-snare', 'ice-snare-pole', 'undercut-bank']) {
    await open(page, `${program.base}/bench/catalogue/${type}`);
    await page.evaluate(() => document.fonts.ready);
    expect(await clashes(page), type).toEqual([]);
  }
  await page.getByLabel('Location').selectOption({ label: '70 first bend, undercut at Spill Creek' });
  await page.getByRole('button', { name: 'To the bench' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('first bend');
});

test('a series along a brook, its cut list against the shed, and the sheets', async ({ page, program }) => {
  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: '22 flume gap' }).click();
  await page.getByRole('link', { name: 'A series of these' }).click();
  for (let i = 1; i <= 5; i += 1) await page.getByLabel(`Place ${i}`, { exact: true }).selectOption('');
  const first = page.getByLabel('Place 1', { exact: true }).getByRole('option').nth(1);
  await page.getByLabel('Place 1', { exact: true }).selectOption((await first.getAttribute('value')) ?? '');
  await page.getByLabel('Depth of the channel, place 1').fill('nonsense');
  await page.getByRole('button', { name: 'Plan these sets' }).click();
  await expect(page.getByText(/“nonsense” is not a length/)).toBeVisible();
  await page.getByLabel('Depth of the channel, place 1').fill('16 in');
  await page.getByRole('button', { name: 'Plan these sets' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Sets' })).toBeVisible();

  await page.getByRole('link', { name: 'What the plan takes' }).click();
  await expect(page.getByText('Missing from the shed:')).toBeVisible();
  const stands = await page.getByRole('row', { name: /^stand / }).count();
  expect(stands).toBe(1);
  await page.getByLabel('Out there by').selectOption('on foot');
  await page.getByRole('button', { name: 'Add it up' }).click();
  await expect(page.getByRole('row', { name: /^stand / })).toHaveCount(0);
  await expect(page.getByRole('row', { name: /cut stick through a spring/ })).toBeVisible();

  await open(page, `${program.base}/bench`);
  await page.getByRole('link', { name: '22 flume gap' }).click();
  await page.getByRole('link', { name: 'Steps, cut list and photos' }).click();
  await expect(page.getByText('Nudge the support')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Arming check, at the end' })).toBeVisible();
  const dot = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  await page
    .getByLabel('Photo, as it was left')
    .setInputFiles({ name: 'left.png', mimeType: 'image/png', buffer: Buffer.from(dot, 'base64') });
  await page.getByRole('button', { name: 'Keep it' }).first().click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await expect(page.getByRole('img', { name: /as it was left/ })).toBeVisible();
  await page.getByRole('link', { name: 'Remake sheet' }).click();
  await expect(page.getByText('Old sticks out')).toBeVisible();
  expect(await serious(page)).toEqual([]);
});

test('a missing trap: where it can lie is drawn before the check asks', async ({ page, program }) => {
  await open(page, `${program.base}/bench`);
  await page
    .getByRole('link', { name: '24 south mound' })
    .or(page.getByRole('link', { name: '31 north shoulder' }))
    .first()
    .click();
  await page.getByRole('link', { name: 'Find this trap' }).click();
  await expect(page.getByText(/Draw the deep end|Follow the cable/)).toBeVisible();
  await expect(page.getByRole('img', { name: /from above/ })).toBeVisible();
  await page.getByRole('link', { name: /Not found/ }).click();
  await expect(page.getByRole('img', { name: /from above/ })).toBeVisible();
  await expect(page.getByLabel('Where was it looked for?')).toBeVisible();
});

test('the shed: stock comes and goes, a kit says how many it makes, salvage brings lock and swivel back', async ({ page, program }) => {
  await open(page, `${program.base}/shed`);
  await page.getByRole('button', { name: /Cable scrapped ?, K-51/ }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await expect(page.getByRole('button', { name: /Cable scrapped ?, K-51/ })).toHaveCount(0);
  await expect(page.getByRole('row', { name: /^locks/ })).toContainText('9');
  await page.getByLabel('What', { exact: true }).selectOption({ label: 'castor lure, in portions' });
  await page.getByLabel('Why', { exact: true }).selectOption('used');
  await page.getByLabel('How much').fill('some');
  await page.getByRole('button', { name: 'Save the move' }).click();
  await expect(page.getByText(/How much is a number of portions: write it like 12/)).toBeVisible();
  await expect(page.getByLabel('How much')).toHaveValue('some');
  await page.getByLabel('How much').fill('3');
  await page.getByRole('button', { name: 'Save the move' }).click();
  await expect(page.getByRole('row', { name: /^castor lure/ })).toContainText('15 portions');
  await expect(page.getByRole('row', { name: /^castor lure/ })).toContainText('17.50');
  await page.getByText('Keep something new by count').click();
  await page.getByLabel('Name', { exact: true }).fill('hanging wire');
  await page.getByLabel('Kind', { exact: true }).selectOption('wire');
  await page.getByLabel('Counted in').selectOption('length');
  await page.getByLabel('In stock').fill('40');
  await page.getByRole('button', { name: 'Save the stock' }).click();
  await expect(page.getByRole('row', { name: /^hanging wire/ })).toContainText('40 ft');
  await page.getByText('Put a kit together').click();
  await page.getByLabel('Name of the kit').fill('two hung traps');
  await page.getByLabel('hanging wire, feet').fill('9');
  await page.getByRole('button', { name: 'Save the kit' }).click();
  await expect(page.getByText(/The stock makes 4; hanging wire ends first/)).toBeVisible();
});

test('before one walks away: what an old hand would change, by one tap and back, and room to know better', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  const line = page.getByRole('region', { name: 'What an old hand would change first' });
  await expect(line.getByRole('group')).toHaveCount(3);
  await open(page, `${program.base}/bench`);
  await page.getByLabel('Location').selectOption({ label: '24 south mound, castor mound at Header Pond' });
  await page.getByLabel('Type of set').selectOption({ label: 'Castor stick snare (beaver)' });
  await page.getByRole('button', { name: 'To the bench' }).click();
  const remarks = page.getByRole('region', { name: 'Before you walk away' });
  const more = remarks.getByText(/^\d+ more$/);
  await more.click();
  await expect(remarks.getByText('Out of its months', { exact: true })).toBeVisible();
  await expect(remarks.getByText('Lock at the top', { exact: true })).toHaveCount(0);
  await page.getByLabel('Lock', { exact: true }).selectOption('at the top');
  await remarks.getByText('Lock at the top', { exact: true }).click();
  await remarks.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByLabel('Lock', { exact: true })).toHaveValue('side');
  await expect(remarks.getByText(/Lock at the top: changed/)).toBeVisible();
  await remarks.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Lock', { exact: true })).toHaveValue('top');
  await page.getByLabel('State').selectOption('planned');
  await page.getByLabel('Name', { exact: true }).fill('mound loop');
  await remarks.getByText('Out of its months', { exact: true }).click();
  await remarks.getByLabel('I know better, because: Out of its months').fill('they still build here');
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await remarks
    .getByText(/^Out of its months/)
    .first()
    .click();
  await expect(remarks.getByText('you know better')).toBeVisible();
  await expect(remarks.getByLabel('I know better, because: Out of its months')).toHaveValue('they still build here');
  expect(await serious(page)).toEqual([]);
});
