import { type InfiniteData, keepPreviousData, useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query';
import { FileUser, Images, KeyRound, ListPlus, School, UserMinus, UserPlus } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import { Toaster, toast } from 'sonner';
import type { RosterPage } from '../../contract';
import { api, ask, Dialog, Field } from '../../ui';
import { Confirm } from '../../ui/Confirm';
import { Queries } from '../../ui/Queries';
import type { Course, Learner, Parts } from './course';
import { DrawPictures } from './DrawPictures';
import { JoinCode } from './JoinCode';
import { LearnerData } from './LearnerData';
import { NewLearner } from './NewLearner';
import { PictureCode } from './PictureCode';
import { ResetPassword } from './ResetPassword';
import { RosterImport } from './RosterImport';

export function Roster({ course }: { course: Course }) {
  return (
    <Queries>
      <Learners course={course} />
      <Toaster position="bottom-right" />
    </Queries>
  );
}

type Page = RosterPage;

/** The roster of a course, and the ways to enrol learners. */
function Learners({ course }: { course: Course }) {
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const [opened, setOpened] = useState<'new' | 'list' | 'platform' | null>(null);
  const [resetting, setResetting] = useState<Learner | null>(null);
  const [drawing, setDrawing] = useState<Learner | null>(null);
  const [pictureCode, setPictureCode] = useState(course.pictureCode);
  const [leaving, setLeaving] = useState<Learner | null>(null);
  const [kept, setKept] = useState<Pick<Learner, 'id' | 'name' | 'username'> | null>(null);
  const queries = useQueryClient();
  const parts = useQuery({ queryKey: ['parts'], queryFn: () => ask('GET /api/courses/{id}/parts', { id: course.id }) });
  const found = useInfiniteQuery({
    queryKey: ['roster', words],
    queryFn: ({ pageParam }) =>
      ask('GET /api/courses/{id}/learners', { id: course.id, query: { words, from: pageParam } }),
    initialPageParam: 0,
    getNextPageParam: ({ from, rows, total }) => (from + rows.length < total ? from + rows.length : undefined),
    placeholderData: keepPreviousData,
  });
  const left = useQuery({ queryKey: ['left'], queryFn: () => ask('GET /api/courses/{id}/left', { id: course.id }) });
  const again = () => queries.invalidateQueries();
  const rows = found.data?.pages.flatMap((page) => page.rows) ?? [];
  const total = found.data?.pages[0]?.total ?? 0;
  const groups = parts.data?.groups ?? [];

  const inGroup = async (learner: Learner, group: Parts['groups'][number], is: boolean) => {
    // Shown at once; the answer corrects it.
    await queries.cancelQueries({ queryKey: ['roster'] });
    const groups = is ? [...learner.groups, group.id] : learner.groups.filter((candidate) => candidate !== group.id);
    queries.setQueryData<InfiniteData<Page>>(
      ['roster', words],
      (now) =>
        now && {
          ...now,
          pages: now.pages.map((page) => ({
            ...page,
            rows: page.rows.map((row) => (row.id === learner.id ? { ...row, groups } : row)),
          })),
        },
    );
    const answer = await api('PUT /api/courses/{id}/groups/{group}', {
      id: course.id,
      group: group.id,
      body: { learnerId: learner.id, isIn: is },
    });
    if (!answer.ok) toast.error(`${answer.error.message}. ${answer.error.nextStep}`);
    await again();
  };
  const removeLearner = async (learner: Learner) => {
    const done = await api('DELETE /api/courses/{id}/learners', { id: course.id, body: { learners: [learner.id] } });
    setLeaving(null);
    if (done.ok) toast(`${learner.name} is not enrolled any more. Their answers and marks are still here.`);
    else toast.error(`${done.error.message}. ${done.error.nextStep}`);
    await again();
  };

  return (
    <div className="grid gap-8 lg:grid-cols-[1fr_19rem]">
      <section aria-label="Learners" className="min-w-0">
        <div className="flex flex-wrap items-end gap-3 mb-3">
          <Field
            className="grow max-w-sm"
            label="Find by name"
            type="search"
            maxLength={200}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          <button type="button" className="btn btn-primary" onClick={() => setOpened('list')}>
            <ListPlus size={16} aria-hidden /> From a list…
          </button>
          {course.platform?.roster && (
            <button type="button" className="btn btn-edge" onClick={() => setOpened('platform')}>
              <School size={16} aria-hidden /> From {course.platform.name}…
            </button>
          )}
          <button type="button" className="btn btn-edge" onClick={() => setOpened('new')}>
            <UserPlus size={16} aria-hidden /> New learner…
          </button>
        </div>
        {found.isError && <p className="text-brick">{found.error.message}</p>}
        {found.isPending && <p role="status">Looking up the roster…</p>}
        {found.data && total === 0 && (
          <p className="text-lg">
            {words === ''
              ? 'Nobody is in this course yet. Paste a list, make an account, or give out a join code.'
              : 'Nobody is called that.'}
          </p>
        )}
        {rows.length > 0 && (
          <>
            <p className="figures text-sm text-mute mb-1">
              {total} {total === 1 ? 'learner' : 'learners'}
            </p>
            <div className="relative overflow-x-auto">
              <table className="ledger-table w-full">
                <caption className="sr-only">Learners of this course</caption>
                <thead>
                  <tr>
                    <th scope="col">learner</th>
                    <th scope="col">user name</th>
                    <th scope="col">groups</th>
                    <th scope="col">
                      <span className="sr-only">what to do</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((learner) => (
                    <tr key={learner.id}>
                      <td>{learner.name}</td>
                      <td className="figures text-sm">{learner.username}</td>
                      <td>
                        {groups.length === 0 ? (
                          <span aria-hidden>–</span>
                        ) : (
                          <span className="flex flex-wrap gap-1">
                            {groups.map((group) => (
                              <label key={group.id} className="inline-flex items-center gap-1.5 pr-2 min-h-6">
                                <input
                                  type="checkbox"
                                  className="checkbox checkbox-xs"
                                  aria-label={`${learner.name} in ${group.title}`}
                                  checked={learner.groups.includes(group.id)}
                                  onChange={(event) => void inGroup(learner, group, event.target.checked)}
                                />
                                {group.title}
                              </label>
                            ))}
                          </span>
                        )}
                      </td>
                      <td className="text-right whitespace-nowrap">
                        {learner.mine && pictureCode !== null && (
                          <button
                            type="button"
                            className="btn btn-quiet btn-sm"
                            onClick={() => setDrawing(learner)}
                            aria-label={`Pictures of ${learner.name}`}
                          >
                            <Images size={15} aria-hidden /> Pictures
                          </button>
                        )}
                        {learner.mine && (
                          <button
                            type="button"
                            className="btn btn-quiet btn-sm"
                            onClick={() => setResetting(learner)}
                            aria-label={`New password for ${learner.name}`}
                          >
                            <KeyRound size={15} aria-hidden /> New password
                          </button>
                        )}
                        <button
                          type="button"
                          className="btn btn-quiet btn-sm"
                          onClick={() => setKept(learner)}
                          aria-label={`Data of ${learner.name}`}
                          title={`Data of ${learner.name}`}
                        >
                          <FileUser size={15} aria-hidden />
                        </button>
                        <button
                          type="button"
                          className="btn btn-quiet btn-sm"
                          onClick={() => setLeaving(learner)}
                          aria-label={`Remove ${learner.name} from the course`}
                          title={`Remove ${learner.name} from the course`}
                        >
                          <UserMinus size={15} aria-hidden />
                        </button>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            {found.hasNextPage && (
              <button
                type="button"
                className="btn btn-edge mt-3"
                disabled={found.isFetchingNextPage}
                onClick={() => void found.fetchNextPage()}
              >
                Show more
              </button>
            )}
          </>
        )}
        {(left.data?.length ?? 0) > 0 && (
          <details className="mt-6">
            <summary className="cursor-pointer">
              {left.data?.length === 1 ? 'One former learner' : `${left.data?.length} former learners`}, whose data is
              still here
            </summary>
            <ul className="mt-2">
              {left.data?.map((learner) => (
                <li key={learner.id} className="flex items-center gap-3 border-b border-rule py-1">
                  <span>{learner.name}</span>
                  <span className="figures text-sm text-mute grow">{learner.username}</span>
                  <button
                    type="button"
                    className="btn btn-quiet btn-sm"
                    onClick={() => setKept(learner)}
                    aria-label={`Data of ${learner.name}`}
                  >
                    <FileUser size={15} aria-hidden /> Data
                  </button>
                </li>
              ))}
            </ul>
          </details>
        )}
      </section>
      <div>
        <JoinCode course={course} />
        <PictureCode courseId={course.id} code={pictureCode} onCode={setPictureCode} />
      </div>
      {(opened === 'list' || opened === 'platform') && (
        <RosterImport
          courseId={course.id}
          course={course.title}
          platform={opened === 'platform' ? (course.platform?.name ?? null) : null}
          onClose={() => setOpened(null)}
          onTaken={again}
        />
      )}
      {opened === 'new' && (
        <Dialog title="New learner" onClose={() => setOpened(null)}>
          <NewLearner
            courseId={course.id}
            course={course.title}
            onMade={(learner) => {
              toast(`${learner.name} can sign in now`);
              void again();
            }}
          />
          <button type="button" className="btn btn-quiet mt-3" onClick={() => setOpened(null)}>
            Done
          </button>
        </Dialog>
      )}
      {resetting && (
        <ResetPassword
          learner={resetting}
          onClose={() => setResetting(null)}
          onDone={(name) => toast(`${name} has a new password`)}
        />
      )}
      {drawing && <DrawPictures learner={drawing} onClose={() => setDrawing(null)} onDrawn={() => void again()} />}
      {kept && (
        <LearnerData
          course={course}
          learner={kept}
          onClose={() => setKept(null)}
          onErased={(said) => {
            setKept(null);
            toast(said);
            void again();
          }}
        />
      )}
      {leaving && (
        <Confirm
          title={`Remove ${leaving.name} from the course?`}
          action="Remove from the course"
          onConfirm={() => void removeLearner(leaving)}
          onClose={() => setLeaving(null)}
        >
          <p>
            They do not see this course any more, and leave its groups. Their account, answers and marks stay: if you
            enrol them again, they find everything as it was.
          </p>
        </Confirm>
      )}
    </div>
  );
}
