/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who is signed in; looked up once a request, and only when asked. */
    person(): Promise<import('./server').Person | null>;
    /** The language of the page: English, until a learner's page chooses. */
    language: import('./words/languages').Language;
  }
}
