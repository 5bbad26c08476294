/** What a disk or a database says, as a sentence that tells what to do. */
export function diskSentence(error: unknown): string {
  const { code, message } = error as { code?: string; message: string };
  const words: Record<string, string> = {
    ENOSPC: 'the disk is full. Name a file on another disk.',
    EROFS: 'the disk is read-only. Name a file on another disk.',
    EACCES: 'that file or folder may not be written by you.',
    EISDIR: 'that is a folder. Name a file in it, or say --into.',
    ENOENT: 'there is no such folder.',
    ENOTDIR: 'a part of that path is no folder.',
    ECONNREFUSED: 'no PostgreSQL answers. Start Zaprud first, or name one in DATABASE_URL.',
    '53100': 'the disk of the database is full.',
    '25006': 'the database is read-only just now.',
    '42P01': 'there is no record in that database yet. Start Zaprud once first.',
    '28P01': 'PostgreSQL refuses the name or password in DATABASE_URL.',
    '3D000': 'there is no such database.',
  };
  return words[code ?? ''] ?? message;
}
