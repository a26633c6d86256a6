import { Bookmark, Copy, ListTree, Presentation, Trash2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { ask } from '../../ui/api';
import { boardAddress } from '../../ui/boardAddress';
import { useDelete } from './moving';
import { UsesDialog } from './UsesDialog';
import { changeMany, type Row, useWrite } from './useVault';

/** What can be done with a question, each with its word. */
export function RowTools({ row, inBin }: { row: Row; inBin: boolean }) {
  const [asking, setAsking] = useState(false);
  const title = row.title || 'Untitled question';
  const copy = useWrite(
    async () => ask('POST /api/questions/{id}/copies', { id: row.id, body: { id: crypto.randomUUID() } }),
    ({ id }) =>
      toast(`“${title}” was copied`, {
        action: { label: 'Open the copy', onClick: () => location.assign(`/bench/${id}`) },
      }),
  );
  const back = useWrite(() => changeMany({ ids: [row.id], deleted: false }));
  const remove = useDelete();
  const start = useWrite(() =>
    ask('PATCH /api/questions/{id}', { id: row.id, body: { startingPoint: !row.startingPoint } }),
  );
  const isOwn = row.access === 'own';
  return (
    <>
      <span className="grid grid-cols-2 2xl:grid-cols-3 justify-end [&>*]:h-6">
        {inBin ? (
          <button
            type="button"
            className="btn btn-quiet btn-sm col-span-2"
            onClick={() => back.mutate(undefined)}
            aria-label={`Bring ${title} back`}
          >
            <Undo2 size={15} aria-hidden /> Bring back
          </button>
        ) : (
          <>
            <Tool
              label={`Uses of ${title}`}
              words="Uses"
              title="Where it is used"
              Icon={ListTree}
              onPress={() => setAsking(true)}
            />
            {isOwn && (
              <Tool
                label={`Start: ${title} is a starting point`}
                words="Start"
                title="A starting point for others"
                Icon={Bookmark}
                pressed={row.startingPoint}
                onPress={() => start.mutate(undefined)}
              />
            )}
            {row.access !== 'see' && (
              <Tool
                label={`Copy ${title}`}
                words="Copy"
                title="Copy"
                Icon={Copy}
                onPress={() => copy.mutate(undefined)}
              />
            )}
            {row.access !== 'see' && (
              <a
                className="btn btn-quiet btn-xs h-7 px-1.5 justify-start font-normal"
                title="For a whole class, on one big screen"
                aria-label={`${title} on the board`}
                href={boardAddress('question', row.id)}
                target="_blank"
                rel="noreferrer"
              >
                <Presentation size={14} aria-hidden className="shrink-0" /> Board
              </a>
            )}
            {isOwn && (
              <Tool
                label={`Delete ${title}`}
                words="Delete"
                title="Delete"
                Icon={Trash2}
                onPress={() => remove.mutate({ ids: [row.id], title })}
              />
            )}
          </>
        )}
      </span>
      {asking && <UsesDialog id={row.id} title={title} onClose={() => setAsking(false)} />}
    </>
  );
}

function Tool({
  label,
  words,
  title,
  Icon,
  pressed,
  onPress,
}: {
  label: string;
  words: string;
  title: string;
  Icon: typeof Copy;
  pressed?: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      className={`btn btn-quiet btn-xs h-7 px-1.5 justify-start font-normal ${pressed ? 'text-brass' : ''}`}
      title={title}
      aria-label={label}
      aria-pressed={pressed}
      onClick={onPress}
    >
      <Icon size={14} aria-hidden className="shrink-0" fill={pressed ? 'currentColor' : 'none'} /> {words}
    </button>
  );
}
