import { array, mixed, number, object, string } from 'yup';
import { parse } from '../csv';

// Learning outcomes: a `CFPackage` of CASE 1.0 (JSON), or a list of codes, words and parents.

export interface OutcomeIn {
  /** What it is known by: the identifier of CASE, else its code. */
  readonly key: string;
  readonly code: string;
  readonly words: string;
  /** The keys of those above it, the first of which it stands under; none: it stands at the top. */
  readonly parents: readonly string[];
}

export interface OutcomeProblem {
  /** The line of a list, or the place in a package; empty: the whole. */
  readonly where: string;
  readonly message: string;
}

export interface OutcomesIn {
  /** Null: a list, which does not say what it is. */
  readonly document: { readonly identifier: string; readonly title: string } | null;
  /** Those above come before those below, in the order in which they stand. */
  readonly outcomes: readonly OutcomeIn[];
  /** What is kept otherwise than it was said. */
  readonly notes: readonly string[];
  /** With problems nothing is taken. */
  readonly problems: readonly OutcomeProblem[];
}

const MAX_OUTCOMES = 20_000;
const MAX_WORDS = 5000;
const MAX_CODE = 200;

const nothing = (where: string, message: string): OutcomesIn => ({
  ...{ document: null, outcomes: [], notes: [] },
  problems: [{ where, message }],
});

/** Reads outcomes from a text: JSON is a package of CASE, everything else a list. */
export function readOutcomes(text: string): OutcomesIn {
  const trimmed = text.replace(/^\uFEFF/, '').trimStart();
  return trimmed.startsWith('{') || trimmed.startsWith('[') ? readPackage(trimmed) : readList(text);
}

const node = object({ identifier: string().required() }).required();
const packageRead = object({
  CFDocument: object({ identifier: string().required(), title: string().required() }).required(),
  CFItems: array(
    object({
      identifier: string().required(),
      fullStatement: string().required(),
      humanCodingScheme: string().nullable(),
    }).required(),
  ).required(),
  CFAssociations: array(
    object({
      associationType: string().required(),
      sequenceNumber: number().nullable(),
      originNodeURI: node,
      destinationNodeURI: node,
    }).required(),
  ).default([]),
  CFDefinitions: mixed(),
});

function readPackage(text: string): OutcomesIn {
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch (error) {
    return nothing('', `This is not JSON: ${(error as Error).message}`);
  }
  let read: typeof packageRead.__outputType;
  try {
    read = packageRead.validateSync(given, { strict: true, abortEarly: true });
  } catch (error) {
    const { path = '', message } = error as { path?: string; message: string };
    return nothing(path, `This is no package of CASE 1.0: ${message}.`);
  }
  const { CFDocument: document, CFItems: items, CFAssociations: associations } = read;
  if (items.length > MAX_OUTCOMES) return nothing('CFItems', `At most ${MAX_OUTCOMES} outcomes are taken.`);
  const notes: string[] = [];
  const problems: OutcomeProblem[] = [];
  const known = new Map(items.map((item) => [item.identifier, item]));
  for (const [i, { identifier, fullStatement }] of items.entries()) {
    if (known.get(identifier) !== items[i])
      problems.push({ where: `CFItems[${i}].identifier`, message: `“${identifier}” stands twice.` });
    if (identifier.length > 255)
      problems.push({ where: `CFItems[${i}].identifier`, message: 'It is longer than 255 characters.' });
    if (fullStatement.length > MAX_WORDS)
      problems.push({ where: `CFItems[${i}].fullStatement`, message: `It is longer than ${MAX_WORDS} characters.` });
  }
  // A lower number stands first; without one, as they are listed.
  const children = associations
    .filter(({ associationType }) => associationType === 'isChildOf')
    .map((association, i) => ({ ...association, place: association.sequenceNumber ?? Number.POSITIVE_INFINITY, i }))
    .toSorted((a, b) => (a.place === b.place ? a.i - b.i : a.place - b.place));
  const parents = new Map<string, string[]>();
  const placeOf = new Map<string, number>();
  for (const [place, { originNodeURI: child, destinationNodeURI: parent }] of children.entries()) {
    if (!known.has(child.identifier)) continue;
    if (!placeOf.has(child.identifier)) placeOf.set(child.identifier, place);
    // The document itself is the top.
    if (parent.identifier === document.identifier) continue;
    if (!known.has(parent.identifier)) {
      notes.push(
        `“${nameOf(known.get(child.identifier))}” is said to stand under something that is not in the package.`,
      );
      continue;
    }
    const above = parents.get(child.identifier) ?? [];
    if (!above.includes(parent.identifier)) parents.set(child.identifier, [...above, parent.identifier]);
  }
  const others = associations.filter(({ associationType }) => associationType !== 'isChildOf').length;
  if (others > 0) notes.push(`${others} associations of other kinds than isChildOf are left out.`);
  const outcomes = items.map(({ identifier, humanCodingScheme, fullStatement }): OutcomeIn => {
    const above = parents.get(identifier) ?? [];
    if (above.length > 1)
      notes.push(
        `“${nameOf(known.get(identifier))}” stands under ${above.length} others: it is shown under the first, “${nameOf(known.get(above[0] ?? ''))}”.`,
      );
    return {
      ...{ key: identifier, code: (humanCodingScheme ?? '').slice(0, MAX_CODE), words: fullStatement },
      parents: above,
    };
  });
  const sorted = outcomes.toSorted((a, b) => (placeOf.get(a.key) ?? Infinity) - (placeOf.get(b.key) ?? Infinity));
  return { document, ...inTree(sorted, notes), problems };
}

const nameOf = (item: { humanCodingScheme?: string | null | undefined; fullStatement: string } | undefined): string =>
  item?.humanCodingScheme || (item?.fullStatement.slice(0, 60) ?? '');

/** A list: code, words and the code of its parent, a line each, with or without a line of headings. */
function readList(text: string): OutcomesIn {
  const rows = parse(text).filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const [first, ...rest] = rows;
  const isHeading = first?.cells[0]?.trim().toLowerCase() === 'code';
  const lines = isHeading ? rest : rows;
  if (lines.length > MAX_OUTCOMES) return nothing('', `At most ${MAX_OUTCOMES} outcomes are taken.`);
  if (lines.length === 0) return nothing('', 'There is nothing in this list.');
  const problems: OutcomeProblem[] = [];
  const lineOf = new Map<string, number>();
  const outcomes = lines.flatMap(({ line, cells }): OutcomeIn[] => {
    const [code = '', words = '', parent = ''] = cells.map((cell) => cell.trim());
    const say = (message: string) => problems.push({ where: `line ${line}`, message });
    if (cells.length > 3) say('It has more than a code, words and a parent: words with a comma need quotes.');
    else if (code === '') say('It has no code.');
    else if (words === '') say('It has no words.');
    else if (code.length > MAX_CODE) say(`Its code is longer than ${MAX_CODE} characters.`);
    else if (words.length > MAX_WORDS) say(`Its words are longer than ${MAX_WORDS} characters.`);
    else if (lineOf.has(code)) say(`The code “${code}” stands on line ${lineOf.get(code)} too.`);
    else {
      lineOf.set(code, line);
      return [{ key: code, code, words, parents: parent === '' ? [] : [parent] }];
    }
    return [];
  });
  for (const { code, parents } of outcomes)
    for (const parent of parents)
      if (!lineOf.has(parent))
        problems.push({ where: `line ${lineOf.get(code)}`, message: `There is no “${parent}” to stand under.` });
  return { document: null, ...inTree(outcomes, []), problems };
}

/** Those above before those below; who would stand above themselves stands at the top. */
function inTree(outcomes: readonly OutcomeIn[], notes: string[]): Pick<OutcomesIn, 'outcomes' | 'notes'> {
  const byKey = new Map(outcomes.map((outcome) => [outcome.key, outcome]));
  const isCircular = (start: OutcomeIn): boolean => {
    const seen = new Set<string>();
    for (let at: OutcomeIn | undefined = start; at; at = byKey.get(at.parents[0] ?? '')) {
      if (seen.has(at.key)) return true;
      seen.add(at.key);
    }
    return false;
  };
  const upright = outcomes.map((outcome) => {
    if (!isCircular(outcome)) return outcome;
    notes.push(`“${outcome.code || outcome.words.slice(0, 60)}” would stand under itself: it stands at the top.`);
    byKey.set(outcome.key, { ...outcome, parents: [] });
    return { ...outcome, parents: [] };
  });
  const below = new Map<string, OutcomeIn[]>();
  for (const outcome of upright) {
    const parent = outcome.parents[0];
    const at = parent !== undefined && byKey.has(parent) ? parent : '';
    below.set(at, [...(below.get(at) ?? []), outcome]);
  }
  const sorted: OutcomeIn[] = [];
  const waiting = [...(below.get('') ?? [])].reverse();
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    sorted.push(next);
    waiting.push(...[...(below.get(next.key) ?? [])].reverse());
  }
  return { outcomes: sorted, notes };
}
