import { CornerDownRight, Download, Folder, FolderPlus, Library, Pencil, Share2, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { MAX_AT_ONCE } from '../../contract/limits';
import { shelfShare } from '../../contract/shelves';
import { RIGHTS, type Right } from '../../contract/vocabulary';
import { Dialog, Field } from '../../ui';
import { ask } from '../../ui/api';
import { Confirm } from '../../ui/Confirm';
import { useRequestForm } from '../../ui/form';
import { ExportDialog } from '../shared/ExportDialog';
import { type Goal, useDragged, useGoal } from './Dragging';
import { alsoFor, mayStandOn, sharedWith, UNDO_MS, useMoveShelf } from './moving';
import { type Shelf, useWrite } from './useVault';

interface Props {
  shelves: readonly Shelf[];
  chosen: string;
  onChoose: (shelf: string) => void;
  onMade: (shelf: string) => void;
}

/** The shelves of the Vault, in one another, and what stands on none or lies in the bin. */
export function Shelves({ shelves, chosen, onChoose, onMade }: Props) {
  const [asking, setAsking] = useState<'new' | 'rename' | 'move' | 'share' | 'export' | 'remove' | null>(null);
  const here = shelves.find(({ id }) => id === chosen);
  const own = shelves.filter(({ access }) => access === 'own');
  const shared = shelves.filter(({ access }) => access !== 'own');
  const remove = useWrite(
    (shelf: Shelf) => ask('DELETE /api/shelves/{id}', { id: shelf.id }),
    (was, shelf) => {
      onChoose(shelf.parentId ?? '');
      toast(`“${shelf.title}” was removed`, {
        description: 'Its questions and shelves are where the shelf was.',
        duration: UNDO_MS,
        action: { label: 'Undo', onClick: () => back.mutate({ shelf, was }) },
      });
    },
  );
  const back = useWrite(async ({ shelf, was }: { shelf: Shelf; was: { questions: string[]; shelves: string[] } }) => {
    await ask('POST /api/shelves', { body: { id: shelf.id, title: shelf.title, parentId: shelf.parentId } });
    for (const { username, right } of shelf.shares)
      await ask('PUT /api/shelves/{id}/shares', { id: shelf.id, body: { username, right, from: null } });
    for (const id of was.shelves) await ask('PATCH /api/shelves/{id}', { id, body: { parentId: shelf.id } });
    for (let i = 0; i < was.questions.length; i += MAX_AT_ONCE)
      await ask('PATCH /api/questions', { body: { ids: was.questions.slice(i, i + MAX_AT_ONCE), shelfId: shelf.id } });
  });
  const entry = (id: string, title: string, goal: Goal | null, shelf?: Shelf) => (
    <Entry
      id={id}
      title={title}
      goal={goal}
      shelf={shelf}
      shelves={shelves}
      isChosen={chosen === id}
      onChoose={() => onChoose(id)}
    />
  );
  return (
    <nav aria-label="Shelves" className="text-base min-w-0">
      <ul className="grid grid-cols-[minmax(0,1fr)] gap-0.5">
        <li>{entry('', 'All questions', 'top')}</li>
        <Branch shelves={own} parentId={null} entry={(shelf) => entry(shelf.id, shelf.title, { shelf }, shelf)} />
        {own.length > 0 && <li>{entry('none', 'On no shelf', 'none')}</li>}
        <li>{entry('bin', 'Bin', 'bin')}</li>
      </ul>
      <div className="flex flex-wrap gap-1 mt-2 border-t border-rule pt-2">
        <button type="button" className="btn btn-quiet btn-sm" onClick={() => setAsking('new')}>
          <FolderPlus size={15} aria-hidden /> New shelf
        </button>
        {here?.access === 'own' && (
          <>
            <button type="button" className="btn btn-quiet btn-sm" onClick={() => setAsking('rename')}>
              <Pencil size={14} aria-hidden /> Rename
            </button>
            {own.length > 1 && (
              <button type="button" className="btn btn-quiet btn-sm" onClick={() => setAsking('move')}>
                <CornerDownRight size={14} aria-hidden /> Move…
              </button>
            )}
            <button type="button" className="btn btn-quiet btn-sm" onClick={() => setAsking('share')}>
              <Share2 size={14} aria-hidden /> Share…
            </button>
            <button type="button" className="btn btn-quiet btn-sm" onClick={() => setAsking('export')}>
              <Download size={14} aria-hidden /> Export…
            </button>
            <button type="button" className="btn btn-quiet btn-sm" onClick={() => setAsking('remove')}>
              <Trash2 size={14} aria-hidden /> Remove…
            </button>
          </>
        )}
      </div>
      {shared.length > 0 && (
        <>
          <h2 className="font-semibold mt-4 mb-1 px-2">Shared with you</h2>
          <ul className="grid grid-cols-[minmax(0,1fr)] gap-0.5">
            <Branch
              shelves={shared}
              parentId={null}
              entry={(shelf) => entry(shelf.id, `${shelf.title}, ${shelf.owner}`, null, shelf)}
            />
          </ul>
        </>
      )}
      {asking === 'new' && (
        <NameDialog parent={here?.access === 'own' ? here : null} onClose={() => setAsking(null)} onMade={onMade} />
      )}
      {asking === 'rename' && here && (
        <NameDialog shelf={here} parent={null} onClose={() => setAsking(null)} onMade={onChoose} />
      )}
      {asking === 'move' && here && <MoveDialog shelf={here} shelves={shelves} onClose={() => setAsking(null)} />}
      {asking === 'remove' && here && (
        <RemoveDialog
          shelf={here}
          shelves={shelves}
          onClose={() => setAsking(null)}
          onRemove={() => {
            setAsking(null);
            remove.mutate(here);
          }}
        />
      )}
      {asking === 'export' && here && <ExportDialog what={{ shelf: here.id }} onClose={() => setAsking(null)} />}
      {asking === 'share' && here && <ShareDialog shelf={here} onClose={() => setAsking(null)} />}
    </nav>
  );
}

const ICONS = { top: Library, none: Folder, bin: Trash2 };

interface EntryProps {
  id: string;
  title: string;
  goal: Goal | null;
  shelf?: Shelf | undefined;
  shelves: readonly Shelf[];
  isChosen: boolean;
  onChoose: () => void;
}

/**
 * An entry of the shelf list: a shelf, or all, none or the bin. A press opens it; questions and shelves can be dragged
 * onto it.
 */
function Entry({ id, title, goal, shelf, shelves, isChosen, onChoose }: EntryProps) {
  const { dragRef, listeners } = useDragged(`shelf-${id}`, shelf?.access === 'own' ? { shelf } : null);
  const { goalRef, isOver } = useGoal(id || 'top', goal, shelves);
  const Icon = typeof goal === 'string' ? ICONS[goal] : Folder;
  return (
    <button
      ref={(node) => {
        dragRef(node);
        goalRef(node);
      }}
      {...listeners}
      type="button"
      className={`flex items-center gap-2 w-full text-start px-2 py-1 rounded cursor-pointer ${isOver ? 'outline-2 outline-brass bg-brass-wash text-ink' : isChosen ? 'bg-ink text-sheet' : 'hover:bg-brass-wash'}`}
      aria-current={isChosen ? 'true' : undefined}
      onClick={onChoose}
    >
      <Icon size={15} aria-hidden className="shrink-0" />
      <span className="grow truncate" dir="auto">
        {title}
      </span>
      {shelf && <span className="figures text-sm opacity-80">{shelf.questions}</span>}
    </button>
  );
}

function Branch({
  shelves,
  parentId,
  entry,
}: {
  shelves: readonly Shelf[];
  parentId: string | null;
  entry: (shelf: Shelf) => React.ReactNode;
}) {
  return shelves
    .filter((shelf) => shelf.parentId === parentId)
    .map((shelf) => (
      <li key={shelf.id}>
        {entry(shelf)}
        {shelves.some((shelfRow) => shelfRow.parentId === shelf.id) && (
          <ul className="ps-4 grid gap-0.5">
            <Branch shelves={shelves} parentId={shelf.id} entry={entry} />
          </ul>
        )}
      </li>
    ));
}

/** A new shelf, on another or at the top; or another name for one. */
function NameDialog({
  shelf,
  parent,
  onClose,
  onMade,
}: {
  shelf?: Shelf;
  parent: Shelf | null;
  onClose: () => void;
  onMade: (id: string) => void;
}) {
  const [title, setTitle] = useState(shelf?.title ?? '');
  const [id] = useState(() => shelf?.id ?? crypto.randomUUID());
  const keep = useWrite(
    async (name: string) => {
      if (shelf) await ask('PATCH /api/shelves/{id}', { id, body: { title: name } });
      else await ask('POST /api/shelves', { body: { id, title: name, parentId: parent?.id ?? null } });
    },
    undefined,
    () => {
      onClose();
      onMade(id);
    },
  );
  return (
    <Dialog
      title={shelf ? `Rename “${shelf.title}”` : parent ? `New shelf on “${parent.title}”` : 'New shelf'}
      onClose={onClose}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (title.trim() !== '') keep.mutate(title.trim());
        }}
      >
        <Field
          label="Name of the shelf"
          data-autofocus
          value={title}
          maxLength={100}
          onChange={(event) => setTitle(event.target.value)}
        />
        <div className="flex justify-end gap-2 mt-4">
          <button type="button" className="btn btn-quiet" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-primary" disabled={title.trim() === '' || keep.isPending}>
            {shelf ? 'Rename' : 'Make it'}
          </button>
        </div>
      </form>
    </Dialog>
  );
}

/** Puts a shelf onto another, or at the top, with all that stands on it. */
function MoveDialog({ shelf, shelves, onClose }: { shelf: Shelf; shelves: readonly Shelf[]; onClose: () => void }) {
  const [parentId, setParentId] = useState(shelf.parentId);
  const move = useMoveShelf(shelves, onClose);
  return (
    <Dialog title={`Move “${shelf.title}”`} onClose={onClose}>
      <p className="text-mute mb-2">With everything on it and the shelves that stand on it.</p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          move.mutate({ shelf, parentId });
        }}
      >
        <label className="grid gap-1">
          Let it stand on
          <select
            className="select w-full"
            data-autofocus
            value={parentId ?? ''}
            onChange={(event) => setParentId(event.target.value || null)}
          >
            <option value="">no other: at the top</option>
            {mayStandOn(shelves, shelf).map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </label>
        <p className="min-h-6 mt-2">{parentId !== shelf.parentId && alsoFor(sharedWith(shelves, parentId))}</p>
        <div className="flex justify-end gap-2 mt-4">
          <button type="button" className="btn btn-quiet" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-primary" disabled={parentId === shelf.parentId || move.isPending}>
            Move it
          </button>
        </div>
      </form>
    </Dialog>
  );
}

/** What removing a shelf does, and to whom, before it is removed. */
function RemoveDialog({
  shelf,
  shelves,
  onClose,
  onRemove,
}: {
  shelf: Shelf;
  shelves: readonly Shelf[];
  onClose: () => void;
  onRemove: () => void;
}) {
  const parent = shelves.find(({ id }) => id === shelf.parentId);
  const inner = shelves.filter(({ parentId }) => parentId === shelf.id).length;
  return (
    <Confirm title={`Remove the shelf “${shelf.title}”?`} action="Remove it" onConfirm={onRemove} onClose={onClose}>
      <p>
        {shelf.questions === 1 ? 'One question' : `${shelf.questions} questions`}
        {inner > 0 && (inner === 1 ? ' and one shelf' : ` and ${inner} shelves`)} will stand{' '}
        {parent ? `on “${parent.title}”` : 'on no shelf'}. None is deleted.
      </p>
      {shelf.shares.length > 0 && (
        <p className="text-brick mt-2">
          {shelf.shares.map(({ name }) => name).join(', ')} will not see them any more, unless they stand on another
          shelf that is shared.
        </p>
      )}
    </Confirm>
  );
}

const RIGHTS_IN_WORDS: Readonly<Record<Right, string>> = {
  see: 'look at what is on it, and copy it',
  use: 'use it in sets too',
  edit: 'change it',
};

/** The colleagues a shelf is shared with, and their rights. */
function ShareDialog({ shelf, onClose }: { shelf: Shelf; onClose: () => void }) {
  const { register, handleSubmit, reset, formState } = useRequestForm(shelfShare.omit(['from']), {
    username: '',
    right: 'use',
  });
  const share = useWrite(
    (change: { username: string; right: Right | null; from: Right | null }) =>
      ask('PUT /api/shelves/{id}/shares', { id: shelf.id, body: change }),
    (_, { right }) => right !== null && reset({ username: '', right }),
  );
  const knownRight = (username: string) =>
    shelf.shares.find((share) => share.username === username.toLowerCase())?.right ?? null;
  return (
    <Dialog title={`Share “${shelf.title}”`} onClose={onClose}>
      <p className="text-mute mb-2">With everything on it and on the shelves that stand on it.</p>
      <ul>
        {shelf.shares.map((one) => (
          <li key={one.username} className="flex items-center gap-2 border-b border-rule py-1">
            <span className="grow">
              {one.name} <span className="figures text-sm text-mute">{one.username}</span>
            </span>
            <select
              aria-label={`What ${one.name} may do`}
              className="select select-sm w-64"
              value={one.right}
              onChange={(event) =>
                share.mutate({
                  username: one.username,
                  right: RIGHTS.find((right) => right === event.target.value) ?? one.right,
                  from: one.right,
                })
              }
            >
              {RIGHTS.map((right) => (
                <option key={right} value={right}>
                  may {RIGHTS_IN_WORDS[right]}
                </option>
              ))}
            </select>
            <button
              type="button"
              className="btn btn-quiet btn-sm"
              onClick={() => share.mutate({ username: one.username, right: null, from: one.right })}
            >
              No longer
            </button>
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-end gap-2 mt-3"
        noValidate
        onSubmit={handleSubmit(({ username, right }) =>
          share.mutate({ username: username.trim(), right, from: knownRight(username.trim()) }),
        )}
      >
        <Field
          className="grow"
          label="User name of a colleague"
          data-autofocus
          autoComplete="off"
          problem={formState.errors.username?.message}
          {...register('username')}
        />
        <select aria-label="What they may do" className="select w-64" {...register('right')}>
          {RIGHTS.map((right) => (
            <option key={right} value={right}>
              may {RIGHTS_IN_WORDS[right]}
            </option>
          ))}
        </select>
        <button type="submit" className="btn btn-primary" disabled={share.isPending}>
          Share
        </button>
      </form>
      <div className="flex justify-end mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Done
        </button>
      </div>
    </Dialog>
  );
}
