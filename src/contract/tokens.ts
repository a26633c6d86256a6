// Access tokens, by which programs use the endpoints as a teacher.
import { array, number, object } from 'yup';
import { aWord, name, uuid } from './fields';
import { json, type Operation } from './operation';
import { TOKEN_SCOPES, type TokenScope } from './vocabulary';

/** Days that a token may hold at most. */
export const MAX_TOKEN_DAYS = 366;

export interface TokenRow {
  id: string;
  name: string;
  scopes: TokenScope[];
  madeAt: Date;
  expiresAt: Date;
  /** To the minute; null: it was never used. */
  usedAt: Date | null;
}

/** A token as it is made. It is not told again. */
export interface TokenMade extends TokenRow {
  token: string;
}

export const newToken = object({
  id: uuid(),
  name: name(100),
  scopes: array(aWord(TOKEN_SCOPES)).min(1, 'Choose one or more').max(TOKEN_SCOPES.length).required(),
  days: number().integer().min(1, 'At least a day').max(MAX_TOKEN_DAYS, 'At most a year').required('Say for how long'),
});

export const tokenOperations = {
  'GET /api/account/tokens': {
    who: 'teacher',
    does: 'The teacher’s access tokens, without what they are.',
    answer: json<TokenRow[]>(),
  },
  'POST /api/account/tokens': {
    who: 'teacher',
    does: 'Makes an access token and tells it, this once. Repeated before it is used, it makes it anew.',
    body: newToken,
    answer: json<TokenMade>(),
  },
  'DELETE /api/account/tokens/{id}': {
    who: 'teacher',
    does: 'Takes an access token back: it does not hold any more.',
    answer: json<TokenRow[]>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
