/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** The team that a request is answered for; null before one was set up. */
    team: import('./formats/records').TeamRecord | null;
    db: import('./server/database').Database;
  }
}
