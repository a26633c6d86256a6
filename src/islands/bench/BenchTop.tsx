import { History, Keyboard, Play, Redo2, Undo2 } from 'lucide-react';
import { useMemo } from 'react';
import { applyAll, setQuestion } from '../../core';
import { Typed } from '../../ui/Typed';
import { clock } from '../../ui/when';
import { type BenchState, type BenchStore, mayChange, stepInWords } from './store';

function savingInWords(saving: BenchState['saving']): string {
  switch (saving.state) {
    case 'new':
      return 'nothing there yet';
    case 'saved':
      return `saved at ${clock(saving.at)}`;
    case 'saving':
      return 'saving…';
    case 'offline':
      return 'offline: not saved yet';
    case 'movedOn':
    case 'refused':
      return 'not saved';
  }
}

/** The top line: the shelf, the title, when it was saved; undo, redo, Rehearse, Publish. */
export function BenchTop({ store }: { store: BenchStore }) {
  const title = store((s) => s.question.title);
  const saving = store((s) => s.saving);
  const last = store((s) => s.past.at(-1));
  const next = store((s) => s.future.at(-1));
  const question = store((s) => s.question);
  const undone = useMemo(() => last && `Undo: ${stepInWords(question, last)}`, [question, last]);
  const redone = useMemo(() => next && `Do again: ${stepInWords(applyAll(question, next), next)}`, [question, next]);
  const changeable = store(mayChange);
  const usable = store((s) => s.access !== 'see');
  const { undo, redo, show } = store.getState();
  return (
    <header className="bg-sheet border-b border-rule min-h-[52px] shrink-0 flex max-md:flex-wrap items-center gap-x-3 px-4">
      <a href="/" className="font-heading font-semibold text-lg whitespace-nowrap">
        Vault Drop
      </a>
      <span className="w-px h-5 bg-rule" aria-hidden />
      <a href="/vault" className="text-mute link-brass">
        Vault
      </a>
      <Typed
        label="Title of the question"
        className="font-heading font-semibold text-lg bg-transparent field-sizing-content min-w-24 max-w-[26rem] px-1 rounded hover:bg-brass-wash"
        value={title}
        onTyped={(typed) => store.getState().do(setQuestion(store.getState().question, 'title', typed))}
      />
      <span className="figures text-sm text-mute whitespace-nowrap" role="status">
        {changeable ? savingInWords(saving) : 'shared with you: to look at, not to change'}
      </span>
      <span className="grow" />
      <button
        type="button"
        className="bench-tool"
        title="Versions"
        aria-label="Versions"
        onClick={() => show('versions')}
      >
        <History size={17} aria-hidden />
      </button>
      <button
        type="button"
        className="bench-tool"
        title="Shortcuts (?)"
        aria-label="Shortcuts"
        onClick={() => show('shortcuts')}
      >
        <Keyboard size={17} aria-hidden />
      </button>
      <button type="button" className="btn btn-quiet btn-sm" onClick={undo} disabled={!last} title={undone}>
        <Undo2 size={16} aria-hidden /> Undo
      </button>
      <button type="button" className="btn btn-quiet btn-sm" onClick={redo} disabled={!next} title={redone}>
        <Redo2 size={16} aria-hidden /> Redo
      </button>
      <button type="button" className="btn btn-edge btn-sm h-[35px]" onClick={() => show('rehearse')}>
        <Play size={15} aria-hidden /> Rehearse
      </button>
      {usable && (
        <button type="button" className="btn btn-primary btn-sm h-[35px]" onClick={() => show('publish')}>
          Publish…
        </button>
      )}
    </header>
  );
}
