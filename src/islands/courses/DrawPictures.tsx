import { useState } from 'react';
import type { PictureName } from '../../contract';
import { api, Dialog } from '../../ui';
import { errorInWords } from '../../ui/errorInWords';
import { PICTURE_ICONS } from '../account/pictureIcons';
import type { Learner } from './course';

/** Draws a learner's pictures, and shows them this once. */
export function DrawPictures({
  learner,
  onClose,
  onDrawn,
}: {
  learner: Learner;
  onClose: () => void;
  onDrawn: () => void;
}) {
  const [pictures, setPictures] = useState<readonly PictureName[] | null>(null);
  const [problem, setProblem] = useState('');
  const draw = async () => {
    const drawn = await api('PUT /api/learners/{id}/pictures', { id: learner.id });
    setProblem(drawn.ok ? '' : errorInWords(drawn.error));
    if (!drawn.ok) return;
    setPictures(drawn.value.pictures);
    onDrawn();
  };
  return (
    <Dialog title={`Pictures of ${learner.name}`} onClose={onClose}>
      {pictures === null ? (
        <p>
          {learner.pictures
            ? 'Their pictures are not shown again. New ones take their place, and sign them out everywhere.'
            : 'Three pictures are drawn. Show them to the child: they are shown this once.'}
        </p>
      ) : (
        <>
          <p className="mb-3">Show them to the child, in this order. They are shown this once.</p>
          <ol className="flex gap-4" data-testid="drawn-pictures">
            {pictures.map((picture, i) => {
              const Icon = PICTURE_ICONS[picture];
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: the same picture may come twice
                <li key={i} data-picture={picture} className="grid justify-items-center gap-1 border border-rule p-3">
                  <Icon size={48} aria-hidden /> {picture}
                </li>
              );
            })}
          </ol>
        </>
      )}
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      <div className="flex justify-end gap-2 mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          {pictures === null ? 'Cancel' : 'Done'}
        </button>
        {pictures === null && (
          <button type="button" className="btn btn-primary" onClick={() => void draw()}>
            {learner.pictures ? 'Draw new ones' : 'Draw them'}
          </button>
        )}
      </div>
    </Dialog>
  );
}
