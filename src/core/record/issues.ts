import type { ZodError } from 'zod';

/** What a schema found wrong, one sentence a field: the path joined with dots. */
export function issuesOf(error: ZodError): Record<string, string> {
  const fields: Record<string, string> = {};
  for (const issue of error.issues) fields[issue.path.join('.') || 'form'] ??= issue.message;
  return fields;
}
