import { z } from 'zod';
import { roleSchema } from './roles';

/** What an owner says of somebody who is to come in. */
export const inviteSchema = z
  .strictObject({
    /** a person of the crew, or empty for a new one */
    person: z.union([z.uuid(), z.literal('')], { error: 'Nobody of this crew is called so: choose again from the list.' }),
    newName: z.string().trim().max(60, 'A name has at most 60 characters.'),
    role: roleSchema,
    /** typed within minutes beside the machine, or sent and used within days */
    how: z.enum(['code', 'link'], { error: 'Choose whether it is typed now or sent.' }),
    waters: z.array(z.uuid('That water is not of this crew.')),
    coordinates: z.boolean(),
  })
  .superRefine(({ person, newName, role, waters }, context) => {
    if (person === '' && newName === '')
      context.addIssue({ code: 'custom', path: ['newName'], message: 'Choose somebody of the crew, or type a new name.' });
    if (person !== '' && newName !== '')
      context.addIssue({
        code: 'custom',
        path: ['newName'],
        message: 'A name was typed, and somebody else is chosen above: choose “somebody new” there, or clear the name.',
      });
    if (role === 'reader' && waters.length === 0)
      context.addIssue({ code: 'custom', path: ['waters'], message: 'A client reads waters that are shared with him: tick at least one.' });
  });
export type Invite = z.infer<typeof inviteSchema>;
