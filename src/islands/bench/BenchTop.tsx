import { Redo2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { setQuestion } from '../../core';
import { clock } from '../../ui/when';
import { PublishDialog } from './PublishDialog';
import type { BenchState, BenchStore } from './store';
import { Typed } from './Typed';

function keepingInWords(keeping: BenchState['keeping']): string {
  switch (keeping.state) {
    case 'kept':
      return `kept ${clock(keeping.at)}`;
    case 'keeping':
      return 'keeping…';
    case 'down':
      return 'waiting for the line';
    case 'movedOn':
    case 'refused':
      return 'not kept';
  }
}

/** Where the question is kept, its title, what was kept when; undo, redo, Publish. */
export function BenchTop({ store }: { store: BenchStore }) {
  const { question, keeping, past, future, undo, redo } = store();
  const [publishing, setPublishing] = useState(false);
  return (
    <header className="bg-sheet border-b border-rule h-[52px] shrink-0 flex items-center gap-3 px-4">
      <a href="/" className="font-heading font-semibold text-lg">
        Vault Drop
      </a>
      <span className="w-px h-5 bg-rule" aria-hidden />
      <a href="/vault" className="text-mute link-brass">
        Vault
      </a>
      <Typed
        label="Title of the question"
        className="font-heading font-semibold text-lg bg-transparent field-sizing-content min-w-24 max-w-[26rem] px-1 rounded hover:bg-brass-wash"
        value={question.title}
        onTyped={(title) => {
          store.getState().do(setQuestion(store.getState().question, 'title', title));
        }}
      />
      <span className="figures text-sm text-mute whitespace-nowrap" role="status">
        {keepingInWords(keeping)}
      </span>
      <span className="grow" />
      <button type="button" className="btn btn-quiet btn-sm" onClick={undo} disabled={past.length === 0}>
        <Undo2 size={16} aria-hidden /> Undo
      </button>
      <button type="button" className="btn btn-quiet btn-sm" onClick={redo} disabled={future.length === 0}>
        <Redo2 size={16} aria-hidden /> Redo
      </button>
      <button type="button" className="btn btn-primary btn-sm h-[35px]" onClick={() => setPublishing(true)}>
        Publish…
      </button>
      {publishing && <PublishDialog store={store} onClose={() => setPublishing(false)} />}
    </header>
  );
}
