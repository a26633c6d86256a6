import { setLocale, ValidationError } from 'yup';
import { guardText, guardValue } from './guard';
import { migrate, upToDate } from './migrations';
import type { Problem } from './problem';
import { referenceProblems } from './references';
import { FORMAT, MOST, type Question, questionSchema, VERSION } from './schema';

setLocale({
  mixed: { required: 'is missing', defined: 'is missing', notNull: 'may not be null', notType: 'has the wrong type' },
});

export type Parsed = { ok: true; question: Question } | { ok: false; problems: Problem[] };

const MAX_PROBLEMS = 200;

/** Reads a question from JSON text: refused with places and sentences, or complete with every default filled in. */
export function parseQuestionText(text: string): Parsed {
  const guarded = guardText(text);
  if (!guarded.ok) return guarded;
  return parseQuestion(guarded.value);
}

/** Reads a question from a value that came out of JSON. The value itself is never changed. */
export function parseQuestion(value: unknown): Parsed {
  const guarded = guardValue(value);
  if (!guarded.ok) return guarded;
  const header = headerProblems(value);
  if (header.length > 0) return { ok: false, problems: header };
  const document = migrate(value);
  try {
    questionSchema.validateSync(document, { strict: true, abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return { ok: false, problems: problemsOf(error).slice(0, MAX_PROBLEMS) };
  }
  const question = questionSchema.cast(document) as Question;
  const problems = referenceProblems(question);
  return problems.length > 0 ? { ok: false, problems: problems.slice(0, MAX_PROBLEMS) } : { ok: true, question };
}

/**
 * A stored question, which was valid when it was stored, with every field that the format has come to have since.
 * `lang` is the newest: a document that has it has the others.
 */
export const withEveryField = (question: Question): Question =>
  Object.hasOwn(question, 'lang') ? question : (questionSchema.cast(upToDate(question)) as Question);

/**
 * A document of another format or a newer version is refused for that reason alone: everything else follows from it.
 */
function headerProblems(value: unknown): Problem[] {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    return [{ path: '', message: 'A question document has to be a JSON object.' }];
  const { format, version } = value as { format?: unknown; version?: unknown };
  if (format !== undefined && format !== FORMAT)
    return [{ path: 'format', message: `This is not a question document: its format is not "${FORMAT}".` }];
  if (typeof version === 'number' && Number.isInteger(version) && version > VERSION)
    return [
      {
        path: 'version',
        message: `This document is of version ${version}, newer than the version ${VERSION} this program knows.`,
      },
    ];
  const newer = version === 1 ? newerFields(value as Readonly<Record<string, unknown>>) : [];
  if (newer.length > 0)
    return newer.map((path) => ({ path, message: sentence(path, 'is not a field that is known here') }));
  return Object.entries(MOST).flatMap(([name, most]) => {
    const entries = (value as Record<string, unknown>)[name];
    return Array.isArray(entries) && entries.length > most
      ? [{ path: name, message: sentence(name, `has to have at most ${most} entries`) }]
      : [];
  });
}

/** Fields of a document of version 1 that came with version 2. */
function newerFields({ either, pools, marks }: Readonly<Record<string, unknown>>): string[] {
  const inMarks = marks !== null && typeof marks === 'object' ? Object.keys(marks) : [];
  return [
    ...(either === undefined ? [] : ['either']),
    ...(pools === undefined ? [] : ['pools']),
    ...inMarks.flatMap((name) => (name === 'extraCosts' || name === 'misplacedCosts' ? [`marks.${name}`] : [])),
  ];
}

function problemsOf(error: ValidationError): Problem[] {
  const each = error.inner.length > 0 ? error.inner : [error];
  return each.flatMap((problem) => {
    const path = problem.path ?? '';
    const { unknown, at } = (problem.params ?? {}) as { unknown?: string[]; at?: string };
    const paths = unknown ? unknown.map((name) => `${at ?? ''}${name}`) : [path];
    return paths.map((place) => ({ path: place, message: sentence(place, problem.message) }));
  });
}

function sentence(path: string, message: string): string {
  const name = path.split('.').at(-1) || 'The document';
  return `${name.charAt(0).toUpperCase()}${name.slice(1)} ${message}.`;
}
