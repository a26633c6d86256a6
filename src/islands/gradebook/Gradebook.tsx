import { Redo2, Undo2 } from 'lucide-react';
import { useDeferredValue, useEffect, useState } from 'react';
import { Toaster } from 'sonner';
import { GRADE_FILTERS, type GradeFilter } from '../../contract';
import { Field } from '../../ui';
import { Choose } from '../../ui/Choose';
import { Queries } from '../../ui/Queries';
import { CellDialog } from './CellDialog';
import { GradeTable } from './GradeTable';
import { FILTERS_IN_WORDS } from './inWords';
import {
  type Cell,
  type Changes,
  type Order,
  type Page,
  type Release,
  type Row,
  useChanges,
  useGrades,
} from './useGrades';
import './gradebook.css';
import { OneRosterOut } from './OneRosterOut';

export function Gradebook({ courseId }: { courseId: string }) {
  return (
    <Queries>
      <Grades courseId={courseId} />
      <Toaster position="bottom-right" />
    </Queries>
  );
}

const EVERYBODY = '';
const ANY = '';

/** The gradebook: learners by releases, sorted and filtered by the server. */
function Grades({ courseId }: { courseId: string }) {
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const [group, setGroup] = useState(EVERYBODY);
  const [release, setRelease] = useState(ANY);
  const [state, setState] = useState<GradeFilter>('missing');
  const [order, setOrder] = useState<Order>({ sort: 'name', descending: false });
  const [opened, setOpened] = useState<{ learnerId: string; releaseId: string } | null>(null);
  const [reason, setReason] = useState('');
  const filter = {
    words,
    ...(group === EVERYBODY ? {} : { group }),
    ...(release === ANY ? {} : { release, state }),
  };
  const { found, means } = useGrades(courseId, filter, order);
  const changes = useChanges();
  useUndoKeys(changes);
  const [first] = found.data?.pages ?? [];
  if (found.isError) return <p className="text-brick">{found.error.message}</p>;
  if (!first) return <p role="status">Adding up…</p>;
  const rows = found.data?.pages.flatMap((page) => page.rows) ?? [];
  const { releases, groups, total } = first;
  const setMark = (row: Row, column: Release, points: number | null) => {
    const cell = row.cells[releases.indexOf(column)] as Cell;
    const before = cell.byHand === null ? null : { points: cell.points ?? 0, reason: cell.byHand, above: true };
    return changes.make({
      learnerId: row.learnerId,
      releaseId: column.id,
      before: { mark: before },
      after: { mark: points === null ? null : { points, reason: reason.trim() || TYPED_HERE } },
    });
  };
  const shown = opened && findCell(rows, releases, opened);
  return (
    <div className="flex flex-col">
      <div className="grid gap-x-4 gap-y-3 mb-3 sm:grid-cols-2 lg:grid-cols-4 items-end">
        <Field
          label="Find by name"
          type="search"
          maxLength={200}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        {groups.length > 0 && (
          <Choose
            label="Group"
            value={group}
            onChange={setGroup}
            options={[[EVERYBODY, 'everybody'], ...groups.map(({ id, title }) => [id, title] as const)]}
          />
        )}
        {releases.length > 0 && (
          <Choose
            label="Those who, in"
            value={release}
            onChange={setRelease}
            options={[[ANY, 'any release'], ...releases.map(({ id, title }) => [id, title] as const)]}
          />
        )}
        {release !== ANY && (
          <Choose
            label="have which state"
            value={state}
            onChange={setState}
            options={GRADE_FILTERS.map((one) => [one, FILTERS_IN_WORDS[one]])}
          />
        )}
      </div>
      <div className="flex flex-wrap items-end gap-3 mb-3">
        <Field
          className="grow max-w-sm"
          label="Why, for marks typed into the table"
          placeholder={TYPED_HERE}
          maxLength={500}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
        <UndoButtons changes={changes} />
        <span className="grow" />
        <a
          className="link-brass pb-2"
          href={`/courses/${courseId}/report${group === EVERYBODY ? '' : `?group=${group}`}`}
        >
          Reports on paper
        </a>
        <OneRosterOut courseId={courseId} />
        <a className="link-brass pb-2" href={`/courses/${courseId}/gradebook.csv?bom`} download>
          with a byte order mark
        </a>
        <a className="btn btn-primary" href={`/courses/${courseId}/gradebook.csv`} download>
          Gradebook as CSV
        </a>
      </div>
      <p className="text-mute mt-3 order-last">
        {weightsInWords(first)} What is missing counts as zero; what is still to come, and what somebody is excused
        from, does not count. Arrow keys move through the table, digits set a mark, Enter opens a cell.
      </p>
      {releases.length === 0 && <p className="text-lg">Nothing that counts is published here yet.</p>}
      {total === 0 ? (
        <p className="text-lg" role="status">
          {words === '' && group === EVERYBODY && release === ANY
            ? 'Nobody is in this course yet.'
            : 'There is nobody like that.'}
        </p>
      ) : (
        <GradeTable
          {...{ courseId, page: first, rows, total, order, means }}
          hasMore={found.hasNextPage && !found.isFetchingNextPage}
          onMore={() => void found.fetchNextPage()}
          onOrder={setOrder}
          onOpen={(row, { id }) => setOpened({ learnerId: row.learnerId, releaseId: id })}
          onMark={setMark}
        />
      )}
      {shown && (
        <CellDialog
          key={`${shown.row.learnerId} ${shown.release.id}`}
          {...shown}
          onClose={() => setOpened(null)}
          onChange={async (after, before) => {
            const { row, release: column } = shown;
            if (await changes.make({ learnerId: row.learnerId, releaseId: column.id, before, after })) setOpened(null);
          }}
        />
      )}
    </div>
  );
}

/** The reason of marks for which none was given. */
const TYPED_HERE = 'Typed into the gradebook';

function findCell(
  rows: readonly Row[],
  releases: readonly Release[],
  { learnerId, releaseId }: { readonly learnerId: string; readonly releaseId: string },
) {
  const row = rows.find((one) => one.learnerId === learnerId);
  const at = releases.findIndex(({ id }) => id === releaseId);
  const [release, cell] = [releases[at], row?.cells[at]];
  return row && release && cell ? { row, release, cell } : null;
}

function weightsInWords({ categories }: Page): string {
  if (categories.length === 0) return 'The total is all points out of all that could be earned.';
  const weights = categories.reduce((sum, { weight }) => sum + weight, 0);
  const shares = categories.map(
    ({ title, weight }) => `${title} ${weights > 0 ? Math.round((weight / weights) * 100) : 0} %`,
  );
  return `The total is weighted: ${shares.join(', ')}.`;
}

const UndoButtons = ({ changes: { undo, redo } }: { changes: Changes }) => (
  <span className="flex gap-1">
    <button type="button" className="btn btn-edge" disabled={!undo} onClick={() => undo?.()}>
      <Undo2 size={18} aria-hidden /> Undo
    </button>
    <button type="button" className="btn btn-edge" disabled={!redo} onClick={() => redo?.()}>
      <Redo2 size={18} aria-hidden /> Redo
    </button>
  </span>
);

/** Ctrl+Z and Ctrl+Y (or Shift+Ctrl+Z), where nothing is being typed. */
function useUndoKeys({ undo, redo }: Changes): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const { key, target } = event;
      if (!(event.ctrlKey || event.metaKey) || document.querySelector('dialog[open]')) return;
      if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) return;
      const small = key.toLowerCase();
      const does = small === 'y' || (small === 'z' && event.shiftKey) ? redo : small === 'z' ? undo : null;
      if (!does) return;
      event.preventDefault();
      does();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [undo, redo]);
}
