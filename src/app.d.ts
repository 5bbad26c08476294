import type { Who } from '$lib/server/who';

declare global {
  namespace App {
    interface Locals {
      who: Who;
      now: Date;
    }
    interface Error {
      message: string;
      id?: string;
    }
  }
}

export {};
