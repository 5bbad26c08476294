import type { Role } from '#core/door/roles';
import type { Who } from '#lib/season/who';

declare global {
  namespace App {
    interface Locals {
      who: Who;
      now: Date;
      /** the request comes from this machine itself, not from a device that was let in */
      isNear: boolean;
      role: Role;
      /** the device that was let in */
      device: string | null;
      /** whether this device was told who works on it */
      isPicked: boolean;
      /** the database did not answer while this request was served */
      isAway?: boolean;
      /** known once the layout has loaded the day */
      sunIsDown?: boolean;
    }
    interface Error {
      message: string;
      id?: string;
    }
  }
}

export {};
