import { useQuery } from '@tanstack/react-query';
import { ask, moment, Scrolls } from '../../ui';
import { Part } from './Part';

const WHAT: Record<string, string> = {
  markSet: 'set a mark by hand',
  markSetBack: 'removed a mark set by hand',
  excused: 'excused, or no longer',
  editionMade: 'made a correction',
  editionApplied: 'applied a correction to marks',
  allowed: 'changed what a learner is allowed',
  settings: 'changed the settings',
  erased: 'erased a learner’s data',
  categories: 'changed the weights of categories',
  removed: 'removed a unit, a category or a group',
  removalUndone: 'undid a removal',
  reopened: 'opened a finished attempt again',
  paperEntered: 'typed in a sheet of paper',
};

/** Who changed marks, or what marks depend on. */
export function MarkLog({ courseId }: { courseId: string }) {
  const entries = useQuery({
    queryKey: ['audit'],
    queryFn: () => ask('GET /api/courses/{id}/audit', { id: courseId }),
  });
  return (
    <Part
      title="Who changed marks"
      about="Every change of a mark, and of what marks depend on. It cannot be altered: when a learner is erased, only the fact that something was changed stays."
    >
      {entries.data?.length === 0 && <p>Nothing has been changed yet.</p>}
      <Scrolls label="Changes, the newest first" className="max-h-96">
        <ul>
          {entries.data?.map(({ n, at, by, what, release, learner, detail }) => (
            <li key={n} className="border-b border-rule py-1.5">
              <span className="figures text-sm text-mute">{moment(new Date(at))}</span> {by} {WHAT[what] ?? what}
              {release && <> in “{release}”</>}
              {learner && <> for {learner}</>}
              {typeof detail.title === 'string' && <> “{detail.title}”</>}
              {typeof detail.reason === 'string' && detail.reason !== '' && <>: {detail.reason}</>}
            </li>
          ))}
        </ul>
      </Scrolls>
    </Part>
  );
}
