/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who is signed in; looked up once a request, and only when asked. */
    person(): Promise<import('./server').Person | null>;
    /** The language of the page: English, until a learner's page chooses. */
    language: import('./words/languages').Language;
    /** What a launch by a platform came to, for the page that says it. */
    launch?: {
      readonly refusal?: {
        readonly status: number;
        readonly says: 'failed' | 'noRole' | 'notHere' | 'notOpened';
        readonly why: string;
      };
      readonly press?: {
        readonly launch: string;
        readonly ticket: string;
        readonly name: string;
        readonly platform: string;
      };
    };
    /** Another site to which a form of the page is posted. */
    postsTo?: string;
  }
}
