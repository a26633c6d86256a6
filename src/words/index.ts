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

interface Marks {
  readonly points: number;
  readonly outOf: number;
}

/** The values of a phrase about a mark that became another. */
export const becameValues = ({ before, after }: { readonly before: Marks; readonly after: Marks }): Values => ({
  ...{ was: shownNumber(before.points), wasMax: shownNumber(before.outOf) },
  ...{ is: shownNumber(after.points), isMax: shownNumber(after.outOf) },
});

export const signedNumber = (value: number): string =>
  new Intl.NumberFormat(locale(), { maximumFractionDigits: 2, signDisplay: 'always' }).format(value).replace('-', '−');

/** Names one after another, of which one is to be chosen. */
export const oneOf = (names: readonly string[]): string =>
  new Intl.ListFormat(locale(), { type: 'disjunction' }).format(names);

/** The whole days from one moment's day to another's, in a zone. */
function daysBetween(from: Date, to: Date, timeZone: string): number {
  const day = new Intl.DateTimeFormat('en-CA', { timeZone });
  return Math.round((Date.parse(day.format(to)) - Date.parse(day.format(from))) / 86_400_000);
}

/** A day as people say it, with its time, in a zone: tomorrow, 16:00; Friday, 16:00; 4 Dec 2026, 16:00. */
export function dayAndTime(at: Date, now: Date, timeZone: string): string {
  const days = daysBetween(now, at, timeZone);
  if (Math.abs(days) > 6) return shownTime(at, timeZone);
  const time = new Intl.DateTimeFormat(locale(), { timeStyle: 'short', timeZone }).format(at);
  const day =
    Math.abs(days) <= 1
      ? new Intl.RelativeTimeFormat(locale(), { numeric: 'auto' }).format(days, 'day')
      : new Intl.DateTimeFormat(locale(), {
          weekday: 'long',
          ...(days < 0 ? { day: 'numeric', month: 'short' } : {}),
          timeZone,
        }).format(at);
  return `${day}, ${time}`;
}

/** A day, in a zone. */
export const shownDay = (at: Date, timeZone: string): string =>
  new Intl.DateTimeFormat(locale(), { dateStyle: 'medium', timeZone }).format(at);

/** A share from 0 to 1 in percent, with at most one decimal. */
export const shownShare = (share: number): string =>
  new Intl.NumberFormat(locale(), { style: 'percent', maximumFractionDigits: 1 }).format(share);

/** A day and time, in a zone. */
export const shownTime = (at: Date, timeZone: string): string =>
  new Intl.DateTimeFormat(locale(), { dateStyle: 'medium', timeStyle: 'short', timeZone }).format(at);
