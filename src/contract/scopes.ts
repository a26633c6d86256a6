import { OPERATIONS, type OperationName } from './operations';
import type { TokenScope } from './vocabulary';

/** Marks, answers, and who learns: what is personal. */
const RESULTS: readonly string[] = [
  ...['analysis', 'together', 'comparison', 'results', 'sittings', 'marks', 'remarks', 'groups', 'live', 'scores'],
  ...[
    'allowances',
    'paper',
    'gradebook',
    'reports',
    'audit',
    'learners',
    'left',
    'names',
    'roster',
    'lti-roster',
    'outside',
    'statements',
    'oneroster',
    'mastery',
  ],
  ...['gradebook.csv', 'answers.csv', 'answers.jsonl', 'results.csv', 'invitations'],
];
/** What is made in the Vault, before it is published. */
const AUTHOR: readonly string[] = [
  ...['questions', 'sets', 'lists', 'shelves', 'media', 'packages', 'tags', 'formulas', 'bin', 'board', 'outcomes'],
];
/** What a person does by signing in: no token makes tokens, ends sessions, or administers. */
const BY_HAND: readonly string[] = [
  'account',
  'me',
  'auth',
  'installation',
  'platforms',
  'record-store',
  'lti',
  'today',
  'joining',
];

/**
 * The scope that a token needs for an endpoint; null: it needs none, because anyone may ask. `byHand`: no token does
 * it.
 */
export function scopeOf(name: OperationName): TokenScope | 'byHand' | null {
  const { who } = OPERATIONS[name];
  const [method, path = ''] = name.split(' ');
  const parts = path.split('/').filter((part) => part !== '' && part !== 'api');
  const [first = ''] = parts;
  if (BY_HAND.includes(first)) return 'byHand';
  if (who === 'anyone') return null;
  if (who === 'learner') return 'byHand';
  if (parts.some((part) => RESULTS.includes(part))) return 'results';
  if (method === 'GET') return 'read';
  return AUTHOR.includes(first) ? 'author' : 'publish';
}

const NAMES = Object.keys(OPERATIONS) as OperationName[];
const TEMPLATES = NAMES.map((name) => {
  const [method = '', path = ''] = name.split(' ');
  return { name, method, parts: path.split('/') };
});

/** The endpoint that answers a request; of two that fit, the one with fewer parameters. Null: it is none. */
export function operationAt(method: string, pathname: string): OperationName | null {
  const parts = pathname.replace(/\/$/, '').split('/');
  const fits = TEMPLATES.filter(
    (template) =>
      template.method === (method === 'HEAD' ? 'GET' : method) &&
      template.parts.length === parts.length &&
      template.parts.every((part, i) => part === parts[i] || fitsPart(part, parts[i] ?? '')),
  );
  const parameters = ({ parts }: (typeof TEMPLATES)[number]) => parts.filter((part) => part.includes('{')).length;
  return fits.toSorted((a, b) => parameters(a) - parameters(b))[0]?.name ?? null;
}

/** `{secret}.ics` fits `abc.ics`. */
function fitsPart(template: string, part: string): boolean {
  const end = template.indexOf('}');
  return template.startsWith('{') && part !== '' && part.endsWith(template.slice(end + 1));
}
