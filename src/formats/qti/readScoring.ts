import { type Branch, type Expression, readProcessing, type Step, UnknownProcessing } from './expressions';
import { SCORE } from './names';
import type { DeclaredResponse } from './plainTree';
import type { XmlElement } from './xml';

/** What scores one response. */
export type ScoredBy =
  | { readonly by: 'correct'; readonly worth: number }
  | { readonly by: 'mapping' }
  | { readonly by: 'areas' }
  /** Values that are compared with one after another, and what each is worth. */
  | { readonly by: 'values'; readonly worth: ReadonlyMap<string, number> };

/** How an item is scored, as far as it is a rule of ours. */
export interface ReadScoring {
  readonly responses: ReadonlyMap<string, ScoredBy>;
  /** All responses have to be right, or nothing is earned. */
  readonly allOrNothing: boolean;
  /** False: it is written in a way that is not read here. */
  readonly understood: boolean;
}

const TEMPLATES: Readonly<Record<string, ScoredBy>> = {
  match_correct: { by: 'correct', worth: 1 },
  map_response: { by: 'mapping' },
  map_response_point: { by: 'areas' },
};

class NotARule extends Error {}

/** Reads how an item of several responses is scored: by a standard template, or as its processing is written out. */
export function readScoring(
  processing: XmlElement | undefined,
  responses: ReadonlyMap<string, DeclaredResponse>,
): ReadScoring {
  const [first] = responses.keys();
  if (!processing) return fallback(responses, true);
  const template = (processing.attributes.template ?? '')
    .split('/')
    .at(-1)
    ?.replace(/\.xml$/, '');
  const known = TEMPLATES[template ?? ''];
  if (known && first !== undefined)
    return {
      responses: new Map([[responses.has('RESPONSE') ? 'RESPONSE' : first, known]]),
      allOrNothing: false,
      understood: true,
    };
  try {
    return writtenOut(readProcessing(processing));
  } catch (error) {
    if (error instanceof NotARule || error instanceof UnknownProcessing) return fallback(responses, false);
    throw error;
  }
}

/** By the mapping where there is one, else by what is declared as correct. */
const fallback = (responses: ReadonlyMap<string, DeclaredResponse>, understood: boolean): ReadScoring => ({
  responses: new Map(
    [...responses].map(([identifier, { mapping, areas }]): [string, ScoredBy] => [
      identifier,
      mapping ? { by: 'mapping' } : areas ? { by: 'areas' } : { by: 'correct', worth: 1 },
    ]),
  ),
  allOrNothing: false,
  understood,
});

function writtenOut(steps: readonly Step[]): ReadScoring {
  const responses = new Map<string, ScoredBy>();
  let allOrNothing = false;
  const add = (identifier: string, by: ScoredBy) => {
    const before = responses.get(identifier);
    if (before?.by === 'values' && by.by === 'values')
      responses.set(identifier, { by: 'values', worth: new Map([...before.worth, ...by.worth]) });
    else if (before) throw new NotARule();
    else responses.set(identifier, by);
  };
  /** What is earned where a branch is taken; null: it does not set the score. */
  const earnedIn = (does: readonly Step[]): number | null => {
    const scored = does.filter((step) => step.step !== 'set' || step.outcome === SCORE);
    if (scored.length === 0) return null;
    const [step] = scored;
    if (scored.length > 1 || step?.step !== 'set') throw new NotARule();
    const literal = (of: Expression): number => {
      if (of.operator === 'base-value' && Number.isFinite(Number(of.text))) return Number(of.text);
      if (of.operator === 'sum')
        return of.operands.filter((term) => !isScore(term)).reduce((all, term) => all + literal(term), 0);
      throw new NotARule();
    };
    return literal(step.to);
  };
  const takeBranch = ({ when, does }: Branch) => {
    const worth = earnedIn(does);
    if (worth === null) return;
    const rights = allRight(when);
    if (rights.length > 1) {
      if (rights.some(({ values }) => values)) throw new NotARule();
      allOrNothing = true;
      for (const { identifier } of rights) add(identifier, { by: 'correct', worth: worth / rights.length });
      return;
    }
    const [right] = rights;
    if (!right) throw new NotARule();
    if (right.values)
      add(right.identifier, { by: 'values', worth: new Map(right.values.map((value) => [value, worth])) });
    else add(right.identifier, { by: 'correct', worth });
  };
  const take = (step: Step): void => {
    if (step.step === 'exit') return;
    if (step.step === 'set') {
      if (step.outcome === SCORE) for (const [identifier, by] of termsOf(step.to)) add(identifier, by);
      return;
    }
    const branches = step.branches.filter(({ when }) => !isNullTest(when));
    const guarded = step.branches.length - branches.length;
    const isGuard = step.branches.every(({ when }) => isNullTest(when) || isAnsweredTest(when));
    if (isGuard) {
      for (const { when, does } of step.branches) if (isAnsweredTest(when)) does.forEach(take);
      if (guarded > 0) step.otherwise.forEach(take);
      return;
    }
    branches.forEach(takeBranch);
    const rest = earnedIn(step.otherwise);
    if (rest !== null && rest !== 0) throw new NotARule();
  };
  steps.forEach(take);
  if (responses.size === 0) throw new NotARule();
  return { responses, allOrNothing, understood: true };
}

const isScore = ({ operator, attributes }: Expression) => operator === 'variable' && attributes.identifier === SCORE;
const isNullTest = ({ operator, operands }: Expression) =>
  operator === 'is-null' && operands[0]?.operator === 'variable';
const isAnsweredTest = ({ operator, operands }: Expression) =>
  operator === 'not' && operands[0] !== undefined && isNullTest(operands[0]);

/** The responses whose mappings are added up. */
function termsOf(of: Expression): readonly (readonly [string, ScoredBy])[] {
  const { operator, attributes, operands } = of;
  if (isScore(of)) return [];
  if (operator === 'base-value' && Number(of.text) === 0) return [];
  if (operator === 'map-response') return [[attributes.identifier ?? '', { by: 'mapping' }]];
  if (operator === 'map-response-point') return [[attributes.identifier ?? '', { by: 'areas' }]];
  if (operator === 'sum') return operands.flatMap(termsOf);
  throw new NotARule();
}

interface Right {
  readonly identifier: string;
  /** The values that are right; left out: what is declared as correct. */
  readonly values?: readonly string[];
}

/** The responses that a condition wants right, all of them. */
function allRight({ operator, operands }: Expression): readonly Right[] {
  if (operator === 'and') return operands.filter((part) => !isAnsweredTest(part)).flatMap(allRight);
  if (operator === 'or') {
    const rights = operands.flatMap(allRight);
    const [first] = rights;
    if (!first || rights.some(({ identifier, values }) => identifier !== first.identifier || !values))
      throw new NotARule();
    return [{ identifier: first.identifier, values: rights.flatMap(({ values }) => values ?? []) }];
  }
  if (operator !== 'match' && operator !== 'equal' && operator !== 'string-match') throw new NotARule();
  const [a, b] = operands;
  const [response, other] = a?.operator === 'variable' ? [a, b] : [b, a];
  if (response?.operator !== 'variable' || !other) throw new NotARule();
  const identifier = response.attributes.identifier ?? '';
  if (other.operator === 'correct' && other.attributes.identifier === identifier) return [{ identifier }];
  if (other.operator === 'base-value') return [{ identifier, values: [other.text] }];
  throw new NotARule();
}
