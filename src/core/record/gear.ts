import { z } from 'zod';
import { DEVICE_CLASSES, SIZES } from '../devices/sizes';
import { choice, id, name, note } from './fieldKinds';

export const deviceSchema = z
  .strictObject({
    id: id(),
    tag: name('Tag', 20),
    class: choice('Kind of device', DEVICE_CLASSES),
    size: name('Size', 20),
    condition: choice('Condition', ['good', 'worn', 'broken', 'lost']),
    note: note('Note'),
  })
  .refine((device) => SIZES[device.class].includes(device.size), {
    path: ['size'],
    error: ({ input }) => {
      const device = input as { class: keyof typeof SIZES };
      return `No such size of ${device.class}: there are ${SIZES[device.class]?.join(', ')}.`;
    },
  });
