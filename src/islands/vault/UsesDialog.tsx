import { useQuery } from '@tanstack/react-query';
import { Dialog } from '../../ui';
import { Alert } from '../../ui/Alert';
import { ask } from '../../ui/api';

/** The uses of a question. */
export function UsesDialog({ id, title, onClose }: { id: string; title: string; onClose: () => void }) {
  const uses = useQuery({
    queryKey: ['uses', id],
    queryFn: () => ask('GET /api/questions/{id}/uses', { id }),
    staleTime: 0,
  });
  const { sets = [], releases = [] } = uses.data ?? {};
  return (
    <Dialog title={`Where “${title}” is used`} onClose={onClose}>
      {uses.isPending && <p className="text-mute">Looking…</p>}
      {uses.error && <Alert tone="problem">{uses.error.message}</Alert>}
      {uses.data && sets.length + releases.length === 0 && <p>In no set, and never published.</p>}
      {sets.length > 0 && (
        <>
          <h3 className="font-semibold">Sets</h3>
          <ul className="mb-3">
            {sets.map((set) => (
              <li key={set.id} className="border-b border-rule py-1">
                {set.mine ? (
                  <a className="link-brass" href={`/sets/${set.id}`}>
                    {set.title}
                  </a>
                ) : (
                  <>
                    {set.title} <span className="text-mute">{set.by}</span>
                  </>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      {releases.length > 0 && (
        <>
          <h3 className="font-semibold">Releases</h3>
          <ul>
            {releases.map((release) => (
              <li key={release.id} className="border-b border-rule py-1">
                {release.mine ? (
                  <a className="link-brass" href={`/releases/${release.id}/results`}>
                    {release.title}
                  </a>
                ) : (
                  release.title
                )}{' '}
                <span className="text-mute">
                  {release.course}
                  {release.mine ? '' : `, ${release.by}`}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="flex justify-end mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Done
        </button>
      </div>
    </Dialog>
  );
}
