import type { Letters, Question } from '../../document/schema';
import { type Lettering, letteringOf, lettersIn } from '../../looks/lettersIn';
import { FACE_ADVANCES } from './faces';
import type { Font } from './measure';

type Dressed = Pick<Question, 'dress' | 'looks' | 'media'>;

/** A lettering with how wide its characters are. */
function inFont({ media }: Dressed, { size, face, ownFace }: Lettering): Font {
  const own = ownFace && Object.hasOwn(media, ownFace) ? media[ownFace]?.advances : null;
  return { size, advances: own ?? (face ? FACE_ADVANCES[face] : undefined) };
}

/** What a question's letters make of a size; `own`: those of one fixture, before the question's where it has any. */
export const fontOf = (question: Dressed, size: number, own: Letters | null = null): Font =>
  inFont(question, letteringOf(question, size, own));

/** Every font that words are shown in under a look, over its states; `size`: where it says none. */
export const fontsIn = (question: Dressed, look: string | null, size: number): Font[] =>
  lettersIn(question, look, size).map((lettering) => inFont(question, lettering));
