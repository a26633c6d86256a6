import { type Expression, readProcessing, type Step } from '../../src/formats/qti/expressions';
import { isInside } from '../../src/formats/qti/shapes';
import { childNamed, childrenNamed, readXml, textOf, type XmlElement } from '../../src/formats/qti/xml';

/**
 * A slow interpreter of response processing, by the text of QTI 3.0 (ASI information model, sections 5 and 6): a value
 * is a list of texts, numbers, truths and points with its cardinality, or null.
 */
type Single = string | number | boolean;
interface Value {
  readonly cardinality: 'single' | 'multiple' | 'ordered';
  readonly type: string;
  readonly values: readonly Single[];
}
type Found = Value | null;

const single = (type: string, value: Single): Value => ({ cardinality: 'single', type, values: [value] });
const truth = (value: boolean | null): Found => (value === null ? null : single('boolean', value));
const isNumeric = (type: string) => type === 'integer' || type === 'float';

function parsed(type: string, text: string): Single {
  if (isNumeric(type)) return Number(text);
  if (type === 'boolean') return text === 'true';
  return type === 'string' ? text : text.trim().replace(/\s+/g, ' ');
}

interface Declared {
  readonly cardinality: Value['cardinality'];
  readonly type: string;
  readonly start: Found;
  readonly mapping: XmlElement | undefined;
}

function declared(of: XmlElement): [string, Declared] {
  const { identifier = '', cardinality = 'single', 'base-type': type = 'string' } = of.attributes;
  const values = childNamed(of, 'qti-default-value');
  const start = values ? childrenNamed(values, 'qti-value').map((value) => parsed(type, textOf(value))) : [];
  const kind = cardinality as Value['cardinality'];
  return [
    identifier,
    {
      cardinality: kind,
      type,
      start: start.length > 0 ? { cardinality: kind, type, values: start } : null,
      mapping: childNamed(of, 'qti-mapping'),
    },
  ];
}

class Exit extends Error {}

/** An item made ready: runs its response processing on responses, by their identifiers, and gives its outcomes. */
export function interpreterOf(
  xml: string,
): (responses: ReadonlyMap<string, readonly string[]>) => ReadonlyMap<string, Single | null> {
  const read = readXml(xml);
  if (!read.ok) throw new Error(read.message);
  const item = read.root;
  const responseDeclarations = new Map(childrenNamed(item, 'qti-response-declaration').map(declared));
  const outcomeDeclarations = new Map(childrenNamed(item, 'qti-outcome-declaration').map(declared));
  const processing = childNamed(item, 'qti-response-processing');
  const steps = processing ? readProcessing(processing) : [];
  return (responses) => {
    const state = new Map<string, Found>();
    for (const [identifier, { cardinality, type }] of responseDeclarations) {
      const values = responses.get(identifier) ?? [];
      const isNull = values.length === 0 || (type === 'string' && cardinality === 'single' && values[0] === '');
      state.set(identifier, isNull ? null : { cardinality, type, values: values.map((text) => parsed(type, text)) });
    }
    for (const identifier of responses.keys())
      if (!responseDeclarations.has(identifier)) throw new Error(`There is no response ${identifier}`);
    for (const [identifier, { start, type }] of outcomeDeclarations)
      state.set(identifier, start ?? (isNumeric(type) ? single(type, 0) : null));
    try {
      run(steps, state, responseDeclarations, outcomeDeclarations);
    } catch (error) {
      if (!(error instanceof Exit)) throw error;
    }
    return new Map([...outcomeDeclarations.keys()].map((name) => [name, state.get(name)?.values[0] ?? null]));
  };
}

/** `state` is changed in place. */
function run(
  steps: readonly Step[],
  state: Map<string, Found>,
  responses: ReadonlyMap<string, Declared>,
  outcomes: ReadonlyMap<string, Declared>,
): void {
  for (const step of steps) {
    if (step.step === 'exit') throw new Exit();
    if (step.step === 'set') {
      const to = outcomes.get(step.outcome);
      if (!to) throw new Error(`There is no outcome ${step.outcome}`);
      const value = evaluated(step.to, state, responses);
      state.set(step.outcome, value && { ...value, type: to.type });
    } else {
      const taken = step.branches.find(({ when }) => {
        const holds = evaluated(when, state, responses);
        if (holds !== null && holds.type !== 'boolean') throw new Error('A condition is no truth');
        return holds?.values[0] === true;
      });
      run(taken ? taken.does : step.otherwise, state, responses, outcomes);
    }
  }
}

/** True by three-valued logic: false wins over null, and null over true. */
function allOf(of: readonly Found[]): boolean | null {
  if (of.some((value) => value !== null && value.values[0] === false)) return false;
  return of.some((value) => value === null) ? null : true;
}
const inverted = (value: Found): Found => truth(value === null ? null : value.values[0] !== true);

function sameValue(a: Value, b: Value): boolean {
  if (a.cardinality !== b.cardinality || a.values.length !== b.values.length) return false;
  if (a.cardinality !== 'multiple') return a.values.every((value, i) => value === b.values[i]);
  const left = [...b.values];
  return a.values.every((value) => {
    const at = left.indexOf(value);
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  });
}

function evaluated(
  of: Expression,
  state: ReadonlyMap<string, Found>,
  declarations: ReadonlyMap<string, Declared>,
): Found {
  const { operator, attributes, text } = of;
  const operands = of.operands.map((operand) => evaluated(operand, state, declarations));
  const [a = null, b = null] = operands;
  const numbers = operands.every((value) => value !== null)
    ? (operands as Value[]).flatMap(({ values }) => values as number[])
    : null;
  const anyFloat = operands.some((value) => value?.type === 'float');
  const number = (value: number | null, type = anyFloat ? 'float' : 'integer'): Found =>
    value === null || !Number.isFinite(value) ? null : single(type, value);
  const compared = (holds: (x: number, y: number) => boolean): Found =>
    numbers ? truth(holds(numbers[0] as number, numbers[1] as number)) : null;
  switch (operator) {
    case 'base-value':
      return single(attributes['base-type'] ?? 'string', parsed(attributes['base-type'] ?? 'string', text));
    case 'variable': {
      const name = attributes.identifier ?? '';
      if (!state.has(name)) throw new Error(`There is no variable ${name}`);
      return state.get(name) ?? null;
    }
    case 'null':
      return null;
    case 'is-null':
      return truth(a === null || a.values.length === 0);
    case 'not':
      return inverted(a);
    case 'and':
      return truth(allOf(operands));
    case 'or':
      return inverted(truth(allOf(operands.map(inverted))));
    case 'any-n': {
      const holding = operands.filter((value) => value?.values[0] === true).length;
      const open = operands.filter((value) => value === null).length;
      const [least, most] = [Number(attributes.min), Number(attributes.max)];
      if (holding + open < least || holding > most) return truth(false);
      return truth(holding >= least && holding + open <= most ? true : null);
    }
    case 'match':
      return a && b ? truth(sameValue(a, b)) : null;
    case 'member':
      return a && b ? truth(b.values.includes(a.values[0] as Single)) : null;
    case 'container-size':
      return single('integer', a?.values.length ?? 0);
    case 'index':
      return a && a.values.length >= Number(attributes.n)
        ? single(a.type, a.values[Number(attributes.n) - 1] as Single)
        : null;
    case 'inside':
      return a
        ? truth(
            a.values.some((point) => {
              const [x = 0, y = 0] = String(point).split(' ').map(Number);
              return isInside({ shape: attributes.shape ?? '', coords: attributes.coords ?? '' }, x, y);
            }),
          )
        : null;
    case 'pattern-match':
      return a ? truth(new RegExp(`^(?:${attributes.pattern})$`, 'u').test(String(a.values[0]))) : null;
    case 'sum':
      return number(numbers?.reduce((all, n) => all + n, 0) ?? null);
    case 'product':
      return number(numbers?.reduce((all, n) => all * n, 1) ?? null);
    case 'subtract':
      return number(numbers ? (numbers[0] as number) - (numbers[1] as number) : null);
    case 'divide':
      return number(numbers ? (numbers[0] as number) / (numbers[1] as number) : null, 'float');
    case 'min':
      return number(numbers ? Math.min(...numbers) : null);
    case 'max':
      return number(numbers ? Math.max(...numbers) : null);
    case 'truncate':
      return number(numbers ? Math.trunc(numbers[0] as number) : null, 'integer');
    case 'round':
      return number(numbers ? Math.floor((numbers[0] as number) + 0.5) : null, 'integer');
    case 'gt':
      return compared((x, y) => x > y);
    case 'gte':
      return compared((x, y) => x >= y);
    case 'lt':
      return compared((x, y) => x < y);
    case 'lte':
      return compared((x, y) => x <= y);
    case 'map-response':
      return mapped(attributes.identifier ?? '', state, declarations);
    default:
      throw new Error(`This interpreter has no ${operator}`);
  }
}

function mapped(name: string, state: ReadonlyMap<string, Found>, declarations: ReadonlyMap<string, Declared>): Found {
  const mapping = declarations.get(name)?.mapping;
  if (!mapping) throw new Error(`${name} has no mapping`);
  const rest = Number(mapping.attributes['default-value'] ?? 0);
  const entries = childrenNamed(mapping, 'qti-map-entry').map(({ attributes }) => attributes);
  const worth = (value: Single) => {
    const entry = entries.find((candidate) =>
      candidate['case-sensitive'] === 'false'
        ? candidate['map-key']?.toLowerCase() === String(value).toLowerCase()
        : candidate['map-key'] === String(value),
    );
    return entry ? Number(entry['mapped-value']) : rest;
  };
  const all = (state.get(name)?.values ?? []).reduce<number>((sum, value) => sum + worth(value), 0);
  const { 'lower-bound': low = '-Infinity', 'upper-bound': high = 'Infinity' } = mapping.attributes;
  return single('float', Math.min(Number(high), Math.max(Number(low), all)));
}
