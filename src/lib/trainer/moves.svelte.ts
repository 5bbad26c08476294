import { lived, type Move } from '#core/trainer/lived';
import { strangersPond, type Stranger } from '#core/trainer/stranger';
import type { Level } from '#core/trainer/lessons';

const keyOf = ({ seed, level }: Pick<Stranger, 'seed' | 'level'>): string => `lesson ${level} ${seed}`;

function kept(pond: Stranger): Move[] {
  try {
    const found: unknown = JSON.parse(sessionStorage.getItem(keyOf(pond)) ?? '[]');
    return Array.isArray(found) ? (found as Move[]) : [];
  } catch {
    return [];
  }
}

/** A lesson under way: its moves stay in this tab, its state is lived from them anew. Nothing of it reaches the record. */
export function playing(seed: number, level: Level) {
  const pond = strangersPond(seed, level);
  let moves = $state.raw<readonly Move[]>([]);
  const lesson = $derived(lived(pond, moves));
  const keep = (next: readonly Move[]): void => {
    moves = next;
    sessionStorage.setItem(keyOf(pond), JSON.stringify(next));
  };
  return {
    pond,
    get lesson() {
      return lesson;
    },
    get hasBegun() {
      return moves.length > 0;
    },
    /** goes on where this tab left it */
    resume: (): void => void (moves = kept(pond)),
    play: (move: Move): void => keep([...moves, move]),
    /** what was done today can be taken back; a night cannot */
    get canUndo() {
      return moves.length > 0 && moves.at(-1)?.do !== 'night';
    },
    undo: (): void => keep(moves.slice(0, -1)),
    again: (): void => keep([]),
  };
}

export type Playing = ReturnType<typeof playing>;
