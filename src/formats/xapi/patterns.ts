import { type QuestionModel, type RightOne, rightOnes, type Zone } from '../../core';
import { amountOf, type Form, sequenceOf } from './form';
import { AND, componentId, RANGE, TO } from './names';

/** So many right answers are written out; of more, one stands for all. */
const MAX_PATTERNS = 20;

export interface Patterns {
  readonly patterns: readonly string[];
  /** They are all that there are. */
  readonly all: boolean;
}

/** The right answers of a question, in the syntax of its kind of interaction. */
export function patternsOf(model: QuestionModel, form: Form): Patterns {
  if (form === 'numeric') return { patterns: amountPattern(model), all: true };
  const { found, all } = rightOnes(model, MAX_PATTERNS);
  // Of a pool each attempt gets some: what is right for all of its items is no attempt's whole answer.
  const isAll = all && model.question.pools.length === 0;
  const written = found.map((right) => writtenFor(model, form, right));
  const patterns = [...new Set(written.flatMap(({ patterns: some }) => some))];
  return isAll && patterns.length <= MAX_PATTERNS && written.every((some) => some.all)
    ? { patterns, all: true }
    : { patterns: patterns.slice(0, 1), all: false };
}

function writtenFor(model: QuestionModel, form: Form, right: RightOne): Patterns {
  const one = (pattern: string) => ({ patterns: [pattern], all: true });
  const item = (index: number) => componentId(model.question.items[index]?.id ?? '');
  const zone = (index: number) => componentId(model.question.zones[index]?.id ?? '');
  if (form === 'fill-in') return typedPatterns(model, right);
  if (form === 'choice') return one(right.flat().map(item).join(AND));
  if (form === 'sequencing') return one((right[sequenceOf(model)?.zone ?? -1] ?? []).map(item).join(AND));
  return one(right.flatMap((held, z) => held.map((index) => `${item(index)}${TO}${zone(z)}`)).join(AND));
}

function amountPattern(model: QuestionModel): string[] {
  const amount = amountOf(model);
  if (!amount || amount.from > amount.to) return [];
  const { from, to } = amount;
  return [from === to ? `${from}` : `${from}${RANGE}${Number.isFinite(to) ? to : ''}`];
}

/** The texts of each gap: every spelling of what is right there, each with each. */
function typedPatterns({ question }: QuestionModel, right: RightOne): Patterns {
  const spellings = question.zones.map(({ typed }, z) => {
    const [item] = right[z] ?? [];
    const id = item === undefined ? undefined : question.items[item]?.id;
    return typed && id !== undefined ? (typed.accept[id] ?? []) : [''];
  });
  const ways = spellings.reduce((n, { length }) => n * length, 1);
  const few = ways <= MAX_PATTERNS ? spellings : spellings.map((some) => some.slice(0, 1));
  const texts = few.reduce<readonly (readonly string[])[]>(
    (begun, some) => begun.flatMap((before) => some.map((text) => [...before, text])),
    [[]],
  );
  const typed = question.zones.flatMap((zone): NonNullable<Zone['typed']>[] => (zone.typed ? [zone.typed] : []));
  const matters = `{case_matters=${typed.some((zone) => zone.case)}}`;
  const lang = question.lang === null ? '' : `{lang=${question.lang}}`;
  return {
    patterns: texts.map((some) => matters + some.map((text) => `${text === '' ? '' : lang}${text}`).join(AND)),
    all: ways <= MAX_PATTERNS,
  };
}
