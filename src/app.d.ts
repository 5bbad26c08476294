import type { Who } from '$lib/server/who';

declare global {
  namespace App {
    interface Locals {
      who: Who;
      now: Date;
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
