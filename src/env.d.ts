/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** The team that a request is answered for; null before one was set up. */
    team: import('./formats/records').TeamRecord | null;
    /** Its stores; before one was set up those of nobody. */
    db: import('./server/database').TeamDatabase;
  }
}
