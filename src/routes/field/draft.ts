/** A half-filled check on this device: it survives leaving the page, a call and an empty battery, until it is saved or let go. */
const key = (set: string): string => `draft ${set}`;

export interface Draft {
  outcome: string;
  values: Record<string, string | string[]>;
}

export function draftOf(set: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(key(set)) ?? 'null') as Draft | null;
  } catch {
    return null;
  }
}

export const drafted = (set: string): boolean => localStorage.getItem(key(set)) !== null;

/** Keeps what stands in a form. @param outcome the one that was tapped */
export function keepDraft(set: string, outcome: string, form: FormData): void {
  const values = Object.fromEntries(
    [...new Set(form.keys())].map((name): [string, string | string[]] => {
      const all = form.getAll(name).filter((v): v is string => typeof v === 'string');
      return [name, all.length === 1 ? (all[0] ?? '') : all];
    }),
  );
  localStorage.setItem(key(set), JSON.stringify({ outcome, values } satisfies Draft));
}

export const letGo = (set: string): void => localStorage.removeItem(key(set));
