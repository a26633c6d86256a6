import { useState } from 'react';
import type { Moment } from '../../contract';
import { api, asTypedDay, conflictIn, Field, moment, typedTime } from '../../ui';
import { toWire } from '../../ui/wire';
import type { Course } from './course';
import { JoinLink } from './JoinLink';

const DAYS = 14;
const inDays = (days: number) => asTypedDay(new Date(Date.now() + days * 86_400_000));

/** The join code of a course, and the day until which it is valid. */
export function JoinCode({ course }: { course: Course }) {
  const [join, setJoin] = useState(course.join);
  const [revision, setRevision] = useState(course.revision);
  const [until, setUntil] = useState(inDays(DAYS));
  const [problem, setProblem] = useState('');
  const change = async (to: { until: Moment | null } | null) => {
    const saved = await api('PATCH /api/courses/{id}', { id: course.id, body: { join: to, from: revision } });
    const theirs = saved.ok ? null : conflictIn<Pick<Course, 'join'>>(saved.error);
    const now = saved.ok ? saved.value : theirs && { join: theirs.content.join, revision: theirs.revision };
    setProblem(
      saved.ok
        ? ''
        : `${saved.error.message}. ${now ? 'It was changed meanwhile. This is how it is now.' : saved.error.nextStep}`,
    );
    if (!now) return;
    setJoin(now.join);
    setRevision(now.revision);
  };
  const over = join?.until ? new Date(join.until) <= new Date() : false;
  return (
    <section aria-labelledby="join" className="border-l-3 border-rule pl-4 self-start">
      <h2 id="join" className="text-xl mb-2">
        Join code
      </h2>
      {join ? (
        <>
          <p className="figures text-2xl tracking-wider" data-testid="join-code">
            {join.code.slice(0, 4)} {join.code.slice(4)}
          </p>
          <p className={over ? 'text-brick' : 'text-mute'}>
            {join.until
              ? `${over ? 'It was valid' : 'It is valid'} until ${moment(new Date(join.until))}.`
              : 'It is valid until you remove it.'}
          </p>
          <p className="mt-2">
            Learners type it at <span className="figures">/join</span>, or open the link. Who has no account makes one
            there.
          </p>
          {!over && <JoinLink code={join.code} course={course.title} />}
          <button type="button" className="btn btn-quiet mt-2" onClick={() => void change(null)}>
            Take it away
          </button>
        </>
      ) : (
        <>
          <p className="text-mute">With a code people come into the course by themselves.</p>
          <Field
            className="mt-2"
            label="It is valid until the end of"
            type="date"
            value={until}
            min={inDays(0)}
            onChange={(event) => setUntil(event.target.value)}
          />
          <button
            type="button"
            className="btn btn-edge mt-3"
            disabled={until === ''}
            onClick={() => void change({ until: toWire(typedTime(`${until}T23:59:59`)) })}
          >
            Make a code
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
