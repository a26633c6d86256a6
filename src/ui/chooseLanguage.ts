import { LANGUAGE_COOKIE, type Language } from '../words/languages';

const YEAR_SECONDS = 365 * 24 * 3600;

/** The learner's pages speak another language from now on, in this browser. */
export function chooseLanguage(language: Language): void {
  const secure = location.protocol === 'https:' ? '; secure' : '';
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
  document.cookie = `${LANGUAGE_COOKIE}=${language}; path=/; max-age=${YEAR_SECONDS}; samesite=lax${secure}`;
  location.reload();
}
