import { useEffect, useState } from 'react';
import { type ApiResult, api } from '../../ui';
import { errorInWords } from '../../ui/errorInWords';

interface Props {
  courseId: string;
  /** Null: they may not. */
  code: string | null;
  onCode: (code: string | null) => void;
}

/** Whether small children of the course sign in with pictures, and where. */
export function PictureCode({ courseId, code, onCode }: Props) {
  const [problem, setProblem] = useState('');
  const [site, setSite] = useState('');
  useEffect(() => setSite(location.origin), []);
  const set = async (allowed: boolean) => {
    const answer: ApiResult<{ code: string | null }> = await api('PUT /api/courses/{id}/pictures', {
      id: courseId,
      body: { allowed },
    });
    setProblem(answer.ok ? '' : errorInWords(answer.error));
    if (answer.ok) onCode(answer.value.code);
  };
  return (
    <section aria-labelledby="pictures" className="border-l-3 border-rule pl-4 mt-6">
      <h2 id="pictures" className="text-xl mb-2">
        Small children
      </h2>
      {code === null ? (
        <>
          <p className="text-mute mb-2">They sign in with a code, their name as they type it, and three pictures.</p>
          <button type="button" className="btn btn-edge" onClick={() => void set(true)}>
            Allow pictures
          </button>
        </>
      ) : (
        <>
          <p className="figures text-2xl tracking-wider" data-testid="picture-code">
            {code.slice(0, 4)} {code.slice(4)}
          </p>
          <p className="figures text-sm break-all select-all">{`${site}/pictures?code=${code}`}</p>
          <p className="text-mute mt-1">
            Press <em>Pictures</em> beside a learner to draw theirs. After five wrong tries they wait for ten minutes,
            or for new pictures.
          </p>
          <button type="button" className="btn btn-quiet mt-1" onClick={() => void set(false)}>
            Allow them no more
          </button>
        </>
      )}
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
    </section>
  );
}
