import type { QuestionModel } from '../../core';

type EntryModel = QuestionModel['entries'][number];

/** How a question is answered, in the terms of the standard. */
export type Form = 'choice' | 'fill-in' | 'matching' | 'numeric' | 'other' | 'sequencing';

/** The standard’s kind of interaction for a question. */
export function formOf(model: QuestionModel): Form {
  const { question } = model;
  const typed = question.zones.filter((zone) => zone.typed);
  if (typed.length > 0) return typed.length === question.zones.length ? 'fill-in' : 'other';
  if (question.kind === 'mark' || question.zones.some(({ hidden, floor }) => hidden || floor)) return 'other';
  if (question.kind === 'pick' && question.zones.length === 1) return 'choice';
  if (question.kind === 'order' && sequenceOf(model) !== null) return 'sequencing';
  if (question.kind === 'count' && amountOf(model) !== null) return 'numeric';
  return 'matching';
}

/** The one sequence of a question; null: it has none, or several. */
export function sequenceOf({ entries }: QuestionModel): EntryModel | null {
  const sequences = entries.filter(({ sequence }) => sequence);
  return sequences.length === 1 ? (sequences[0] ?? null) : null;
}

/** What is counted, where it is one amount in one zone: values that add up, or copies. */
export interface Amount {
  readonly zone: number;
  readonly from: number;
  readonly to: number;
  /** The values are added up; else copies are counted. */
  readonly values: boolean;
}

export function amountOf({ entries, either, zones }: QuestionModel): Amount | null {
  const [entry] = entries;
  if (!entry || entries.length > 1 || either.length > 0 || zones.length > 1) return null;
  const { zone, sum, lo, hi } = entry;
  return sum
    ? { zone, from: sum.target - sum.tolerance, to: sum.target + sum.tolerance, values: true }
    : { zone, from: lo, to: hi, values: false };
}
