import { expect, it } from 'vitest';
import { languageFor } from './choose';

const asked = (accepts: string | null, chosen?: string) => ({
  request: new Request('http://tarn.example/', accepts === null ? {} : { headers: { 'accept-language': accepts } }),
  cookies: { get: () => (chosen === undefined ? undefined : { value: chosen }) },
});

it('takes what was chosen before anything else', () => {
  expect(languageFor(asked('fr', 'pl'), 'de')).toBe('pl');
});

it('takes the first wanted language that is one of ours, whatever its region', () => {
  expect(languageFor(asked('fr'), null, 'it', 'pt-BR', 'de')).toBe('pt');
  expect(languageFor(asked('fr', 'klingon'), 'HE')).toBe('he');
});

it('takes the browser’s best, by its weights and without its region', () => {
  expect(languageFor(asked('nl, tr;q=0.4, es-MX;q=0.9'))).toBe('es');
  expect(languageFor(asked('ar-EG'))).toBe('ar');
});

it('falls back to English', () => {
  expect(languageFor(asked(null), null)).toBe('en');
  expect(languageFor(asked('nl, ja'))).toBe('en');
  expect(languageFor(asked(';;;q=x'))).toBe('en');
});
