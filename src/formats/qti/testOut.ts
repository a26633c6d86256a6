import { pointsOf, type Section } from '../../core';
import { identifierOf } from '../identifiers';
import { QTI } from './item';
import { SCORE } from './names';
import type { PackedTest } from './packageOut';
import { element, writeXml, type XmlElement } from './xml';

/** A question of a set that goes out: its item, the most its marks come to, and the points it counts there. */
export interface TestQuestion {
  readonly identifier: string;
  readonly max: number;
  readonly points: number | null;
}

const POINTS = 'POINTS';

/**
 * Writes a set as a test of QTI 3.0: its sections with what is drawn of them and whether they are shuffled, and each
 * item with the weight that makes its marks the points it counts. `goBack` false: questions come one after another.
 */
export function testOut(
  { id, title, goBack }: { readonly id: string; readonly title: string; readonly goBack: boolean },
  sections: readonly Section<TestQuestion>[],
): PackedTest {
  let next = 0;
  const itemRef = (section: Section<TestQuestion>, question: TestQuestion): XmlElement =>
    element(
      'qti-assessment-item-ref',
      { identifier: `question-${++next}`, href: encodeURI(`${question.identifier}.xml`) },
      [
        element('qti-weight', {
          identifier: POINTS,
          value: question.max > 0 ? pointsOf(section, question) / question.max : 0,
        }),
      ],
    );
  const written = sections
    .filter(({ questions }) => questions.length > 0)
    .map((section, i) =>
      element('qti-assessment-section', { identifier: `section-${i + 1}`, title: section.title, visible: 'true' }, [
        ...(section.draw && section.draw.count < section.questions.length
          ? [element('qti-selection', { select: section.draw.count })]
          : []),
        ...(section.shuffled ? [element('qti-ordering', { shuffle: 'true' })] : []),
        ...section.questions.map((question) => itemRef(section, question)),
      ]),
    );
  const identifier = `set-${identifierOf(id)}`;
  const xml = writeXml(
    element('qti-assessment-test', { xmlns: QTI, identifier, title, 'tool-name': 'Vault Drop' }, [
      element('qti-outcome-declaration', { identifier: SCORE, cardinality: 'single', 'base-type': 'float' }, [
        element('qti-default-value', {}, [element('qti-value', {}, ['0'])]),
      ]),
      element(
        'qti-test-part',
        { identifier: 'part', 'navigation-mode': goBack ? 'nonlinear' : 'linear', 'submission-mode': 'individual' },
        written,
      ),
      element('qti-outcome-processing', {}, [
        element('qti-set-outcome-value', { identifier: SCORE }, [
          element('qti-sum', {}, [
            element('qti-test-variables', { 'variable-identifier': SCORE, 'weight-identifier': POINTS }),
          ]),
        ]),
      ]),
    ]),
  );
  return { identifier, xml };
}
