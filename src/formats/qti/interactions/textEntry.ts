import type { Question } from '../../../core';
import { type Arriving, Refused, wholeIn } from '../arriving';
import { and, anyOf, type Expression, isNull, not, patternMatch, variable } from '../expressions';
import { responseOf } from '../names';
import { type Leaving, zoneName } from '../outgoing';
import type { DeclaredResponse } from '../plainTree';
import { anyWords, patternOf } from '../spellings';
import type { Worth } from '../worth';
import type { XmlElement } from '../xml';
import { element } from '../xml';
import type { Gap } from './gapByGap';
import type { ReadGap } from './inlineChoice';

type Typed = NonNullable<Question['zones'][number]['typed']>;

/** The typed zones that read a text as an item, by their indexes. */
export const readersOf = ({ zones }: Question, item: string): readonly number[] =>
  zones.flatMap(({ typed }, i) => (typed && Object.hasOwn(typed.accept, item) ? [i] : []));

/**
 * Gaps that are typed into: a `qti-text-entry-interaction` each. A text is read as the first item that accepts it; an
 * item is read in as many gaps as it has copies, those that stand first in the question.
 */
export function textEntryGaps(leaving: Leaving): ReadonlyMap<number, Gap> {
  const { question, model } = leaving;
  const indexOf = new Map<string, number>(question.items.map(({ id }, i) => [id, i]));
  const responseIn = (zone: number) => responseOf(zoneName(leaving, zone));
  const gaps = new Map<number, Gap>();
  /** By item: where it is read, so far. */
  const readBefore = new Map<number, Expression[]>();

  question.zones.forEach(({ typed, chars }, zone) => {
    if (!typed) return;
    const identifier = responseIn(zone);
    const answer = variable(identifier);
    const fitting = (pattern: string) => and(not(isNull(answer)), patternMatch(pattern, answer));
    const reads = new Map<number, Expression>();
    for (const { item, pattern } of patternsIn(typed, indexOf)) {
      const before = readBefore.get(item) ?? [];
      const copies = leaving.copies[item] ?? 1;
      const isRead = fitting(pattern);
      reads.set(item, before.length < copies ? isRead : and(isRead, not(anyOf(copies, before))));
      readBefore.set(item, [...before, isRead]);
    }
    const unread = and(fitting(anyWords), ...[...reads.values()].map(not));
    gaps.set(zone, {
      response: { identifier, cardinality: 'single', type: 'string', mapping: mappingOf(leaving, zone, typed) },
      element: element('qti-text-entry-interaction', {
        'response-identifier': identifier,
        'expected-length': chars ?? longestIn(typed),
      }),
      copiesFor: (item) => {
        const found = item === model.items.length ? unread : reads.get(item);
        return found ? [found] : [];
      },
      valueFor: (item) => typed.accept[question.items[item]?.id ?? '']?.[0] ?? '',
    });
  });
  return gaps;
}

/** A pattern for each item that a text may be read as. A spelling that two accept is the first one's. */
function patternsIn(
  typed: Typed,
  indexOf: ReadonlyMap<string, number>,
): readonly { readonly item: number; readonly pattern: string }[] {
  const taken = new Set<string>();
  return Object.entries(typed.accept).flatMap(([id, spellings]) => {
    const patterns = spellings.map((spelling) => patternOf(spelling, typed)).filter((pattern) => !taken.has(pattern));
    for (const pattern of patterns) taken.add(pattern);
    return patterns.length > 0 ? [{ item: indexOf.get(id) as number, pattern: patterns.join('|') }] : [];
  });
}

/** The accepted spellings as a mapping: 1 for what belongs in the gap, 0 for what is read and does not. */
function mappingOf({ model, question }: Leaving, zone: number, typed: Typed) {
  const entry = model.entryOf[zone];
  const keys = new Set<string>();
  const rows = Object.entries(typed.accept).flatMap(([id, spellings]) => {
    const item = question.items.findIndex((candidate) => candidate.id === id);
    return spellings.flatMap((spelling) => {
      const key = spelling.trim();
      if (key === '' || keys.has(key)) return [];
      keys.add(key);
      const isRight = entry?.belongs.has(item) || entry?.apart.has(item);
      return [
        element('qti-map-entry', {
          'map-key': key,
          'mapped-value': isRight ? 1 : 0,
          'case-sensitive': typed.case,
        }),
      ];
    });
  });
  return element('qti-mapping', { 'default-value': 0 }, rows);
}

const longestIn = ({ accept }: Typed): number =>
  Math.max(1, ...Object.values(accept).flatMap((spellings) => spellings.map((spelling) => [...spelling].length)));

/** A gap that is typed into: one item, with the spellings that earn marks. */
export function textEntryIn(
  of: XmlElement,
  zone: string,
  response: DeclaredResponse,
  worth: Worth,
  arriving: Arriving,
): ReadGap {
  const spellings = [...worth.right.keys()].filter((spelling) => spelling.trim() !== '');
  if (spellings.length === 0) throw new Refused('Nothing in it says which text is right.');
  if (response.type === 'integer' || response.type === 'float')
    arriving.approximate(response.identifier, 'A number is typed: here it is compared as it is written.');
  const entries = response.mapping?.entries.filter(({ key }) => spellings.includes(key)) ?? [];
  const isMapped = arriving.scoredBy.get(response.identifier)?.by === 'mapping' && entries.length > 0;
  const minds = isMapped ? entries.some(({ isCased }) => isCased) : true;
  if (isMapped && minds && entries.some(({ isCased }) => !isCased))
    arriving.approximate(response.identifier, 'Some spellings mind capitals and some do not: here all do.');
  const earned = [...worth.right.values()];
  const most = Math.max(...earned);
  if (earned.some((value) => value !== most))
    arriving.approximate(response.identifier, 'Spellings earned unequal marks: here each earns the same.');
  const chars = wholeIn(of, 'expected-length', 0);
  return {
    items: [{ id: zone, label: spellings[0], size: { w: 130, h: 48 } }],
    zoneFields: {
      typed: { accept: { [zone]: spellings.slice(0, MAX_SPELLINGS) }, case: minds, accents: true, slips: 0 },
      chars: chars > 0 ? Math.min(80, chars) : null,
    },
    right: new Map([[zone, most]]),
    costs: worth.costs,
  };
}
const MAX_SPELLINGS = 200;
