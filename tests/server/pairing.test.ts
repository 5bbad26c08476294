import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import jsQR from 'jsqr';
import { create } from 'qrcode';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** Devices beyond this machine: nothing answers one that was not paired. What is handed on by another server stands for them here. */
let program: Program;
let people: Record<string, string>;

before(async () => {
  program = await startProgram({ demo: true });
  people = Object.fromEntries((await rows('person')).map((p) => [String(p.name), String(p.id)]));
});
after(() => program.end());

const { post, get, rows, saved, uuid } = webOf(() => program);
const FAR = { 'x-forwarded-for': '192.168.1.20' };

async function far(path: string, { cookie = '', form }: { cookie?: string; form?: Record<string, string> } = {}) {
  const answer = await fetch(program.base + path, {
    redirect: 'manual',
    headers: { ...FAR, accept: 'text/html', origin: program.base, ...(cookie ? { cookie } : {}) },
    ...(form ? { method: 'POST', body: new URLSearchParams(form) } : {}),
  });
  const given = answer.headers.getSetCookie().find((c) => c.startsWith('device='));
  return { status: answer.status, location: answer.headers.get('location') ?? '', text: await answer.text(), given: given ?? '' };
}

async function codeFor(name: string): Promise<string> {
  const page = await post('/people/door?/invite', { entry: uuid(), person: people[name] ?? '', newName: '', role: 'trapper', how: 'code' });
  const [, code] = />([A-Z2-9]{4} [A-Z2-9]{4})</.exec(page.text) ?? [];
  assert.ok(code, page.text.slice(0, 300));
  return code;
}

describe('a device beyond this machine', () => {
  it('gets no answer before it is paired, whatever it asks for and whoever it says it is', async () => {
    for (const path of ['/morning', '/field', '/book', '/people']) {
      const { status, location } = await far(path, { cookie: `person=${people['Wren Ostby']}` });
      assert.deepEqual([status, location], [303, '/signin'], path);
    }
    const facts = await fetch(`${program.base}/field/facts`, { headers: FAR });
    assert.equal(facts.status, 401);
    assert.ok(!(await facts.text()).includes('south mound'));
    assert.equal((await far('/morning?/undo', { form: { entry: uuid() } })).status, 401);
    assert.match((await far('/pair')).text, /A code is shown at the machine itself/);
  });

  it('is paired with a code, once, for one person, and works as nobody else', async () => {
    const [, other = ''] = Object.keys(people).filter((n) => n !== 'Wren Ostby');
    const mine = Object.keys(people).find((n) => n !== other && n !== 'Wren Ostby') ?? 'Wren Ostby';
    const code = await codeFor(mine);
    const paired = await far('/pair', { form: { code: code.toLowerCase(), name: 'Blue phone' } });
    assert.deepEqual([paired.status, paired.location], [303, '/']);
    assert.match(paired.given, /HttpOnly/);
    assert.match(paired.given, /SameSite=Strict/);
    const [cookie = ''] = paired.given.split(';');
    const token = cookie.slice('device='.length);
    const kept = JSON.stringify(await rows('paired_device'));
    assert.ok(!kept.includes(token), 'only a hash of it is kept');
    assert.ok(!JSON.stringify(await rows('pairing_code')).includes(code.replace(' ', '')));

    assert.match((await far('/morning', { cookie: `${cookie}; person=${people[other]}` })).text, new RegExp(mine));
    assert.equal((await far('/people?/pick', { cookie, form: { person: people[other] ?? '' } })).status, 403);
    assert.equal((await far('/people/door?/invite', { cookie, form: { person: people[mine] ?? '' } })).status, 403);
    assert.equal((await far('/pair', { form: { code, name: 'Second' } })).status, 403, 'a code is used once');

    const page = await get('/people/door');
    assert.match(page, /Blue phone/);
    const [device] = await rows('paired_device', { name: 'Blue phone' });
    saved(await post('/people/door?/endDevice', { device: String(device?.id) }), /door/);
    assert.deepEqual((await far('/morning', { cookie })).location, '/signin');
  });

  it('finds no code by trying: after a few wrong ones even the right one waits', async () => {
    const code = await codeFor('Wren Ostby');
    const wrong = [];
    for (let i = 0; i < 9; i += 1) wrong.push((await far('/pair', { form: { code: `AAAA AAA${i}`, name: '' } })).text);
    assert.match(wrong[0] ?? '', /That code is wrong, was used, or is too old/);
    assert.match(wrong.at(-1) ?? '', /Too many tries\. Wait ten minutes/);
    assert.match((await far('/pair', { form: { code, name: '' } })).text, /Too many tries/);
    assert.equal((await rows('paired_device', { ended_at: null })).length, 0);
  });
});

describe('the QR code of a pairing', () => {
  // held against jsqr, which reads what a camera would see
  it('says the address and the code', () => {
    const text = 'http://192.168.1.7:8642/pair?code=K7QX2M9P';
    const { modules } = create(text);
    const [scale, quiet] = [4, 4];
    const side = (modules.size + 2 * quiet) * scale;
    const pixels = new Uint8ClampedArray(side * side * 4).fill(255);
    for (let y = 0; y < side; y += 1)
      for (let x = 0; x < side; x += 1) {
        const [row, column] = [Math.floor(y / scale) - quiet, Math.floor(x / scale) - quiet];
        const isIn = row >= 0 && column >= 0 && row < modules.size && column < modules.size;
        if (isIn && modules.get(row, column)) pixels.fill(0, (y * side + x) * 4, (y * side + x) * 4 + 3);
      }
    assert.equal(jsQR(pixels, side, side)?.data, text);
  });
});
