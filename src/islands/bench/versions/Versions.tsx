import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { difference } from '../../../core';
import { MediaFrom, Sketch } from '../../../scene';
import { api, ask } from '../../../ui/api';
import { Dialog } from '../../../ui/Dialog';
import { Typed } from '../../../ui/Typed';
import { changesInWords } from '../../shared/changesInWords';
import { benchMedia } from '../../shared/ownMedia';
import type { BenchStore } from '../store';

/**
 * The versions of the question, one for each pause: to view, to compare, and to bring back as one step that can be
 * undone.
 */
export function Versions({ store }: { store: BenchStore }) {
  const id = store((s) => s.question.id);
  const close = () => store.getState().show(null);
  const [chosen, setChosen] = useState<number | null>(null);
  const versions = useQuery({
    queryKey: ['versions', id],
    // Unsaved edits are saved first, so that nothing is missing from the list.
    queryFn: async () => {
      await store.autoSave.flush();
      return ask('GET /api/questions/{id}/versions', { id });
    },
    staleTime: 0,
    gcTime: 0,
  });
  const shown = chosen ?? versions.data?.[1]?.revision ?? null;
  return (
    <Dialog title="Versions" wide onClose={close}>
      {versions.isPending && <p className="text-mute">Looking them up…</p>}
      {versions.isError && (
        <p className="text-brick">
          You are offline, so they cannot be shown. What you change stays in this tab until you are back.
        </p>
      )}
      {versions.data && (
        <div className="grid grid-cols-[13rem_1fr] gap-4">
          <ol className="max-h-[60vh] overflow-auto border-r border-rule pr-2" aria-label="Versions, the newest first">
            {versions.data.map(({ revision, at, by, changes, name }, i) => (
              <li key={revision}>
                <button
                  type="button"
                  className={`w-full text-left px-2 py-1 cursor-pointer border-b border-rule ${shown === revision ? 'bg-brass-wash' : 'hover:bg-paper'}`}
                  aria-pressed={shown === revision}
                  onClick={() => setChosen(revision)}
                >
                  {name && <span className="block font-semibold">{name}</span>}
                  <span className="block">{i === 0 ? 'Now' : format(new Date(at), 'd MMM, HH:mm')}</span>
                  <span className="block text-sm text-mute">
                    {changes === 0 ? 'as it was made' : `${changes} ${changes === 1 ? 'change' : 'changes'}`} · {by}
                  </span>
                </button>
              </li>
            ))}
          </ol>
          {shown === null ? (
            <p className="text-mute">There is one version so far: it stands on the scene.</p>
          ) : (
            <OneVersion
              key={shown}
              store={store}
              revision={shown}
              name={versions.data.find(({ revision }) => revision === shown)?.name ?? ''}
              onNamed={() => void versions.refetch()}
              onDone={close}
            />
          )}
        </div>
      )}
    </Dialog>
  );
}

const SKETCH = 460;

interface OneProps {
  store: BenchStore;
  revision: number;
  name: string;
  onNamed: () => void;
  onDone: () => void;
}

function OneVersion({ store, revision, name, onNamed, onDone }: OneProps) {
  const now = store((s) => s.question);
  const found = useQuery({
    queryKey: ['version', now.id, revision],
    queryFn: () => ask('GET /api/questions/{id}/versions/{revision}', { id: now.id, revision: String(revision) }),
  });
  const then = found.data?.question;
  const step = useMemo(() => (then ? difference(now, then) : []), [now, then]);
  const source = useMemo(() => benchMedia(then?.media ?? {}), [then]);
  if (found.isError) return <p className="text-brick">You are offline, so this version cannot be shown.</p>;
  if (!then) return <p className="text-mute">Looking it up…</p>;
  const changes = changesInWords(now, then, step);
  return (
    <div className="min-w-0">
      <div className="flex items-center gap-2 mb-1">
        <p className="font-heading font-semibold truncate grow">{then.title}</p>
        {/* The first is as it was made, and is called so. */}
        {revision > 1 && (
          <Typed
            label="Name of this version"
            placeholder="name this version"
            className="input input-sm w-52"
            value={name}
            problem={(typed) => (typed.trim().length > 100 ? 'At most 100 characters' : null)}
            onTyped={async (typed) => {
              const body = { name: typed.trim() || null };
              const named = await api('PUT /api/questions/{id}/versions/{revision}', {
                id: now.id,
                revision: String(revision),
                body,
              });
              if (named.ok) onNamed();
              else toast.error(named.error.message, { description: named.error.nextStep });
            }}
          />
        )}
      </div>
      <MediaFrom source={source}>
        <Sketch question={then} width={SKETCH} />
      </MediaFrom>
      <h3 className="font-semibold mt-2">Against how it stands now</h3>
      {changes.length === 0 ? (
        <p className="text-mute">Nothing differs.</p>
      ) : (
        <ul className="max-h-36 overflow-auto text-sm" aria-label="Differences">
          {changes.map((line) => (
            <li key={line} className="border-b border-rule">
              {line}
            </li>
          ))}
        </ul>
      )}
      <div className="flex gap-2 justify-end mt-3">
        <button type="button" className="btn btn-quiet" onClick={onDone}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-primary"
          disabled={step.length === 0}
          onClick={() => {
            store.getState().do(step, 'An earlier version is back');
            onDone();
          }}
        >
          Bring it back
        </button>
      </div>
    </div>
  );
}
