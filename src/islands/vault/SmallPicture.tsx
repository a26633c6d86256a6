import { useQuery } from '@tanstack/react-query';
import { MediaFrom, Sketch } from '../../scene';
import { ask } from '../../ui';
import { benchMedia } from '../shared/ownMedia';

const WIDTH = 84;
const HEIGHT = 52;

/** A small picture of a question's scene, drawn when it comes into view. */
export function SmallPicture({ id, changedAt }: { id: string; changedAt: string }) {
  const found = useQuery({
    queryKey: ['picture', id, changedAt],
    queryFn: () => ask('GET /api/questions/{id}', { id }),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const question = found.data?.question;
  return (
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
}
