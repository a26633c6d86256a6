import { useQuery } from '@tanstack/react-query';
import { MediaFrom, Sketch } from '../../scene';
import { ask } from '../../ui';
import { benchMedia } from '../shared/ownMedia';

const WIDTH = 84;
const HEIGHT = 52;
/** A larger one, in which words can be read. */
const LARGE = { w: 420, h: 300 };

interface Props {
  id: string;
  changedAt: string;
  /** It is looked at: a larger picture stands beside it. */
  large: boolean;
}

/** A small picture of a question's scene, drawn when it comes into view; larger on hover and focus. */
export function SmallPicture({ id, changedAt, large }: Props) {
  const found = useQuery({
    queryKey: ['picture', id, changedAt],
    queryFn: () => ask('GET /api/questions/{id}', { id }),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const question = found.data?.question;
  const small = (
    <span
      className="grid place-items-center overflow-hidden bg-paper border border-rule"
      style={{ width: WIDTH + 4, height: HEIGHT }}
      aria-hidden
    >
      {question && (
        <MediaFrom source={benchMedia(question.media)}>
          <Sketch
            question={question}
            width={Math.min(WIDTH, Math.round((HEIGHT * question.scene.width) / question.scene.height))}
          />
        </MediaFrom>
      )}
    </span>
  );
  return (
    <span className="relative block w-fit">
      {small}
      {large && question && (
        <span
          className="absolute left-full top-0 ml-2 z-30 bg-sheet border border-ink p-1.5 pointer-events-none"
          aria-hidden
        >
          <MediaFrom source={benchMedia(question.media)}>
            <Sketch
              question={question}
              width={Math.min(LARGE.w, Math.round((LARGE.h * question.scene.width) / question.scene.height))}
            />
          </MediaFrom>
        </span>
      )}
    </span>
  );
}
