import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, useEffect, useState } from 'react';
import { Toaster } from 'sonner';
import type { JsonText, Moment } from '../../contract';
import type { Question } from '../../core';
import { Later } from '../../ui/Later';
import { fromJson } from '../../ui/wire';
import { PublishDialog } from '../publish/PublishDialog';
import { BenchTop } from './BenchTop';
import { type Beginning, beginning } from './beginning';
import { Behaviour } from './behaviour/Behaviour';
import { Shortcuts } from './commands/Shortcuts';
import { useShortcuts } from './commands/useShortcuts';
import { FirstSteps } from './FirstSteps';
import { Key } from './key/Key';
import { LayOut } from './layOut/LayOut';
import { useFileDrop } from './media/useFileDrop';
import { ProofPanel } from './proof/ProofPanel';
import { useProving } from './proof/useProving';
import { Stations } from './Stations';
import { SaveNotice } from './saving/SaveNotice';
import { type BenchState, type BenchStore, benchStore } from './store';
import { Workbench } from './Workbench';
import { WordsAndMarks } from './words/WordsAndMarks';

/**
 * Parts that are seldom opened are loaded separately, once the Bench is shown, so that they are there when the author
 * goes offline.
 */
const parts = {
  rehearse: () => import('./rehearse/Rehearse'),
  versions: () => import('./versions/Versions'),
  commands: () => import('./commands/CommandPalette'),
  editor: () => import('./rich/Editor'),
  kind: () => import('./kind/Kind'),
};
const Rehearse = lazy(() => parts.rehearse().then((m) => ({ default: m.Rehearse })));
const Versions = lazy(() => parts.versions().then((m) => ({ default: m.Versions })));
const CommandPalette = lazy(() => parts.commands().then((m) => ({ default: m.CommandPalette })));
const Kind = lazy(() => parts.kind().then((m) => ({ default: m.Kind })));
const SOON_MS = 1200;

/**
 * The workspace where one question is made. `question`: as one JSON text, which a page can write much faster than many
 * values.
 */
export function Bench({
  question,
  revision,
  savedAt,
  access,
  begin = null,
}: {
  question: JsonText<Question>;
  revision: number;
  savedAt: Moment;
  access: BenchState['access'];
  /** A new question, which is not stored yet: with what it begins. */
  begin?: Beginning | null;
}) {
  const [store] = useState(() =>
    begin ? beginning(fromJson(question), begin) : benchStore(fromJson(question), revision, new Date(savedAt), access),
  );
  const [queries] = useState(() => new QueryClient());
  useShortcuts(store);
  useProving(store);
  const dropping = useFileDrop(store);
  useEffect(() => {
    // A part that cannot be loaded now is loaded again when it is opened.
    const fetchAll = () => Object.values(parts).map((part) => part().catch(() => null));
    const soon = setTimeout(fetchAll, SOON_MS);
    return () => clearTimeout(soon);
  }, []);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (store.autoSave.pending()) event.preventDefault();
    };
    const back = () => void store.autoSave.flush();
    window.addEventListener('beforeunload', warn);
    window.addEventListener('online', back);
    return () => {
      window.removeEventListener('beforeunload', warn);
      window.removeEventListener('online', back);
    };
  }, [store]);
  return (
    <QueryClientProvider client={queries}>
      <div className="h-screen min-h-[600px] flex flex-col">
        <BenchTop store={store} />
        <SaveNotice store={store} />
        <Stations store={store} />
        <FirstSteps store={store} />
        <Workbench store={store} dropping={dropping} panel={<Panel store={store} />} />
      </div>
      <Over store={store} />
      <Said store={store} />
      <Toaster position="bottom-right" />
    </QueryClientProvider>
  );
}

function Panel({ store }: { store: BenchStore }) {
  const station = store((s) => s.station);
  switch (station) {
    case 'kind':
      return (
        <Later onGiveUp={() => store.getState().go('layOut')}>
          <Kind store={store} />
        </Later>
      );
    case 'layOut':
      return <LayOut store={store} />;
    case 'key':
      return <Key store={store} />;
    case 'behaviour':
      return <Behaviour store={store} />;
    case 'words':
      return <WordsAndMarks store={store} />;
    case 'proof':
      return <ProofPanel store={store} />;
  }
}

/** The dialog that is open over the Bench. */
function Over({ store }: { store: BenchStore }) {
  const open = store((s) => s.open);
  const close = () => store.getState().show(null);
  switch (open) {
    case 'publish':
      return (
        <PublishDialog
          questions={[store.getState().question.id]}
          prepare={() => asKept(store)}
          onPublished={() => store.setState({ published: true })}
          onClose={close}
        />
      );
    case 'shortcuts':
      return <Shortcuts store={store} />;
    case 'commands':
    case 'rehearse':
    case 'versions':
      return (
        <Later onGiveUp={close}>
          {open === 'commands' && <CommandPalette store={store} />}
          {open === 'rehearse' && <Rehearse store={store} />}
          {open === 'versions' && <Versions store={store} />}
        </Later>
      );
    case 'rename':
    case null:
      return null;
  }
}

/** Announces actions to screen readers. */
function Said({ store }: { store: BenchStore }) {
  const said = store((s) => s.said);
  return (
    <p role="status" aria-live="polite" className="sr-only" data-said>
      {said}
    </p>
  );
}

/** The question as the server has it, once everything is saved. */
async function asKept(store: BenchStore): Promise<{ questionId: string; revision: number }> {
  if (!(await store.autoSave.flush())) throw new Error('Your last changes are not saved yet. Publish when they are.');
  return { questionId: store.getState().question.id, revision: store.autoSave.revision() };
}
