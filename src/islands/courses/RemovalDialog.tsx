import { useQuery } from '@tanstack/react-query';
import type { RemovalEffects } from '../../contract';
import { ask } from '../../ui';
import { Confirm } from '../../ui/Confirm';

type Effects = RemovalEffects;
export type Removable = 'unit' | 'category' | 'group';

interface Props {
  courseId: string;
  kind: Removable;
  row: { id: string; title: string };
  onClose: () => void;
  onRemove: () => void;
}

const WORDS: Readonly<Record<Removable, string>> = { unit: 'unit', category: 'weight category', group: 'group' };
const percent = (share: number | null) => (share === null ? 'none' : `${Math.round(share * 1000) / 10} %`);
const count = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;
const SHOWN = 8;

/** The effects of a removal, on whom and on which marks, before it is confirmed. */
export function RemovalDialog({ courseId, kind, row, onClose, onRemove }: Props) {
  const effects = useQuery({
    queryKey: ['removal', kind, row.id],
    queryFn: () => ask('GET /api/courses/{id}/removals', { id: courseId, query: { kind, of: row.id } }),
    gcTime: 0,
  });
  return (
    <Confirm
      title={`Remove the ${WORDS[kind]} “${row.title}”?`}
      action="Remove it"
      onConfirm={onRemove}
      onClose={onClose}
      disabled={!effects.data}
    >
      {effects.isPending && <p role="status">Looking up what depends on it…</p>}
      {effects.error && <p className="text-brick">{effects.error.message}</p>}
      {effects.data && <Said kind={kind} effects={effects.data} />}
    </Confirm>
  );
}

function Said({ kind, effects: { releases, learners, forNobody, marks } }: { kind: Removable; effects: Effects }) {
  const titles = releases.map(({ title }) => `“${title}”`).join(', ');
  return (
    <div className="grid gap-2">
      {kind === 'unit' && (
        <p>
          {releases.length === 0
            ? 'No release stands in it.'
            : `${count(releases.length, 'release')} will stand in no unit: ${titles}.`}
        </p>
      )}
      {kind === 'group' && (
        <p>
          {learners === 0
            ? 'Nobody is in it.'
            : `${count(learners, 'learner')} will not be in it any more. They stay in the course.`}
        </p>
      )}
      {forNobody.length > 0 && (
        <p className="text-brick">
          Nobody will see {forNobody.map((title) => `“${title}”`).join(', ')}: only this group does.
        </p>
      )}
      {kind === 'category' && (
        <p>
          {releases.length === 0
            ? 'No release counts in it.'
            : `${count(releases.length, 'release')} will count in no category: ${titles}.`}
        </p>
      )}
      {marks.length > 0 && (
        <>
          <p className="text-brick">{count(marks.length, 'overall mark')} will change:</p>
          <ul className="figures text-sm">
            {marks.slice(0, SHOWN).map(({ learnerId, name, before, after }) => (
              <li key={learnerId}>
                {name}: {percent(before)} → {percent(after)}
              </li>
            ))}
            {marks.length > SHOWN && <li>and {marks.length - SHOWN} more</li>}
          </ul>
        </>
      )}
      <p className="text-mute">It can be undone, and is recorded in “Who changed marks”.</p>
    </div>
  );
}
