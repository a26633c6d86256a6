import { slotsIn } from '../../edit/slots';
import type { FindingRule } from './finding';

/**
 * Gaps of a text that take the same words are not equally wide: the widths tell which word goes where. Of another
 * family they take other words anyway.
 */
export const gapWidthsDiffer: FindingRule = ({ model: { question } }) => {
  const inText = new Set<string>(
    question.fixtures.flatMap((fixture) => (fixture.type === 'text' ? slotsIn(fixture.text) : [])),
  );
  const byFamily = new Map<string | null, typeof question.zones>();
  for (const zone of question.zones)
    if (inText.has(zone.id)) byFamily.set(zone.family, [...(byFamily.get(zone.family) ?? []), zone]);
  return [...byFamily.values()]
    .filter((gaps) => new Set(gaps.map(({ chars }) => chars)).size > 1)
    .map((gaps) => ({
      where: gaps.map(({ id }) => id),
      message: 'Gaps that take the same words differ in width, which tells where a word belongs.',
      mend: 'Let them all be as wide as the longest word.',
    }));
};
