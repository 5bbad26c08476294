import type { Role } from '#core/door/roles';

/** What answers whoever was not let in: the pages on which he is. */
export const DOORS: readonly string[] = ['/pair', '/signin', '/signin/recover', '/signin/passkey', '/signin/passkey/answer'];

/** What a client is shown: the waters shared with him, and how he signs in. */
const OF_READER: readonly string[] = ['/', '/shared', '/shared/[water]', '/signout', ...DOORS];

/** Whether a role is answered in a room at all; to whom it is not, the room does not exist. */
export const isOpenTo = (role: Role, route: string | null): boolean => role !== 'reader' || (route !== null && OF_READER.includes(route));
