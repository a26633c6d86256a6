import { lazy, useEffect, useState } from 'react';
import { Toaster } from 'sonner';
import type { JsonText, Moment } from '../../contract';
import type { Question } from '../../core';
import { api } from '../../ui/api';
import { Later } from '../../ui/Later';
import { Queries } from '../../ui/Queries';
import { moment } from '../../ui/when';
import { fromJson } from '../../ui/wire';
import { PublishDialog } from '../publish/PublishDialog';
import { aimIn } from './aim';
import { BackToCorrection } from './BackToCorrection';
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
  novice,
}: {
  question: JsonText<Question>;
  revision: number;
  savedAt: Moment;
  access: BenchState['access'];
  /** A new question, which is not stored yet: with what it begins. */
  begin?: Beginning | null;
  /** Somebody who has never published anything is shown the first steps. */
  novice: boolean;
}) {
  const [store] = useState(() =>
    begin ? beginning(fromJson(question), begin) : benchStore(fromJson(question), revision, new Date(savedAt), access),
  );
  const [aim] = useState(() => aimIn(location.search));
  useEffect(() => {
    if (aim.station) store.getState().go(aim.station);
  }, [aim, store]);
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
      // What waits goes along with the page; only where that cannot be is it asked.
      const { state } = store.getState().saving;
      if (store.autoSave.pending() && state !== 'saving') event.preventDefault();
    };
    const leave = () => {
      // A field that is still being typed into is taken as it stands.
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
      store.leave();
    };
    const back = () => void store.autoSave.flush();
    window.addEventListener('beforeunload', warn);
    window.addEventListener('online', back);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('beforeunload', warn);
      window.removeEventListener('online', back);
      window.removeEventListener('pagehide', leave);
    };
  }, [store]);
  return (
    <Queries>
      <div className="h-screen min-h-[600px] flex flex-col">
        <BenchTop store={store} />
        <SaveNotice store={store} />
        {aim.release && <BackToCorrection release={aim.release} />}
        <Stations store={store} />
        {novice && <FirstSteps store={store} />}
        <Workbench store={store} dropping={dropping} panel={<Panel store={store} />} />
      </div>
      <Over store={store} />
      <Said store={store} />
      <Toaster position="bottom-right" />
    </Queries>
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
          onPublished={() => published(store)}
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

/** The version that was published is found again by its name. */
function published(store: BenchStore): void {
  store.setState({ published: true });
  const revision = store.autoSave.revision();
  const { id } = store.getState().question;
  if (revision > 1)
    void api('PUT /api/questions/{id}/versions/{revision}', {
      id,
      revision: String(revision),
      body: { name: `Published on ${moment(new Date())}` },
    });
}

/** The question as the server has it, once everything is saved. */
async function asKept(store: BenchStore): Promise<{ questionId: string; revision: number }> {
  if (!(await store.autoSave.flush())) throw new Error('Your last changes are not saved yet. Publish when they are.');
  return { questionId: store.getState().question.id, revision: store.autoSave.revision() };
}
