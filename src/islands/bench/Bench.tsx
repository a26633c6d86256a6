import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Toaster } from 'sonner';
import type { Question } from '../../core';
import { Behaviour } from './Behaviour';
import { BenchScene } from './BenchScene';
import { BenchTop } from './BenchTop';
import { KeepingNotice } from './KeepingNotice';
import { KeyGrid } from './KeyGrid';
import { LayOut } from './LayOut';
import { Ledger } from './Ledger';
import { ProofPanel } from './ProofPanel';
import { Stations } from './Stations';
import { type BenchStore, benchStore } from './store';
import { useProving } from './useProving';
import { useShortcuts } from './useShortcuts';
import { WordsAndMarks } from './WordsAndMarks';

/** The workspace where one question is made. */
export function Bench({ question, revision, keptAt }: { question: Question; revision: number; keptAt: string }) {
  const [store] = useState(() => benchStore(question, revision, new Date(keptAt)));
  const [queries] = useState(() => new QueryClient());
  useShortcuts(store);
  useProving(store);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (store.keeper.pending()) event.preventDefault();
    };
    const back = () => void store.keeper.flush();
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
        <KeepingNotice store={store} />
        <Stations store={store} />
        <main className="grow min-h-0 grid grid-rows-[minmax(0,1fr)_auto]">
          <div className="grid grid-cols-[minmax(0,1fr)_minmax(300px,33%)] min-h-0">
            <BenchScene store={store} />
            <aside className="bg-sheet border-l border-rule overflow-auto p-4" aria-label="What is set at this station">
              <Panel store={store} />
            </aside>
          </div>
          <Ledger store={store} />
        </main>
      </div>
      <Toaster position="bottom-right" />
    </QueryClientProvider>
  );
}

function Panel({ store }: { store: BenchStore }) {
  const station = store((s) => s.station);
  switch (station) {
    case 'layOut':
      return <LayOut store={store} />;
    case 'key':
      return <KeyGrid store={store} />;
    case 'behaviour':
      return <Behaviour store={store} />;
    case 'words':
      return <WordsAndMarks store={store} />;
    case 'proof':
      return <ProofPanel store={store} />;
  }
}
