/** The languages of the learner's pages, each by its own name. */
export const LANGUAGES = {
  en: 'English',
  de: 'Deutsch',
  fr: 'Français',
  es: 'Español',
  pt: 'Português',
  pl: 'Polski',
  tr: 'Türkçe',
  ar: 'العربية',
  he: 'עברית',
} as const;
export type Language = keyof typeof LANGUAGES;

/** The language that was chosen on a page, as a cookie. */
export const LANGUAGE_COOKIE = 'vault-drop.language';

export const isLanguage = (value: string): value is Language => Object.hasOwn(LANGUAGES, value);

/** The language of ours that a language tag (BCP 47) asks for, whatever its region; null: none. */
export function languageOf(tag: string | null | undefined): Language | null {
  const base = tag?.split('-')[0]?.toLowerCase() ?? '';
  return isLanguage(base) ? base : null;
}

const RIGHT_TO_LEFT = new Set(['ar', 'he', 'fa', 'ur', 'yi', 'ps', 'sd', 'ug', 'dv', 'ckb']);
export const directionOf = (tag: string): 'rtl' | 'ltr' =>
  RIGHT_TO_LEFT.has(tag.split('-')[0]?.toLowerCase() ?? '') ? 'rtl' : 'ltr';

/** The tag by which `Intl` writes numbers and times: digits are those of the questions in all of them. */
export const localeOf = (language: Language): string =>
  ({ en: 'en-GB', ar: 'ar-u-nu-latn' })[language as string] ?? language;
