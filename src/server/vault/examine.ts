import {
  applyAll,
  countFindings,
  type Edit,
  EditMismatch,
  type FindingCounts,
  findings,
  type Kind,
  type Problem,
  type Question,
  questionModel,
} from '../../core';
import { parseQuestion } from '../../core/document';
import type { Context } from '../context';
import { fail, ok, type Result } from '../errors';
import { wordsOf } from './words';

/** A valid question with the columns that are stored beside it. */
export interface Examined {
  readonly id: string;
  readonly title: string;
  readonly kind: Kind;
  /** The document as JSON text, as it is stored: cheaper to pass between threads than an object. */
  readonly text: string;
  readonly findings: FindingCounts;
  readonly words: string;
  /** The hashes of its media. */
  readonly media: readonly string[];
}
export type Examining =
  | { readonly ok: true; readonly value: Examined }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Characters of a document as it is stored. */
const MAX_TEXT = 2_000_000;

/** Validates a document and works out the columns stored beside it. */
export function examineQuestion({ document }: { readonly document: unknown }): Examining {
  const parsed = parseQuestion(document);
  return parsed.ok ? examinedFrom(parsed.question) : parsed;
}

/** The same for a document after edits. */
export function editDocument({
  document,
  edits,
}: {
  readonly document: Question;
  readonly edits: readonly Edit[];
}): Examining {
  try {
    return examineQuestion({ document: applyAll(document, edits) });
  } catch (error) {
    if (error instanceof EditMismatch)
      return { ok: false, problems: [{ path: 'edits', message: `${error.message}.` }] };
    throw error;
  }
}

function examinedFrom(question: Question): Examining {
  const text = JSON.stringify(question);
  if (text.length > MAX_TEXT)
    return {
      ok: false,
      problems: [{ path: '', message: 'This question is larger than two million characters: make two of it.' }],
    };
  const { id, title, kind } = question;
  const media = [...new Set(Object.values(question.media).map(({ hash }) => hash))];
  return {
    ok: true,
    value: {
      id,
      title,
      kind,
      text,
      findings: countFindings(findings(questionModel(question))),
      words: wordsOf(question),
      media,
    },
  };
}

/** A stored document, with defaults for fields that are newer than it. */
export function completeDocument({ document }: { readonly document: unknown }): Question | null {
  const parsed = parseQuestion(document);
  return parsed.ok ? parsed.question : null;
}

/** The same, in a worker thread if it is large. A document that is not valid any more is returned as it is. */
export async function completed({ work }: Pick<Context, 'work'>, document: Question): Promise<Question> {
  if (isSmall(document)) return completeDocument({ document }) ?? document;
  const worked = await work.run('completeDocument', { document }, EXAMINE_MS);
  return (worked.ok ? worked.value : null) ?? document;
}

/** Smaller questions (by items times zones, and by entries) are examined in less time than asking a thread takes. */
const SMALL_PAIRS = 600;
const SMALL_ENTRIES = 150;

/** True if the document is small enough for the request thread. */
export function isSmall(document: unknown): boolean {
  const { items, zones, key, fixtures } = (document ?? {}) as Record<string, unknown>;
  const sizes = [items, zones, key, fixtures].map((list) => (Array.isArray(list) ? list.length : 0)) as [
    number,
    number,
    number,
    number,
  ];
  const [nItems, nZones] = sizes;
  return nItems * nZones <= SMALL_PAIRS && sizes.reduce((sum, n) => sum + n, 0) <= SMALL_ENTRIES;
}

/** The most that a small batch of edits can add. */
const SMALL_EDITS = 60;
const EXAMINE_MS = 15_000;
const TOO_HARD = { problems: [{ path: '', message: 'This question takes too long to look through: make two of it.' }] };

/** Validates a document, in a worker thread if it is large. */
export async function examined({ work }: Pick<Context, 'work'>, document: unknown): Promise<Result<Examined>> {
  const known = isSmall(document) ? examineQuestion({ document }) : null;
  return known ? resultOf(known) : fromWork(await work.run('examineQuestion', { document }, EXAMINE_MS));
}

/** The same for a document after edits. */
export async function edited(
  { work }: Pick<Context, 'work'>,
  document: Question,
  edits: readonly Edit[],
): Promise<Result<Examined>> {
  if (isSmall(document) && edits.length <= SMALL_EDITS) return resultOf(editDocument({ document, edits }));
  return fromWork(await work.run('editDocument', { document, edits }, EXAMINE_MS));
}

const resultOf = (examining: Examining): Result<Examined> =>
  examining.ok ? ok(examining.value) : fail('invalid', { problems: examining.problems });

function fromWork(worked: Awaited<ReturnType<Context['work']['run']>>): Result<Examined> {
  if (!worked.ok) return worked.reason === 'busy' ? fail('busy') : fail('invalid', TOO_HARD);
  return resultOf(worked.value as Examining);
}
