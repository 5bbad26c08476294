import { withPosition } from '../support/exif';
import { expect, open, test } from './fixture';

test.use({ story: 'map' });

test('ground is drawn with the mouse, measured in words, saved, and its shape changed by typing', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  const map = page.getByRole('application', { name: /Map of the ground/ });
  await expect(map).toBeVisible();
  await page.getByRole('button', { name: 'Draw a line' }).click();
  const box = await map.boundingBox();
  if (!box) throw new Error('no map');
  await page.mouse.click(box.x + 320, box.y + 240);
  await page.waitForTimeout(350);
  await page.mouse.click(box.x + 420, box.y + 240);
  await page.waitForTimeout(350);
  await page.mouse.dblclick(box.x + 420, box.y + 300);
  const form = page.locator('form').filter({ hasText: 'Draw and measure' });
  await expect(form.getByText(/^3 places, \d+ ft long, bearing \d+°/)).toBeVisible();
  await expect(page.getByText(/bearing \d+° \([a-z-]+\) from first to last\. Name and save it below/)).toBeVisible();
  await page.getByRole('button', { name: 'Draw a line' }).click();
  await form.getByLabel('Kind').selectOption('road');
  await form.getByLabel('Name', { exact: true }).fill('cart way');
  await form.getByRole('button', { name: 'Save to the map' }).click();
  await expect(page.getByText('Saved to the map and the book.')).toBeVisible();
  await form.getByLabel('What').selectOption({ label: 'cart way, road' });
  await expect(form.getByLabel('Places: latitude, longitude, one a line')).toHaveValue(/^45\.\d+, -90\.\d+\n45/);
  await form.getByLabel('Places: latitude, longitude, one a line').fill('45.512, -90.487');
  await form.getByLabel('Bearing °').fill('90');
  await form.getByLabel('Distance').fill('100 ft');
  await form.getByRole('button', { name: 'Add the place' }).click();
  await expect(form.getByText('2 places, 100 ft long, bearing 90° (east) from first to last.')).toBeVisible();
  await form.getByRole('button', { name: 'Save the new shape' }).click();
  await page.getByText(/The same as a table/).click();
  await expect(page.getByRole('row', { name: /cart way road 2 places, 100 ft long/ })).toBeVisible();
});

test('mark here takes the simulated receiver’s position, and a bad line is said at once', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('button', { name: 'Use the simulated receiver' }).click();
  await expect(page.locator('form').filter({ hasText: 'Draw and measure' }).getByText('One place.')).toBeVisible();
  await expect(page.getByText(/Taken from the simulated receiver, sure to \d+ ft/)).toBeVisible();
  await page.getByLabel('Places: latitude, longitude, one a line').fill('the willow');
  await expect(page.getByText(/Line 1, “the willow”, is not a latitude/)).toBeVisible();
});

test('a shore is walked with the device: its corners are kept, a place that is not sure is not', async ({ page, program, context }) => {
  await context.grantPermissions(['geolocation'], { origin: program.base });
  await context.setGeolocation({ latitude: 45.5, longitude: -90.48, accuracy: 60 });
  await open(page, `${program.base}/waters`);
  const form = page.locator('form').filter({ hasText: 'Draw and measure' });
  await form.getByRole('radio', { name: 'area' }).check();
  await form.getByRole('button', { name: 'Walk it' }).click();
  await expect(form.getByText(/sure to \d+ ft only/)).toBeVisible();
  await expect(form.getByLabel(/Places: latitude/)).toHaveValue('');
  for (const [n, [latitude, longitude]] of [
    [45.5, -90.48],
    [45.5, -90.4799],
    [45.5001, -90.4799],
    [45.500101, -90.4799],
  ].entries()) {
    await context.setGeolocation({ latitude: latitude ?? 0, longitude: longitude ?? 0, accuracy: 4 });
    await expect(
      form.getByText(new RegExp(`${Math.min(n + 1, 3) === 1 ? 'One place' : `${Math.min(n + 1, 3)} places`} kept`)),
    ).toBeVisible();
  }
  await form.getByRole('button', { name: 'Stop walking' }).click();
  expect((await form.getByLabel(/Places: latitude/).inputValue()).split('\n')).toHaveLength(3);
  await expect(form.getByText(/around/)).toBeVisible();
});

test('a pond comes with its drawn shore, and a place where the map or the section is tapped', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  const form = page.locator('form').filter({ hasText: 'Draw and measure' });
  await form.getByLabel('area').check();
  await form.getByLabel('Kind').selectOption('shore');
  await form.getByLabel('Belongs to').selectOption('a new water, named like it');
  await form.getByLabel('Places: latitude, longitude, one a line').fill('45.5130, -90.4850\n45.5130, -90.4840\n45.5136, -90.4840');
  await form.getByRole('button', { name: 'Save to the map' }).click();
  await expect(page.getByText(/name/i).and(page.locator('[id$=error]')).first()).toBeVisible();
  await form.getByLabel('Name', { exact: true }).fill('Crow Pond');
  await form.getByRole('button', { name: 'Save to the map' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Crow Pond' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'dam' })).toBeVisible();
  await page.getByRole('button', { name: 'lodge' }).press('Enter');
  await expect(page.getByLabel('What place is it?')).toHaveValue('lodge');
  await page.getByRole('button', { name: /^gauge/ }).click();
  await expect(page.getByLabel('Level', { exact: true })).toBeFocused();

  await open(page, `${program.base}/waters`);
  const map = page.getByRole('application', { name: /Map of the ground/ });
  await expect(map.locator('canvas').first()).toBeVisible();
  const box = await map.boundingBox();
  if (!box) throw new Error('no map');
  await page.mouse.click(box.x + 472, box.y + 305);
  const here = page.getByRole('link', { name: /^Spill Creek, \d+ ft along$/ });
  const along = /(\d+ ft)/.exec(await here.innerText())?.[1] ?? '';
  await here.click();
  await expect(page.getByLabel('Along the shore from the inlet')).toHaveValue(along);
  await expect(page.getByText(/as tapped on the map, \d+ ft beside its line/)).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('tapped run');
  await page.getByRole('button', { name: 'Add the location' }).click();
  await expect(page.getByRole('link', { name: /tapped run/ })).toBeVisible();
  await page.getByText(/The same as a table/).click();
  await expect(page.getByRole('row', { name: /tapped run/ })).toContainText(along);

  const section = page.getByRole('group', { name: /Section of the water, unrolled/ });
  const drawn = await section.boundingBox();
  if (!drawn) throw new Error('no section');
  await page.mouse.click(drawn.x + drawn.width * 0.4, drawn.y + drawn.height - 40);
  await page.getByRole('button', { name: 'Add a place here' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
  await expect(page.getByText('as tapped on the section')).toBeVisible();
});

test('a file that went out comes in as here already, in every format', async ({ page, program }) => {
  for (const format of ['geojson', 'gpx', 'kml', 'csv']) {
    const text = await (await fetch(`${program.base}/waters/export/zaprud.${format}`)).text();
    await open(page, `${program.base}/waters/exchange`);
    await page
      .getByLabel('File: GPX, GeoJSON, KML or CSV')
      .setInputFiles({ name: `zaprud.${format}`, mimeType: 'text/plain', buffer: Buffer.from(text) });
    await expect(page.getByText(/\d+ here already, \d+ refused/), format).toBeVisible();
    await expect(page.getByRole('button', { name: 'Take the 0 new' }), format).toBeDisabled();
    expect(await page.getByRole('row', { name: /here already: It is in the record already, by its id/ }).count(), format).toBeGreaterThan(
      60,
    );
    await expect(page.getByRole('row', { name: /refused: A site is begun by hand/ }).first(), format).toBeVisible();
  }
});

const gpx = (inner: string): string =>
  `<?xml version="1.0"?><gpx version="1.1" creator="receiver" xmlns="http://www.topografix.com/GPX/1/1">${inner}</gpx>`;

test('files of other programs: a preview, then all of it; broken, hostile and huge ones are handled', async ({ page, program }) => {
  await open(page, `${program.base}/waters/exchange`);
  const choose = (name: string, text: string) =>
    page.getByLabel('File: GPX, GeoJSON, KML or CSV').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

  await choose('broken.gpx', '<gpx><wpt lat="45" lon="-90"><name>half');
  await expect(page.getByText(/That file is broken and nothing was taken from it/)).toBeVisible();
  await choose('entity.gpx', `<!DOCTYPE gpx [<!ENTITY a "x">]>${gpx('<wpt lat="45" lon="-90"><name>&a;</name></wpt>')}`);
  await expect(page.getByText(/defines entities of its own/)).toBeVisible();
  await choose('photo.png', 'not a map');
  await expect(page.getByText(/not a file Zaprud reads/)).toBeVisible();
  await choose('no.csv', 'a,b\n1,2\n');
  await expect(page.getByText(/no columns called latitude and longitude/)).toBeVisible();

  await choose(
    'hostile.csv',
    'name,latitude,longitude\n"=HYPERLINK(""http://x"")",45.5111,-90.4861\n<img src=x onerror=alert(1)>,45.5112,-90.4862\nnowhere,here,there\n',
  );
  await page.getByLabel('On the water').selectOption({ label: 'Spill Creek' });
  await expect(page.getByRole('row', { name: /nowhere unreadable refused/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /<img src=x onerror=alert\(1\)> point new: location/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take the 2 new' }).click();
  await expect(page.getByText('2 taken into the record.')).toBeVisible();
  const out = await (await fetch(`${program.base}/waters/export/zaprud.csv`)).text();
  expect(out).toContain("'=HYPERLINK");

  const points = Array.from(
    { length: 160_000 },
    (_, i) =>
      `<trkpt lat="${(45.5 + i * 1e-7 + (i % 2) * 2e-6).toFixed(7)}" lon="${(-90.49 + i * 2e-7).toFixed(7)}"><ele>${i % 400}</ele></trkpt>`,
  ).join('');
  const track = gpx(`<trk><name>long walk</name><trkseg>${points}</trkseg></trk>`);
  expect(track.length).toBeGreaterThan(10_000_000);
  await choose('walk.gpx', track);
  await expect(page.getByText(/Lines were thinned from 160000 to \d+ points, within [124] m/)).toBeVisible({ timeout: 20_000 });
  await page.getByLabel('Their lines become').selectOption('road');
  await expect(page.getByRole('row', { name: /long walk line new: road/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take the 1 new' }).click();
  await expect(page.getByText('1 taken into the record.')).toBeVisible();
});

test('a sign at 390 by 844: two taps; with a photo that is made small and keeps where it was taken', async ({ browser, program }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Moss Slough', exact: true }).click();
  await page
    .getByRole('link', { name: /81 low lodge run/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Note a sign at 81 low lodge run' })).toBeInViewport();
  await page.getByRole('radio', { name: 'wet slide' }).click();
  const button = page.getByRole('button', { name: 'Note it' }).first();
  await expect(button).toBeInViewport();
  const box = await button.boundingBox();
  expect(box?.height ?? 0).toBeGreaterThanOrEqual(56);
  await button.click();
  await expect(page.getByText('Noted in the book.')).toBeInViewport();
  await expect(page.getByRole('row', { name: /5:2\d am wet slide, beaver, hours old/ })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);

  const large = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [3000, 2000];
    const pen = canvas.getContext('2d');
    for (let i = 0; i < 4000 && pen; i += 1) {
      pen.fillStyle = `hsl(${(i * 37) % 360} 60% 50%)`;
      pen.fillRect((i * 73) % 3000, (i * 131) % 2000, 60, 60);
    }
    return canvas.toDataURL('image/jpeg', 0.95).split(',')[1] ?? '';
  });
  const jpeg = withPosition(Buffer.from(large, 'base64'), [45, 30, 44], [90, 29, 14]);
  expect(jpeg.length).toBeGreaterThan(600 * 1024);
  await page.getByRole('radio', { name: 'peeled sticks, wet' }).click();
  await page.getByLabel('Photo').setInputFiles({ name: 'IMG.JPG', mimeType: 'image/jpeg', buffer: jpeg });
  await expect(page.getByText(/kB, with its position/)).toBeVisible({ timeout: 15_000 });
  await button.click();
  await expect(page.getByText('taken at 45.51222, -90.48722')).toBeVisible();
  const picture = page.getByRole('img', { name: /peeled sticks/ });
  await picture.scrollIntoViewIfNeeded();
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1280);
  await context.close();
});

test('camera events from a table: previewed with reasons, taken, charted, known again', async ({ page, program }) => {
  await open(page, `${program.base}/waters`);
  await page.getByRole('link', { name: 'Lower Bog Ditch', exact: true }).click();
  await page.getByRole('link', { name: 'Counting' }).click();
  await expect(page.getByText('No camera has watched here yet.')).toBeVisible();
  const table =
    'Time,Camera,Species,Count,Size class\n2026-11-22 18:40,C7,beaver,2,large\n2026-11-23 05:10,C7,beaver,3,small\n2026-11-24 99:10,C7,beaver,3,small\n';
  const choose = () =>
    page
      .getByLabel('CSV: time, camera, species, count, size class, did')
      .setInputFiles({ name: 'c7.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await choose();
  await expect(page.getByText('2 events new, 0 here already, 1 refused.')).toBeVisible();
  await expect(page.getByText(/^Row 4: /)).toBeVisible();
  await page.getByRole('button', { name: 'Take the 2 new' }).click();
  await expect(page.getByText('2 events taken.')).toBeVisible();
  await expect(page.getByRole('img', { name: /Events by night and hour/ })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('No fewer than 5');
  await choose();
  await expect(page.getByText('0 events new, 2 here already, 1 refused.')).toBeVisible();
  await page.getByRole('button', { name: 'Read last night' }).click();
  await expect(page.getByText(/events? taken\./)).toBeVisible();
  await expect(page.getByText(/\(simulated\)/).first()).toBeVisible();
});
