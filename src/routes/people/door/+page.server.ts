import { error, fail, redirect } from '@sveltejs/kit';
import { inviteSchema } from '#core/door/invite';
import { ROLES, ROLE_WORDS } from '#core/door/roles';
import { issuesOf } from '#core/record/issues';
import { clockOf, daySaid, whenText } from '#core/time/clock';
import { idBeside, isId, newId } from '#lib/form/newId';
import { reader, type Reader } from '#lib/form/reader';
import { db } from '$lib/server/database';
import { addresses, makeCode } from '$lib/server/door/codes';
import { faultsOf, keepSignIn, signedIn } from '$lib/server/door/signIn';
import { allowsPasskeys } from '$lib/server/door/passkeys';
import { addressOf } from '$lib/server/door/caller';
import { attempt, refused } from '$lib/server/form';
import { record } from '$lib/server/record/write';
import * as door from '$lib/server/repositories/door';
import { passkeysOf, removePasskey } from '$lib/server/repositories/passkeys';
import { people, waters } from '$lib/server/repositories/places';
import { currentLine } from '$lib/server/repositories/sets';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const { crew, person } = locals.who;
  const isOwner = locals.role === 'owner';
  const [all, known, devices, places, line, passkeys] = await Promise.all([
    people(db(), crew),
    door.accounts(db(), crew),
    door.pairedDevices(db(), crew),
    isOwner ? waters(db(), crew) : [],
    currentLine(db(), crew),
    passkeysOf(db(), crew, person.id),
  ]);
  const clock = clockOf(person, line?.zone ?? 'UTC');
  const own = known.find((a) => a.person_id === person.id);
  return {
    isNear: locals.isNear,
    isOwner,
    isReached: addresses().length > 0,
    roles: ROLES.map((role) => ({ value: role, text: `${ROLE_WORDS[role].name}: ${ROLE_WORDS[role].may}` })),
    people: (isOwner ? all : all.filter((p) => p.id === person.id)).map(({ id, name }) => {
      const account = known.find((a) => a.person_id === id);
      return { id, name, role: ROLE_WORDS[account?.role ?? 'trapper'].name, login: account?.login ?? null, mayCome: account !== undefined };
    }),
    waters: places.map(({ id, name }) => ({ id, name })),
    devices: devices
      .filter((d) => isOwner || d.person_id === person.id)
      .map(({ paired_at, seen_at, ...own }) => ({
        ...own,
        isThis: own.id === locals.device,
        paired: daySaid(paired_at, locals.now, clock),
        seen: whenText(seen_at, locals.now, clock),
      })),
    passkeys: passkeys.map(({ id, name, made_at }) => ({ id, name, made: daySaid(made_at, locals.now, clock) })),
    allowsPasskeys: allowsPasskeys(url),
    me: { id: person.id, name: person.name, login: own?.login ?? null },
    ids: { entry: newId() },
  };
};

function ownerOnly({ role }: App.Locals): void {
  if (role !== 'owner') error(403, 'Who may come in, the owner of the crew says.');
}

/** An invitation as it was typed, and whose it is; a new person is written into the record. */
async function invited(read: Reader, locals: App.Locals, isNew: boolean): Promise<string> {
  if (!isNew) return read.text('person');
  const entry = read.text('entry');
  const id = idBeside(entry, 'invited');
  const body = { id, name: read.text('newName'), system: locals.who.person.system, measures: {} };
  const by = locals.who.person.id;
  await record(db(), { id: entry, crew: locals.who.crew, kind: 'person', occurredAt: locals.now, by, body });
  return id;
}

export const actions: Actions = {
  /** A code or link with which one device of a person is let in, shown once. */
  invite: async ({ request, locals, url }) => {
    ownerOnly(locals);
    const { crew } = locals.who;
    const read = reader(await request.formData(), locals.who);
    const typed = inviteSchema.safeParse({
      ...{ person: read.text('person'), newName: read.text('newName'), role: read.text('role'), how: read.text('how') },
      ...{ waters: read.many('waters'), coordinates: read.has('coordinates') },
    });
    if (!typed.success)
      for (const [path, sentence] of Object.entries(issuesOf(typed.error))) read.refuse(path.split('.')[0] ?? path, sentence);
    if (!typed.success || !read.ok()) return refused(read);
    const { role, how, coordinates, person: chosen } = typed.data;
    const [crewmen, places] = await Promise.all([people(db(), crew), waters(db(), crew)]);
    if (chosen !== '' && !crewmen.some((p) => p.id === chosen))
      read.refuse('person', 'Nobody of this crew is called so: choose again from the list.');
    if (!typed.data.waters.every((id) => places.some((w) => w.id === id)))
      read.refuse('waters', 'That water is not of this crew: choose again.');
    if (chosen === locals.who.person.id && !locals.isNear && role !== 'owner')
      read.refuse('role', 'Nobody takes his own key: another owner changes what you may do.');
    const result = await attempt(read, () => invited(read, locals, chosen === ''));
    if ('failure' in result) return result.failure;
    const person = result.done;
    await door.putRole(db(), { crew_id: crew, person_id: person, role }, locals.now);
    const shared = role === 'reader' ? typed.data.waters : [];
    await door.shareWaters(
      db(),
      crew,
      person,
      shared.map((water) => ({ water, coordinates })),
    );
    const name = crewmen.find((p) => p.id === person)?.name ?? read.text('newName');
    const shown = await makeCode({ crew, now: locals.now }, person, how, locals.isNear ? null : url.origin);
    return { shown: { for: name, how, ...shown } };
  },

  endDevice: async ({ request, locals }) => {
    const id = String((await request.formData()).get('device') ?? '');
    const device = (await door.pairedDevices(db(), locals.who.crew)).find((d) => d.id === id);
    if (!device || (locals.role !== 'owner' && device.person_id !== locals.who.person.id)) error(404, 'There is no such device.');
    await door.endDevice(db(), locals.who.crew, id, locals.now);
    redirect(303, '/people/door');
  },

  /** Takes the key from a person: what he wrote stays. */
  remove: async ({ request, locals }) => {
    ownerOnly(locals);
    const id = String((await request.formData()).get('person') ?? '');
    if (!isId(id) || id === locals.who.person.id) error(400, 'Nobody takes his own key: another owner does.');
    await door.removeAccount(db(), locals.who.crew, id, locals.now);
    redirect(303, '/people/door');
  },

  removePasskey: async ({ request, locals }) => {
    const id = String((await request.formData()).get('passkey') ?? '');
    if ((await removePasskey(db(), locals.who.crew, locals.who.person.id, id)) === 0) error(404, 'There is no such passkey.');
    redirect(303, '/people/door');
  },

  /** Name and passphrase of the one who works here; the printed code is shown once. */
  signIn: async (event) => {
    const { request, locals } = event;
    const read = reader(await request.formData(), locals.who);
    const { passphrase = '', now: typedNow = '' } = read.values;
    // a passphrase is the one thing typed that no page carries back
    for (const name of ['passphrase', 'now']) delete read.values[name];
    const { crew, person } = locals.who;
    const login = read.text('login');
    const own = (await door.accounts(db(), crew)).find((a) => a.person_id === person.id);
    for (const [name, sentence] of Object.entries(faultsOf(login, String(passphrase)))) read.refuse(name, sentence);
    if (own?.login && !locals.isNear) {
      const done = await signedIn(own.login, String(typedNow), addressOf(event), locals.now);
      if ('sentence' in done) read.refuse('now', 'That is not the passphrase you sign in with now.');
    }
    if (!read.ok()) return refused(read);
    const whose = { crew_id: crew, person_id: person.id, role: own?.role ?? (locals.isNear ? ('owner' as const) : locals.role) };
    try {
      const recovery = await keepSignIn(whose, login, String(passphrase), {
        now: locals.now,
        ...(locals.device ? { device: locals.device } : {}),
      });
      return { recovery };
    } catch (fault) {
      if ((fault as { constraint?: string }).constraint !== 'login_once') throw fault;
      return fail(409, {
        problem: 'Not saved: look at the marked fields.',
        errors: { login: 'Somebody signs in with that name: take another.' },
        values: read.values,
      });
    }
  },
};
