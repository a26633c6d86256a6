import type { Question } from '../../core';
import { plainTree } from './plainTree';
import { childrenNamed, isElement, type XmlElement } from './xml';

/** A question of a test by its id in the package, with the points it counts; null: as many as its marks. */
interface Entry {
  readonly id: string;
  readonly points: number | null;
}

export interface ArrivedSection {
  readonly title: string;
  readonly draw: { readonly count: number; readonly points: number } | null;
  readonly shuffled: boolean;
  readonly questions: readonly Entry[];
}

/** A test of another program, or one that went out from here, as a set. */
export interface ArrivedTest {
  readonly identifier: string;
  readonly title: string;
  readonly goBack: boolean;
  readonly sections: readonly ArrivedSection[];
  readonly approximations: readonly string[];
}

/** A question that an item of the package became. */
export interface TestPart {
  readonly id: string;
  readonly question: Question;
}

/** What of a test is no part of a set, and what is said of it. */
const LEFT: Readonly<Record<string, string>> = {
  'pre-condition': 'Its conditions for what comes next are not taken: every question is shown.',
  'branch-rule': 'Its branches are not taken: every question is shown.',
  'time-limits': 'Its time limit is not taken: set it when you publish.',
  'assessment-section-ref': 'A section of it in a file of its own is not taken.',
  'test-feedback': 'What it says of the whole test is not taken.',
};

const MAX_POINTS = 1000;
const inBounds = (points: number) => Math.min(MAX_POINTS, Math.max(0, Math.round(points * 1e6) / 1e6));

/**
 * Reads a test of QTI 3.0, 2.2 or 2.1 as a set; `partsOf` gives the questions that an item became, by its address in
 * the test. Sections in sections become one after another. Null: it is no test.
 */
export function testIn(root: XmlElement, partsOf: (href: string) => readonly TestPart[]): ArrivedTest | null {
  const test = plainTree(root);
  if (test.name !== 'assessment-test') return null;
  const approximations = new Set<string>();
  const sections: ArrivedSection[] = [];
  const placed = new Set<string>();
  let missing = 0;

  const entriesOf = (ref: XmlElement): readonly (Entry & { readonly max: number })[] => {
    const found = partsOf(ref.attributes.href ?? '');
    if (found.length === 0) missing++;
    const [weight] = childrenNamed(ref, 'weight').map(({ attributes }) => Number(attributes.value));
    const fresh = found.filter(({ id }) => !placed.has(id));
    if (fresh.length < found.length)
      approximations.add('A question stands once in a set: where it comes again, it is left out.');
    for (const { id } of fresh) placed.add(id);
    return fresh.map(({ id, question: { marks } }) => ({
      id,
      max: marks.max,
      points: weight === undefined || !Number.isFinite(weight) ? null : inBounds(weight * marks.max),
    }));
  };

  const read = (section: XmlElement) => {
    const inner = childrenNamed(section, 'assessment-section');
    const own = childrenNamed(section, 'assessment-item-ref');
    const [selection] = childrenNamed(section, 'selection');
    const [ordering] = childrenNamed(section, 'ordering');
    const select = Number(selection?.attributes.select);
    if (inner.length > 0 && (selection || ordering?.attributes.shuffle === 'true'))
      approximations.add('What is drawn or shuffled of its inner sections is not taken: each comes as it stands.');
    if (own.length > 0) {
      const entries = own.flatMap(entriesOf);
      const points = entries.map((entry) => entry.points ?? entry.max);
      const draws = inner.length === 0 && Number.isInteger(select) && select >= 1 && select < entries.length;
      if (draws && points.some((worth) => worth !== points[0]))
        approximations.add('Questions that are drawn count alike here: each counts as many points as the first.');
      if (draws && selection?.attributes['with-replacement'] === 'true')
        approximations.add('A question is drawn once at most.');
      const title = (section.attributes.title ?? '').slice(0, 200);
      const draw = draws ? { count: select, points: points[0] ?? 0 } : null;
      const shuffled = inner.length === 0 && ordering?.attributes.shuffle === 'true';
      const questions = entries.map((entry) => ({
        id: entry.id,
        points: draw || entry.points === entry.max ? null : entry.points,
      }));
      if (questions.length > 0) sections.push({ title, draw, shuffled, questions });
    }
    for (const child of inner) read(child);
  };

  const parts = childrenNamed(test, 'test-part');
  for (const part of parts) for (const section of childrenNamed(part, 'assessment-section')) read(section);
  for (const name of namesIn(test)) if (LEFT[name]) approximations.add(LEFT[name]);
  if (missing > 0)
    approximations.add(
      missing === 1 ? 'One of its questions did not come in.' : `${missing} of its questions did not come in.`,
    );
  const { identifier = 'test', title = '' } = test.attributes;
  return {
    identifier,
    title: title.trim().slice(0, 200) || identifier.slice(0, 200),
    goBack: parts[0]?.attributes['navigation-mode'] !== 'linear',
    sections,
    approximations: [...approximations],
  };
}

const namesIn = (of: XmlElement): readonly string[] => [of.name, ...of.children.filter(isElement).flatMap(namesIn)];
