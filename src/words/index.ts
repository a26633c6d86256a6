import { type I18n, type Messages, setupI18n } from '@lingui/core';
import type en from './catalogues/en.json';
import { type Language, localeOf } from './languages';

/** The name of a phrase in the catalogues. */
export type Phrase = keyof (typeof en)['phrases'];
export type Values = Readonly<Record<string, string | number>>;

/** The phrases of one language, compiled: all of them, or those that a page needs. */
export interface Spoken {
  readonly language: Language;
  readonly messages: Messages;
}

/** The element in which the server's page brings its phrases. */
export const PHRASES = 'phrases';

/** Set by the server, and by tests: the phrases of the request that is answered. */
const onServer = globalThis as unknown as { vaultDropPhrases?: () => I18n };
export const speakOnServer = (tell: () => I18n): void => {
  onServer.vaultDropPhrases = tell;
};

export const speaker = ({ language, messages }: Spoken): I18n => {
  const i18n = setupI18n({
    missing: (_, id) => {
      console.error(`This page has no phrase "${id}"`);
      return id;
    },
  });
  i18n.load(language, messages);
  i18n.activate(language, localeOf(language));
  return i18n;
};

let onPage: I18n | null = null;
function speaking(): I18n {
  if (typeof document === 'undefined') {
    if (!onServer.vaultDropPhrases) throw new Error('No phrases are set up here');
    return onServer.vaultDropPhrases();
  }
  if (onPage) return onPage;
  const brought = document.getElementById(PHRASES)?.textContent;
  if (!brought) throw new Error('This page has brought no phrases');
  onPage = speaker(JSON.parse(brought) as Spoken);
  return onPage;
}

/** A phrase in the language of the page. */
export const phrase = (id: Phrase, values?: Values): string => speaking()._(id, values);

export const language = (): Language => speaking().locale as Language;
/** The tag for `Intl`. */
export const locale = (): string => localeOf(language());

/** A number for reading: at most two decimals. */
export const shownNumber = (value: number): string =>
  new Intl.NumberFormat(locale(), { maximumFractionDigits: 2 }).format(value).replace('-', '−');

export const signedNumber = (value: number): string =>
  new Intl.NumberFormat(locale(), { maximumFractionDigits: 2, signDisplay: 'always' }).format(value).replace('-', '−');

/** Names one after another, of which one is to be chosen. */
export const oneOf = (names: readonly string[]): string =>
  new Intl.ListFormat(locale(), { type: 'disjunction' }).format(names);

/** A day and time, in a zone. */
export const shownTime = (at: Date, timeZone: string): string =>
  new Intl.DateTimeFormat(locale(), { dateStyle: 'medium', timeStyle: 'short', timeZone }).format(at);
