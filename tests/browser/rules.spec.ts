import { expect, open, serious, test } from './fixture';

test.use({ story: 'rules' });

test('a muskrat set a week before its season is prepared for the day it opens, and goes live with an exemption alone', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/rules`);
  await expect(page.getByText('the local code decides')).toBeVisible();
  await page.getByRole('link', { name: /season-muskrat/ }).click();
  await page.getByLabel('Opens', { exact: true }).fill('11-32');
  await page.getByRole('button', { name: 'Save the rule' }).click();
  await expect(page.getByText('There is no such day of the year: write month and day like 11-25.')).toBeVisible();
  await expect(page.getByLabel('Opens', { exact: true })).toHaveValue('11-32');
  await page.getByLabel('Opens', { exact: true }).fill('12-02');
  await page.getByRole('button', { name: 'Save the rule' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await expect(page.getByText('muskrat: Dec 2 to Mar 25')).toBeVisible();
  // what it means for those that stand already
  const changed = page.getByRole('region', { name: 'What version 2 changed for live sets' });
  await expect(changed.getByRole('link', { name: /51 post float/ })).toBeVisible();
  expect(await serious(page)).toEqual([]);

  await open(page, `${program.base}/bench`);
  await page.getByLabel('Location').selectOption({ label: '52 reed corner, muskrat place at Lower Bog Ditch' });
  await page.getByLabel('Type of set').selectOption({ label: 'Float set (muskrat, mink)' });
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.waitForLoadState('networkidle');
  const book = page.getByRole('region', { name: 'By your rulebook' });
  await expect(book.getByText('muskrat closed today; opens Dec 2')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('reed raft');
  await page.getByLabel('First trap, by tag').selectOption({ label: 'K-64, No. 1½' });
  await page.getByLabel('Anchored to what, where').fill('line to the willow');
  await page.getByLabel('State').selectOption('live');
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText(/By your rulebook it is not set live: muskrat closed today.*Prepare it for Dec 2/)).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('reed raft');
  await page.getByRole('button', { name: 'Prepare it for Dec 2' }).click();
  await expect(page.getByLabel('To be set on')).toHaveValue('2026-12-02');
  await page.getByRole('button', { name: 'Save the set' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await open(page, `${program.base}/morning`);
  await expect(page.getByRole('link', { name: /reed raft/ })).toBeVisible();
  await expect(page.getByText(/Dec 2/)).toBeVisible();

  // until then its gear stays at home
  await open(page, `${program.base}/bench/carry`);
  const raft = page.getByRole('checkbox', { name: /reed raft/ });
  await expect(raft).not.toBeChecked();
  await expect(page.getByText(/closed opens Dec 2 season-muskrat/).first()).toBeVisible();
  await open(page, `${program.base}/morning`);

  await page.getByRole('link', { name: /reed raft/ }).click();
  await page.waitForLoadState('networkidle');
  await page.getByLabel('State').selectOption('live');
  for (const question of await page.getByRole('checkbox').all()) await question.check();
  await page.getByLabel('Exemption that allows it').fill('district office, permit 118');
  await page.getByRole('button', { name: 'Save the changes' }).click();
  await expect(page.getByText('Saved to the book.')).toBeVisible();
  await expect(page.getByLabel('Exemption that allows it')).toHaveValue('district office, permit 118');
});

test('an otter in the closure is booked as incidental, told of in time, and reported on a page', async ({ page, program }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, `${program.base}/morning`);
  await page
    .getByRole('link', { name: /22 flume gap/ })
    .first()
    .click();
  await page.getByRole('link', { name: /catch/i }).first().click();
  await page.waitForLoadState('networkidle');
  await page.getByRole('radio', { name: /^otter/ }).check();
  await expect(
    page.getByText(/Otter closed by your rulebook \(closed-otter\): it is booked as incidental; tell the district office by/),
  ).toBeVisible();
  await page.getByRole('radio', { name: 'dead' }).check();
  await page.getByLabel('Fate').selectOption('reported');
  await page.getByRole('radio', { name: 'as it was' }).check();
  await page.getByRole('button', { name: 'Save the check' }).click();
  const duty = page.getByRole('link', { name: /otter at 22 flume gap: tell the district office by tomorrow/ });
  await expect(duty).toBeVisible();
  await duty.click();
  await expect(page.getByRole('heading', { name: 'Report of a catch: otter' })).toBeVisible();
  await expect(page.getByText('Incidental: otter closed by your rulebook')).toBeVisible();
  await expect(page.getByText(/snare K-51, channel snare, meant for beaver/)).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await page.getByLabel('Who, and how').fill('Mrs Alder, by telephone');
  await page.getByRole('button', { name: 'the district office was told' }).click();
  await expect(page.getByText(/told .*: Mrs Alder, by telephone/)).toBeVisible();
  await open(page, `${program.base}/morning`);
  await expect(page.getByRole('link', { name: /tell the district office/ })).toHaveCount(0);
  await open(page, `${program.base}/book`);
  await expect(page.getByText(/Told of a catch \(tell-incidental\): Mrs Alder/).first()).toBeVisible();
});

test('a rulebook from a file: what is wrong is told with its line and the old one stays; a good one is a new version', async ({
  page,
  program,
}) => {
  await open(page, `${program.base}/rules`);
  const file = (await page.request.get(`${program.base}/rules/book.json`)).text();
  const text = await file;
  const paste = async (book: string): Promise<void> => {
    await page.getByLabel('Or paste it').fill(book);
    await page.getByRole('button', { name: 'Import', exact: true }).click();
  };
  await paste(text.replace('"species": "mink"', '"species": "wolverine"'));
  const line = text.split('\n').findIndex((l) => l.includes('"species": "mink"')) + 1;
  await expect(page.getByText(`Line ${line}, seasons.2.species: An unknown species: there are beaver`)).toBeVisible();
  await paste(text.replace('"schema": 1', '"schema": 7'));
  await expect(page.getByText(/Line 2, schema: This rulebook has schema 7, of a later Zaprud/)).toBeVisible();
  await paste(text.slice(0, -4));
  await expect(page.getByText(/this is not JSON .*The book stays as it was/)).toBeVisible();
  await open(page, `${program.base}/rules`);
  const before = Number(/version (\d+)/.exec(await page.getByText(/Tarn district \(invented\), third edition/).innerText())?.[1]);
  await paste(text.replace('"hours": 24,\n', '"hours": 48,\n').replace('"third"', '"fourth"'));
  await expect(page.getByText(`fourth edition, version ${before + 1}`)).toBeVisible();
});

test('who catches nothing is asked what the record does not know, one question a screen, and told one change', async ({
  page,
  program,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, `${program.base}/morning`);
  await page.getByRole('link', { name: 'Nothing caught?' }).click();
  await page.getByLabel('Where?').selectOption({ label: '15 west lodge run' });
  await page.getByRole('button', { name: 'Begin with this set' }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('I catch nothing');
  const asked: string[] = [];
  const answers: Record<string, string> = {
    'Does it fire when a stick touches the trigger?': 'I did not try',
    'Was an animal seen there, on a camera or by its tracks?': 'No, nothing',
    'Is it seen against the sky or bright water?': 'No: under water, or before a bank',
    'What stood here before, yours or another’s?': 'Nothing',
    'Who else comes here?': 'Nobody',
    'Where does the water stand?': 'Higher, lower, or frozen',
    'Is the place in use?': 'I did not look',
  };
  const keep = page.getByRole('button', { name: 'Keep it with the set' });
  while (!(await keep.isVisible())) {
    const question = await page.getByRole('heading', { level: 1 }).innerText();
    asked.push(question);
    expect(await serious(page)).toEqual([]);
    await page.getByRole('button', { name: answers[question] ?? 'no such answer', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(question);
  }
  // its nights and its sticks the record knows
  expect(asked).not.toContain('How many nights has it stood?');
  expect(asked).not.toContain('What lies across the way?');
  expect(asked.length).toBeLessThan(8);
  await expect(page.getByText(/about \d in 10/).first()).toBeVisible();
  await page.getByText(/answers so far/).click();
  await expect(page.getByText(/nights since it was set/)).toBeVisible();
  await keep.click();
  await expect(page.getByText('The answers stay in the book.', { exact: false })).toBeVisible();
  await expect(page.getByText(/Since then nobody looked/)).toBeVisible();
  await open(page, `${program.base}/morning/nothing?begun=1`);
  await expect(page.getByRole('heading', { name: 'Is the place in use?' })).toBeVisible();
});
