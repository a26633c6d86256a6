import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { DeepLinked, Linkable } from '../../contract';
import { api, ask } from '../../ui';
import { Alert } from '../../ui/Alert';
import { failureInWords } from '../../ui/failureInWords';
import { Queries } from '../../ui/Queries';
import { ChooseQuestion } from '../shared/ChooseQuestion';

interface Props {
  launch: string;
  platform: string;
  course: string;
  releases: readonly Linkable[];
  takesLinks: boolean;
}

/** A teacher chooses what a platform's course links: a release of the course, or something that is published for it. */
export function ChooseLink(props: Props) {
  return (
    <Queries>
      <Choices {...props} />
    </Queries>
  );
}

type Chosen = { releaseId: string } | { questionId: string } | { setId: string } | Record<never, never>;

function Choices({ launch, platform, course, releases, takesLinks }: Props) {
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const [isChoosing, setChoosing] = useState(false);
  const [linked, setLinked] = useState<DeepLinked | null>(null);
  const sets = useQuery({ queryKey: ['sets'], queryFn: () => ask('GET /api/sets') });
  const choose = async (chosen: Chosen) => {
    setChoosing(false);
    setBusy(true);
    const answer = await api('POST /lti/deep-link', { body: { launch, ...chosen } });
    if (answer.ok) return setLinked(answer.value);
    setBusy(false);
    setProblem(failureInWords(answer.error));
  };
  if (linked) return <Back linked={linked} platform={platform} />;
  return (
    <>
      {problem && (
        <Alert tone="problem" role="alert" className="mb-4">
          {problem}
        </Alert>
      )}
      {busy && <p role="status">It is being published…</p>}
      {takesLinks ? (
        <div className="grid gap-8">
          <section>
            <h2 className="text-xl mb-2">Published in {course}</h2>
            {releases.length === 0 && <p className="text-mute">Nothing yet.</p>}
            <List rows={releases} busy={busy} onChoose={(releaseId) => void choose({ releaseId })} />
          </section>
          <section>
            <h2 className="text-xl mb-2">A question of your Vault</h2>
            <p className="text-mute mb-2">It is published in {course} first, with the usual settings.</p>
            <button type="button" className="btn btn-edge" disabled={busy} onClick={() => setChoosing(true)}>
              Choose a question…
            </button>
          </section>
          <section>
            <h2 className="text-xl mb-2">A set of yours</h2>
            {sets.data?.length === 0 && <p className="text-mute">You have none.</p>}
            <List
              rows={(sets.data ?? []).filter(({ deletedAt }) => deletedAt === null)}
              busy={busy}
              onChoose={(setId) => void choose({ setId })}
            />
          </section>
        </div>
      ) : (
        <p>{platform} asks for something else here than a link to a question, which cannot be chosen.</p>
      )}
      <p className="mt-8">
        <button type="button" className="btn btn-quiet" disabled={busy} onClick={() => void choose({})}>
          Back without a question
        </button>
      </p>
      {isChoosing && (
        <ChooseQuestion
          title="Choose a question"
          says={`It is published in ${course} and linked in ${platform}.`}
          onChoose={(questionId) => void choose({ questionId })}
          onClose={() => setChoosing(false)}
        />
      )}
    </>
  );
}

const List = (props: { rows: readonly Linkable[]; busy: boolean; onChoose: (id: string) => void }) => (
  <ul className="divide-y divide-rule border-y border-rule empty:border-0">
    {props.rows.map(({ id, title }) => (
      <li key={id} className="flex items-center gap-3 py-1.5">
        <span className="grow min-w-0 truncate">{title}</span>
        <button
          type="button"
          className="btn btn-edge btn-sm"
          disabled={props.busy}
          aria-label={`Link ${title}`}
          onClick={() => props.onChoose(id)}
        >
          Link it
        </button>
      </li>
    ))}
  </ul>
);

/** Posts what was chosen to the platform. */
function Back({ linked: { action, jwt }, platform }: { linked: DeepLinked; platform: string }) {
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => form.current?.submit(), []);
  return (
    <form ref={form} method="post" action={action}>
      <input type="hidden" name="JWT" value={jwt} />
      <p role="status">Going back to {platform}…</p>
      <button type="submit" className="btn btn-edge mt-3">
        Go back now
      </button>
    </form>
  );
}
