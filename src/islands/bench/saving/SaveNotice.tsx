import { type ReactNode, useState } from 'react';
import { toast } from 'sonner';
import { api } from '../../../ui/api';
import { Confirm } from '../../../ui/Confirm';
import type { BenchStore } from '../store';

/** Why saving failed, and what the author can do. Nothing is discarded without asking. */
export function SaveNotice({ store }: { store: BenchStore }) {
  const saving = store((s) => s.saving);
  const [dropping, setDropping] = useState(false);
  if (saving.state === 'offline')
    return (
      <Bar>
        You are offline. Carry on: your changes stay in this tab and are saved when you are back. Do not close it before
        then.
      </Bar>
    );
  if (saving.state === 'refused')
    return (
      <Bar>
        {saving.error.message}: {saving.error.problems?.[0]?.message ?? saving.error.nextStep} Undo it, or change it; it
        is saved then.
      </Bar>
    );
  if (saving.state !== 'movedOn') return null;

  const asCopy = async () => {
    const id = crypto.randomUUID();
    const made = await api('POST /api/questions/{id}/copies', {
      id: store.getState().question.id,
      body: { id, document: store.getState().question },
    });
    if (!made.ok) return void toast.error(made.error.message, { description: made.error.nextStep });
    leave(`/bench/${id}`);
  };
  const leave = (to: string) => {
    store.autoSave.abandon();
    location.assign(to);
  };
  return (
    <>
      <Bar>
        <strong>{saving.error.message}.</strong> Your changes since then are still here, but they cannot be saved on top
        of the other version.
        <span className="grow" />
        <button type="button" className="btn btn-primary btn-sm" onClick={() => void asCopy()}>
          Save mine as a copy
        </button>
        <button type="button" className="btn btn-edge btn-sm" onClick={() => setDropping(true)}>
          Take the other version…
        </button>
      </Bar>
      {dropping && (
        <Confirm
          title="Take the other version?"
          action="Drop mine"
          cancel="Stay here"
          onConfirm={() => leave(location.href)}
          onClose={() => setDropping(false)}
          forGood
        >
          <p>What you changed here since it was last saved is lost then.</p>
        </Confirm>
      )}
    </>
  );
}

function Bar({ children }: { children: ReactNode }) {
  return (
    <div role="alert" className="bg-brick-wash border-b border-brick px-4 py-2 flex flex-wrap items-center gap-2">
      {children}
    </div>
  );
}
