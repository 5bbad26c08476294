import { roleSchema, type Role } from '#core/door/roles';
import { newId } from '#lib/form/newId';
import { connect } from '#server/database';
import { newCode } from '#server/door/codes';
import { record } from '#server/record/write';
import { keepCode, putRole } from '#server/repositories/door';

/** `./invite NAME`: a link with which one device of a person is let in, made at the machine itself. A crew or a person not there yet is made. */
const words = process.argv.slice(2);
const after = (flag: string): string | undefined => (words.includes(flag) ? words[words.indexOf(flag) + 1] : undefined);
const [crewName, roleName = 'owner'] = [after('--crew'), after('--as')];
const name = words.find((word, nth) => !word.startsWith('--') && !words[nth - 1]?.startsWith('--'));
const say = (sentence: string): void => console.log(`  ${sentence}`);

type Db = ReturnType<typeof connect>;

/** The crew of that name, or the only one; made where there is none of that name. */
async function crewOf(db: Db): Promise<string> {
  const all = (await db('crew').select('id', 'name')) as { id: string; name: string }[];
  const found = crewName ? all.filter((c) => c.name === crewName) : all;
  if (found.length > 1) throw new Error(`There are several crews: say which, with --crew. There is: ${all.map((c) => c.name).join(', ')}.`);
  if (found[0]) return found[0].id;
  const id = newId();
  await record(db, { id: newId(), crew: id, kind: 'crew', occurredAt: new Date(), by: null, body: { id, name: crewName ?? 'Our crew' } });
  return id;
}

async function personOf(db: Db, crew: string, called: string): Promise<string> {
  const found = (await db('person').where({ crew_id: crew, name: called }).first('id')) as { id: string } | undefined;
  if (found) return found.id;
  const id = newId();
  const body = { id, name: called, system: 'us' as const, measures: {} };
  await record(db, { id: newId(), crew, kind: 'person', occurredAt: new Date(), by: null, body });
  return id;
}

function roleOf(): Role {
  const role = roleSchema.safeParse(roleName);
  if (!role.success) throw new Error(`There is no role “${roleName}”: owner, trapper, helper or reader.`);
  return role.data;
}

async function invite(): Promise<void> {
  if (!name) throw new Error('Say who: ./invite NAME');
  const role = roleOf();
  const db = connect(process.env.DATABASE_URL ?? '');
  try {
    const crew = await crewOf(db);
    const person = await personOf(db, crew, name);
    await putRole(db, { crew_id: crew, person_id: person, role }, new Date());
    const { code, hash, expires_at } = newCode('link', new Date());
    await keepCode(db, { hash, crew_id: crew, person_id: person, expires_at });
    const [host] = (process.env.ZAPRUD_HOSTS ?? '').split(',').filter(Boolean);
    const at = host ? `https://${host}` : `http://127.0.0.1:${process.env.PORT ?? '8642'}`;
    say(`For ${name}, ${role}, once, within a week:`);
    say(`${at}/pair?code=${code}`);
  } finally {
    await db.destroy();
  }
}

invite().catch((error: unknown) => {
  console.error(`  Nobody was invited: ${(error as Error).message}`);
  process.exit(1);
});
