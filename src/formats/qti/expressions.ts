import { element, elementsOf, textOf, type XmlElement } from './xml';

/**
 * The expressions of response processing (QTI 3.0, Assessment, Section and Item Information Model, section 5:
 * expressions), as a tree. Each is written under its own name with `qti-` before it.
 */
export const OPERATORS = [
  'and',
  'any-n',
  'base-value',
  'container-size',
  'contains',
  'correct',
  'default',
  'delete',
  'divide',
  'equal',
  'equal-rounded',
  'field-value',
  'gcd',
  'gt',
  'gte',
  'index',
  'inside',
  'integer-divide',
  'integer-modulus',
  'integer-to-float',
  'is-null',
  'lcm',
  'lt',
  'lte',
  'map-response',
  'map-response-point',
  'match',
  'math-constant',
  'max',
  'member',
  'min',
  'multiple',
  'not',
  'null',
  'or',
  'ordered',
  'pattern-match',
  'power',
  'product',
  'repeat',
  'round',
  'round-to',
  'string-match',
  'substring',
  'subtract',
  'sum',
  'truncate',
  'variable',
] as const;
export type Operator = (typeof OPERATORS)[number];
const KNOWN: ReadonlySet<string> = new Set(OPERATORS);

export interface Expression {
  readonly operator: Operator;
  readonly attributes: Readonly<Record<string, string>>;
  readonly operands: readonly Expression[];
  /** Of a `base-value`: what stands in it. */
  readonly text: string;
}

/** A step of response processing: an outcome is set, or the first branch that holds is taken. */
export type Step =
  | { readonly step: 'set'; readonly outcome: string; readonly to: Expression }
  | { readonly step: 'choose'; readonly branches: readonly Branch[]; readonly otherwise: readonly Step[] }
  | { readonly step: 'exit' };
export interface Branch {
  readonly when: Expression;
  readonly does: readonly Step[];
}

export type BaseType = 'boolean' | 'directedPair' | 'float' | 'identifier' | 'integer' | 'pair' | 'point' | 'string';

const made = (
  operator: Operator,
  operands: readonly Expression[],
  attributes: Readonly<Record<string, string>> = {},
  text = '',
): Expression => ({ operator, operands, attributes, text });

const value = (type: BaseType, text: string): Expression => made('base-value', [], { 'base-type': type }, text);
export const integer = (n: number): Expression => value('integer', String(n));
export const float = (n: number): Expression => value('float', String(n));
export const named = (identifier: string): Expression => value('identifier', identifier);
export const directedPair = (source: string, target: string): Expression =>
  value('directedPair', `${source} ${target}`);
export const variable = (identifier: string): Expression => made('variable', [], { identifier });

export const sum = (...terms: readonly Expression[]): Expression =>
  terms.length === 1 ? (terms[0] as Expression) : made('sum', terms);
export const product = (...factors: readonly Expression[]): Expression => made('product', factors);
export const subtract = (from: Expression, what: Expression): Expression => made('subtract', [from, what]);
export const divide = (what: Expression, by: Expression): Expression => made('divide', [what, by]);
export const least = (...of: readonly Expression[]): Expression => made('min', of);
export const greatest = (...of: readonly Expression[]): Expression => made('max', of);
/** The whole part of a number that is not below 0. */
export const truncate = (of: Expression): Expression => made('truncate', [of]);

export const and = (...of: readonly Expression[]): Expression =>
  of.length === 1 ? (of[0] as Expression) : made('and', of);
export const or = (...of: readonly Expression[]): Expression =>
  of.length === 1 ? (of[0] as Expression) : made('or', of);
/** At least `some` of them. */
export const anyOf = (some: number, of: readonly Expression[]): Expression =>
  made('any-n', of, { min: String(some), max: String(of.length) });
export const not = (of: Expression): Expression => made('not', [of]);
export const isNull = (of: Expression): Expression => made('is-null', [of]);
export const match = (a: Expression, b: Expression): Expression => made('match', [a, b]);
export const member = (of: Expression, container: Expression): Expression => made('member', [of, container]);
export const gt = (a: Expression, b: Expression): Expression => made('gt', [a, b]);
export const gte = (a: Expression, b: Expression): Expression => made('gte', [a, b]);
export const lte = (a: Expression, b: Expression): Expression => made('lte', [a, b]);
export const containerSize = (of: Expression): Expression => made('container-size', [of]);
/** The `n`th of an ordered container, from 1; null where it holds fewer. */
export const at = (n: number, of: Expression): Expression => made('index', [of], { n: String(n) });
/** A point in a shape, its edge included. */
export const inside = ({ shape, coords }: { shape: string; coords: string }, of: Expression): Expression =>
  made('inside', [of], { shape, coords });
/** A text that as a whole fits a regular expression of XML Schema. */
export const patternMatch = (pattern: string, of: Expression): Expression => made('pattern-match', [of], { pattern });

export const set = (outcome: string, to: Expression): Step => ({ step: 'set', outcome, to });
export const when = (condition: Expression, ...does: readonly Step[]): Step => ({
  step: 'choose',
  branches: [{ when: condition, does }],
  otherwise: [],
});
/** The first branch that holds. */
export const choose = (branches: readonly Branch[], otherwise: readonly Step[] = []): Step => ({
  step: 'choose',
  branches,
  otherwise,
});

const writtenExpression = ({ operator, attributes, operands, text }: Expression): XmlElement =>
  element(`qti-${operator}`, attributes, operator === 'base-value' ? [text] : operands.map(writtenExpression));

function writtenStep(step: Step): XmlElement {
  switch (step.step) {
    case 'set':
      return element('qti-set-outcome-value', { identifier: step.outcome }, [writtenExpression(step.to)]);
    case 'exit':
      return element('qti-exit-response');
    case 'choose':
      return element('qti-response-condition', {}, [
        ...step.branches.map(({ when: condition, does }, i) =>
          element(i === 0 ? 'qti-response-if' : 'qti-response-else-if', {}, [
            writtenExpression(condition),
            ...does.map(writtenStep),
          ]),
        ),
        ...(step.otherwise.length > 0 ? [element('qti-response-else', {}, step.otherwise.map(writtenStep))] : []),
      ]);
  }
}

/** Response processing as it stands in an item. */
export const writtenProcessing = (steps: readonly Step[]): XmlElement =>
  element('qti-response-processing', {}, steps.map(writtenStep));

/** Something in response processing that is not known here. */
export class UnknownProcessing extends Error {}

/** `setOutcomeValue` of QTI 2 and `qti-set-outcome-value` of QTI 3 as one name. */
export const plainName = (name: string): string =>
  name.startsWith('qti-')
    ? name.slice('qti-'.length)
    : name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`).replace(/^-/, '');

/** Attributes as QTI 3 names them: `baseType` of QTI 2 is `base-type`. */
export const plainAttributes = (attributes: Readonly<Record<string, string>>): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(attributes).map(([name, text]) => [name.includes(':') ? name : plainName(name), text]),
  );

export function readExpression(of: XmlElement): Expression {
  const operator = plainName(of.name);
  if (!KNOWN.has(operator)) throw new UnknownProcessing(`There is no expression ${of.name} here.`);
  return made(
    operator as Operator,
    operator === 'base-value' ? [] : elementsOf(of).map(readExpression),
    plainAttributes(of.attributes),
    operator === 'base-value' ? textOf(of).trim() : '',
  );
}

function readStep(of: XmlElement): Step {
  const name = plainName(of.name);
  const [first] = elementsOf(of);
  switch (name) {
    case 'set-outcome-value':
      if (!first) throw new UnknownProcessing('An outcome is set to nothing.');
      return set(of.attributes.identifier ?? '', readExpression(first));
    case 'exit-response':
      return { step: 'exit' };
    case 'response-condition': {
      const branches: Branch[] = [];
      let otherwise: readonly Step[] = [];
      for (const branch of elementsOf(of)) {
        const [condition, ...steps] = elementsOf(branch);
        if (plainName(branch.name) === 'response-else') otherwise = elementsOf(branch).map(readStep);
        else if (condition) branches.push({ when: readExpression(condition), does: steps.map(readStep) });
      }
      return choose(branches, otherwise);
    }
    default:
      throw new UnknownProcessing(`There is no step ${of.name} of response processing here.`);
  }
}

/** Reads written-out response processing; throws {@link UnknownProcessing} for what is not known here. */
export const readProcessing = (of: XmlElement): readonly Step[] => elementsOf(of).map(readStep);
