import { lazy, type ReactNode, Suspense } from 'react';
import type { ComparedAttempts, ComparisonView as View, Wire } from '../../contract';
import type { Figure } from '../../core';
import { ask, day, Scrolls } from '../../ui';
import { Queries } from '../../ui/Queries';
import { between, percent } from './analysis';
import { apart, apartBounds, attemptsInWords, groupInWords, releaseInWords } from './comparison';
import { FigureCell } from './FigureCell';
import { StillComing } from './StillComing';
import { useWorkedOut } from './workedOut';

const FacilityChart = lazy(() => import('./FacilityChart'));
type ComparisonView = Wire<View>;
type ComparedQuestion = NonNullable<ComparisonView['questions']>[number];
type ComparedRelease = ComparedQuestion['releases'][number];

const untitled = (title: string) => title || 'Untitled question';

export function Comparison({ id }: { id: string }) {
  return (
    <Queries>
      <Compared id={id} />
    </Queries>
  );
}

/** A release compared: its questions elsewhere, its groups, first and last attempts. */
function Compared({ id }: { id: string }) {
  const found = useWorkedOut(['comparison', id], () => ask('GET /api/releases/{id}/comparison', { id }));
  if (found.isError) return <p className="text-brick">{found.error.message}</p>;
  if (!found.data?.questions) return <p role="status">Working it out…</p>;
  const { questions, more, groups, attempts, isCurrent } = found.data;
  return (
    <>
      <p className="text-mute mb-3">
        Differences are in percentage points. Beside each stand the bounds between which it lies; all those of one table
        hold together, at 95 %, for learners like these.
      </p>
      <StillComing isCurrent={isCurrent} />
      <Elsewhere questions={questions} more={more} />
      <Groups groups={groups} questions={questions} />
      <Attempts attempts={attempts} questions={questions} />
    </>
  );
}

function Part({ id, title, children }: { id: string; title: string; children: ReactNode }) {
  return (
    <section aria-labelledby={id} className="mb-10">
      <h2 id={id} className="text-2xl mb-1">
        {title}
      </h2>
      {children}
    </section>
  );
}

/** The same questions wherever they were released. */
function Elsewhere({ questions, more }: { questions: readonly ComparedQuestion[]; more: number }) {
  const found = questions.filter(({ releases }) => releases.length > 1);
  const alone = questions.filter(({ releases }) => releases.length <= 1);
  return (
    <Part id="elsewhere" title="The same questions in other releases">
      <p className="text-mute mb-3">First attempts, in all courses that you teach.</p>
      {found.map((question, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the edition
        <QuestionElsewhere key={i} question={question} />
      ))}
      {found.length > 0 && more > 0 && (
        <p className="text-mute mb-3">Shown are the 20 newest releases; {more} are older.</p>
      )}
      {alone.length > 0 && (
        <p>
          {found.length === 0
            ? 'None of its questions stands in another release of yours.'
            : `In this release alone: ${alone.map(({ title }) => `“${untitled(title)}”`).join(', ')}.`}
        </p>
      )}
    </Part>
  );
}

function QuestionElsewhere({ question: { title, releases } }: { question: ComparedQuestion }) {
  const [here, ...others] = releases;
  const drawn = releases.flatMap(({ createdAt, facility }) =>
    facility ? [{ name: day(new Date(createdAt)), facility }] : [],
  );
  if (!here) return null;
  return (
    <section aria-label={untitled(title)} className="mb-8">
      <h3 className="text-lg mb-1">{untitled(title)}</h3>
      <div className="grid gap-6 lg:grid-cols-[3fr_1.4fr] items-center">
        <Scrolls label={untitled(title)}>
          <table className="ledger-table w-full">
            <caption className="sr-only">{untitled(title)}, release by release</caption>
            <thead>
              <tr>
                <th scope="col">release</th>
                <Column>full marks</Column>
                <Column>facility</Column>
                <Column>discrimination</Column>
                <Column>against here</Column>
              </tr>
            </thead>
            <tbody>
              <ReleaseRow release={here} said="This release." />
              {others.map((release) => (
                <ReleaseRow
                  key={release.id}
                  release={release}
                  said={[
                    releaseInWords(release, here.asked),
                    release.same ? '' : 'Its words or its key were not the same there.',
                    release.isCurrent ? '' : 'Being worked out.',
                  ]
                    .filter(Boolean)
                    .join(' ')}
                />
              ))}
            </tbody>
          </table>
        </Scrolls>
        {drawn.length > 1 && (
          <Suspense fallback={<p role="status">Drawing…</p>}>
            <FacilityChart rows={drawn} />
          </Suspense>
        )}
      </div>
    </section>
  );
}

const Column = ({ children }: { children: ReactNode }) => (
  <th scope="col" style={{ textAlign: 'right' }}>
    {children}
  </th>
);

function ReleaseRow({
  release: { id, title, course, createdAt, full, asked, facility, discrimination, difference },
  said,
}: {
  release: ComparedRelease;
  said: string;
}) {
  return (
    <tr>
      <th scope="row" className="min-w-48">
        <a className="link-brass font-semibold" href={`/releases/${id}/results`}>
          {title}
        </a>
        <p className="text-sm text-mute font-normal">
          {course}, {day(new Date(createdAt))}. {said}
        </p>
      </th>
      <FigureCell>
        {full} of {asked}
      </FigureCell>
      <FigureCell bounds={facility ? between(facility) : ''}>{facility ? percent(facility.value) : '–'}</FigureCell>
      <FigureCell>{discrimination ? discrimination.value.toFixed(2).replace('-', '−') : '–'}</FigureCell>
      <ApartCell difference={difference} />
    </tr>
  );
}

const ApartCell = ({ difference }: { difference: Figure | null }) => (
  <FigureCell bounds={difference ? apartBounds(difference) : ''}>
    {difference ? apart(difference.value) : '–'}
  </FigureCell>
);

/** The groups of the course against one another. */
function Groups({ groups, questions }: Pick<ComparisonView, 'groups'> & { questions: readonly ComparedQuestion[] }) {
  return (
    <Part id="groups" title="Groups">
      {groups.length === 0 ? (
        <p>No group of this course has answered it.</p>
      ) : (
        <>
          <p className="text-mute mb-3">
            First attempts. Each group is held against everybody who is not in it. Below the numbers of the questions
            stands the mean share of their marks.
          </p>
          <Scrolls label="Group by group">
            <table className="ledger-table w-full">
              <caption className="sr-only">Group by group</caption>
              <thead>
                <tr>
                  <th scope="col">group</th>
                  <Column>learners</Column>
                  <Column>on average</Column>
                  <Column>against the others</Column>
                  {questions.map(({ title }, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the edition
                    <th key={i} scope="col" title={untitled(title)} style={{ textAlign: 'right' }}>
                      <span aria-hidden>{i + 1}</span>
                      <span className="sr-only">{untitled(title)}</span>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {groups.map((group) => (
                  <tr key={group.id}>
                    <th scope="row" className="min-w-48">
                      {group.title}
                      <p className="text-sm text-mute font-normal">{groupInWords(group)}</p>
                    </th>
                    <FigureCell>{group.learners}</FigureCell>
                    <FigureCell>{group.mean === null ? '–' : percent(group.mean)}</FigureCell>
                    <ApartCell difference={group.difference} />
                    {group.questions.map((of, i) => (
                      // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the edition
                      <FigureCell key={i}>{of ? percent(of.facility) : '–'}</FigureCell>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </Scrolls>
        </>
      )}
    </Part>
  );
}

/** First and last attempts of those who had more than one. */
function Attempts({
  attempts,
  questions,
}: Pick<ComparisonView, 'attempts'> & { questions: readonly ComparedQuestion[] }) {
  return (
    <Part id="attempts" title="First and last attempt">
      {!attempts ? (
        <p>Nobody has had more than one attempt.</p>
      ) : (
        <>
          <p className="text-mute mb-3">
            Only of those who had more than one: who tries again has seen the questions, and seldom those who had all of
            it right at once do.
          </p>
          <Scrolls label="First and last attempt">
            <table className="ledger-table w-full">
              <caption className="sr-only">First and last attempt, as a whole and by question</caption>
              <thead>
                <tr>
                  <th scope="col">question</th>
                  <Column>learners</Column>
                  <Column>first</Column>
                  <Column>last</Column>
                  <Column>last against first</Column>
                </tr>
              </thead>
              <tbody>
                <AttemptsRow title="All of it" of={attempts} />
                {attempts.questions.map((of, i) =>
                  // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the edition
                  of ? <AttemptsRow key={i} title={untitled(questions[i]?.title ?? '')} of={of} /> : null,
                )}
              </tbody>
            </table>
          </Scrolls>
        </>
      )}
    </Part>
  );
}

const AttemptsRow = ({ title, of }: { title: string; of: ComparedAttempts }) => (
  <tr>
    <th scope="row" className="min-w-48">
      {title}
      <p className="text-sm text-mute font-normal">{attemptsInWords(of)}</p>
    </th>
    <FigureCell>{of.learners}</FigureCell>
    <FigureCell>{percent(of.first)}</FigureCell>
    <FigureCell>{percent(of.last)}</FigureCell>
    <ApartCell difference={of.difference} />
  </tr>
);
