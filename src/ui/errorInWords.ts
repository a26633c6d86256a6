import { type Phrase, phrase } from '../words';
import type { ApiError } from './api';

/** The errors that a learner can meet, in the language of the page. */
const KNOWN = {
  badRequest: true,
  notSignedIn: true,
  notAllowed: true,
  notFound: true,
  sittingMovedOn: true,
  alreadyEnded: true,
  sittingFull: true,
  sittingFinished: true,
  releaseClosed: true,
  checkFirst: true,
  invalid: true,
  tooMany: true,
  busy: true,
  unexpected: true,
  unavailable: true,
} as const;
type Known = keyof typeof KNOWN;

const known = (code: string): Known => (Object.hasOwn(KNOWN, code) ? (code as Known) : 'unexpected');

/** What happened and what to do next; of a code that no learner should meet, that something went wrong. */
export function problemInWords(code: string): { readonly title: string; readonly nextStep: string } {
  if (code === 'offline') return { title: phrase('shared.offline'), nextStep: phrase('shared.offlineNext') };
  const id: Phrase = `errors.${known(code)}`;
  return { title: phrase(id), nextStep: phrase(`${id}Next`) };
}

export function errorInWords({ code }: Pick<ApiError, 'code'>): string {
  const { title, nextStep } = problemInWords(code);
  return `${title}. ${nextStep}`;
}
