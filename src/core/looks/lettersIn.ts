import { type Face, ITEM_SIZE } from '../document/appearance';
import type { Dress, Letters, Look } from '../document/schema';

interface Chosen {
  readonly face?: Face | null | undefined;
  readonly ownFace?: string | null | undefined;
  readonly fontSize?: number | undefined;
}

/** In what letters words are drawn: their size, in scene units, and their face; neither face nor own one: the page's. */
export interface Lettering {
  readonly size: number;
  readonly face: Face | null;
  readonly ownFace: string | null;
}

interface Dressed {
  readonly dress: Dress | null;
  readonly looks: Readonly<Record<string, Look>>;
}

const faceOf = ({ face, ownFace }: Chosen) => ({ face: face ?? null, ownFace: ownFace ?? null });

/** What a question's letters make of a size; `own`: those of one fixture, before the question's where it has any. */
export function letteringOf({ dress }: Dressed, size: number, own: Letters | null = null): Lettering {
  const whole = dress?.letters ?? null;
  const face = own?.face || own?.ownFace ? own : whole;
  return { size: (size * (own?.size ?? whole?.size ?? ITEM_SIZE)) / ITEM_SIZE, ...faceOf(face ?? {}) };
}

/** Every lettering that words are drawn in under a look, over its states; `size`: where it says none. */
export function lettersIn(question: Dressed, look: string | null, size: number): Lettering[] {
  const plain = letteringOf(question, size);
  const states = look !== null && Object.hasOwn(question.looks, look) ? question.looks[look]?.states : undefined;
  const styled = Object.values((states ?? {}) as Record<string, Chosen | undefined>).flatMap((style): Lettering[] =>
    style && (style.fontSize || style.face || style.ownFace)
      ? [{ size: style.fontSize ?? plain.size, ...(style.face || style.ownFace ? faceOf(style) : faceOf(plain)) }]
      : [],
  );
  return [plain, ...styled];
}
