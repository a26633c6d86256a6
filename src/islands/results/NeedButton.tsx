import { Users } from 'lucide-react';
import { useRef, useState } from 'react';
import { api } from '../../ui';
import { errorInWords } from '../../ui/errorInWords';

interface Props {
  releaseId: string;
  /** Its index in the edition. */
  question: number;
  title: string;
  courseId: string;
}

const MAX_TITLE = 200;

/** Makes a group of those who have not had the full mark of a question, in one press. */
export function NeedButton({ releaseId, question, title, courseId }: Props) {
  // The same group, however often it is pressed.
  const id = useRef(crypto.randomUUID());
  const [told, setTold] = useState<{ learners: number } | { problem: string } | null>(null);
  const press = async () => {
    const answer = await api('POST /api/releases/{id}/groups', {
      id: releaseId,
      body: { id: id.current, question, title: `To see again: ${title || 'Untitled question'}`.slice(0, MAX_TITLE) },
    });
    setTold(answer.ok ? answer.value : { problem: errorInWords(answer.error) });
  };
  return (
    <p className="flex flex-wrap items-center gap-3 mt-4">
      <button type="button" className="btn btn-edge" onClick={() => void press()}>
        <Users size={18} aria-hidden /> Make a group of those without the full mark
      </button>
      <span role="status">
        {told &&
          ('problem' in told ? (
            <span className="text-brick">{told.problem}</span>
          ) : (
            <>
              {told.learners === 1 ? 'One learner is' : `${told.learners} learners are`} in it: none had the full mark
              in any attempt.{' '}
              <a className="link-brass" href={`/courses/${courseId}/learners`}>
                To the groups
              </a>
            </>
          ))}
      </span>
    </p>
  );
}
