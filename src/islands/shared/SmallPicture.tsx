import { useQuery } from '@tanstack/react-query';
import type { Question } from '../../core';
import { MediaFrom, type MediaSource, Sketch } from '../../scene';
import { ask } from '../../ui';
import { benchMedia } from './ownMedia';

interface Size {
  readonly w: number;
  readonly h: number;
}
/** The edges of a picture and of its scene, in CSS pixels. */
const EDGES = 6;
const SMALL: Size = { w: 88, h: 52 };
/** In which words can be read. */
const LARGE: Size = { w: 420, h: 300 };

interface Props {
  id: string;
  changedAt: string;
  /** It is looked at: a larger picture stands beside it. */
  large?: boolean;
  size?: Size;
}

/** A small picture of a question's scene, drawn when it comes into view; larger on hover and focus. */
export function SmallPicture({ id, changedAt, large = false, size = SMALL }: Props) {
  const found = useQuery({
    queryKey: ['picture', id, changedAt],
    queryFn: () => ask('GET /api/questions/{id}', { id }),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const question = found.data?.question;
  return (
    <span className="relative block w-fit">
      <span
        className="grid place-items-center overflow-hidden bg-paper border border-rule"
        style={{ width: size.w, height: size.h }}
        aria-hidden
      >
        {question && <Fitted question={question} size={size} />}
      </span>
      {large && question && (
        <span
          className="absolute left-full top-0 ml-2 z-30 bg-sheet border border-ink p-1.5 pointer-events-none"
          aria-hidden
        >
          <Fitted question={question} size={LARGE} />
        </span>
      )}
    </span>
  );
}

/** A question's scene drawn into a size, with the author's own media or those of another source. */
export const Fitted = ({
  question,
  size = SMALL,
  source = benchMedia(question.media),
}: {
  question: Question;
  size?: Size;
  source?: MediaSource;
}) => (
  <MediaFrom source={source}>
    <Sketch
      question={question}
      width={Math.round(Math.min(size.w - EDGES, ((size.h - EDGES) * question.scene.width) / question.scene.height))}
    />
  </MediaFrom>
);
