/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who is signed in; looked up once a request, and only when asked. */
    person(): Promise<import('./server').Person | null>;
  }
}

/** Howler without what places sounds in space: half its weight. */
declare module 'howler/dist/howler.core.min.js' {
  export { Howl } from 'howler';
}
