import { plainText } from '../../document/plain';
import type { Fixture, Question } from '../../document/schema';
import { slotsIn } from '../../edit/slots';
import type { Box } from '../../geometry/space';
import { fontOf } from './fonts';
import { linesNeeded } from './measure';

/** As the page draws texts (scene.css), in scene units: a line with a gap in it is taller. */
const FONT = 18;
const LINE = 34;
/** What a gap is taken to need: so many characters. */
const GAP = 'm'.repeat(12);

/** Where the words of a text with gaps stand; null: it has none. */
export function textBox(
  question: Question,
  { x, y, w, h, text, letters }: Extract<Fixture, { type: 'text' }>,
): Box | null {
  const gaps = slotsIn(text).length;
  if (gaps === 0) return null;
  const font = fontOf(question, FONT, letters);
  const words = `${plainText(text)} ${Array.from({ length: gaps }, () => GAP).join(' ')}`;
  return { x, y, w, h: Math.min(h, linesNeeded(words, font, w) * LINE * (font.size / FONT)) };
}
