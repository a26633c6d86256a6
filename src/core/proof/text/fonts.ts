import { type Face, ITEM_SIZE } from '../../document/appearance';
import type { Letters, Question } from '../../document/schema';
import { FACE_ADVANCES } from './faces';
import type { Font } from './measure';

interface Chosen {
  readonly face?: Face | null | undefined;
  readonly ownFace?: string | null | undefined;
  readonly fontSize?: number | undefined;
}

type Dressed = Pick<Question, 'dress' | 'looks' | 'media'>;

function advancesOf({ media }: Dressed, { face, ownFace }: Chosen): readonly number[] | undefined {
  const own = ownFace && Object.hasOwn(media, ownFace) ? media[ownFace]?.advances : null;
  return own ?? (face ? FACE_ADVANCES[face] : undefined);
}

/** What a question's letters make of a size; `own`: those of one fixture, before the question's where it has any. */
export function fontOf(question: Dressed, size: number, own: Letters | null = null): Font {
  const whole = question.dress?.letters ?? null;
  const face = own?.face || own?.ownFace ? own : whole;
  return {
    size: (size * (own?.size ?? whole?.size ?? ITEM_SIZE)) / ITEM_SIZE,
    advances: face ? advancesOf(question, face) : undefined,
  };
}

/** Every font that words are shown in under a look, over its states; `size`: where it says none. */
export function fontsIn(question: Dressed, look: string | null, size: number): Font[] {
  const plain = fontOf(question, size);
  const states = look !== null && Object.hasOwn(question.looks, look) ? question.looks[look]?.states : undefined;
  const styled = Object.values((states ?? {}) as Record<string, Chosen | undefined>).flatMap((style): Font[] =>
    style && (style.fontSize || style.face || style.ownFace)
      ? [
          {
            size: style.fontSize ?? plain.size,
            advances: style.face || style.ownFace ? advancesOf(question, style) : plain.advances,
          },
        ]
      : [],
  );
  return [plain, ...styled];
}
