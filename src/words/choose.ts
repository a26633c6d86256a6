import Negotiator from 'negotiator';
import { isLanguage, LANGUAGE_COOKIE, LANGUAGES, type Language, languageOf } from './languages';

interface Asked {
  readonly request: Request;
  readonly cookies: { get(name: string): { readonly value: string } | undefined };
}

/**
 * The language of a learner's page: the one that was chosen, else the first of `wanted` (the course's, the question's)
 * that is one of ours, else the browser's, else English.
 */
export function languageFor({ request, cookies }: Asked, ...wanted: readonly (string | null)[]): Language {
  const chosen = cookies.get(LANGUAGE_COOKIE)?.value ?? '';
  if (isLanguage(chosen)) return chosen;
  for (const tag of wanted) {
    const language = languageOf(tag);
    if (language) return language;
  }
  const accepted = { 'accept-language': request.headers.get('accept-language') ?? '' };
  const best = new Negotiator({ headers: accepted }).languages(Object.keys(LANGUAGES))[0];
  return best !== undefined && isLanguage(best) ? best : 'en';
}
