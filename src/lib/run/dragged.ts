import type { Attachment } from 'svelte/attachments';
import Sortable from 'sortablejs';

/**
 * Rows of a list are dragged by their grip; what is let go is told by its place before and after, and drawn anew by whoever keeps the list.
 * Buttons beside the grip do the same by keyboard.
 */
export const dragged =
  (told: (from: number, to: number) => void): Attachment<HTMLElement> =>
  (list) => {
    const sortable = Sortable.create(list, {
      handle: '.grip',
      animation: 120,
      onEnd: ({ item, oldIndex, newIndex }) => {
        if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return;
        // the row goes back to where the list still has it: the list moves it
        list.insertBefore(item, list.children[oldIndex < newIndex ? oldIndex : oldIndex + 1] ?? null);
        told(oldIndex, newIndex);
      },
    });
    return () => sortable.destroy();
  };
