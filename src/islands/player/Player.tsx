import { useEffect, useState } from 'react';
import { Playing, pageWidth } from './Playing';
import { playerStore } from './store';
import type { SittingView } from './types';

/** The page on which people answer: a title, the instruction, the scene with its tray, and one line of actions. */
export function Player({ sitting }: { sitting: SittingView }) {
  const [store] = useState(() => playerStore(sitting));
  useEffect(() => {
    const back = () => void store.getState().flush();
    window.addEventListener('online', back);
    return () => window.removeEventListener('online', back);
  }, [store]);
  const maxWidth = pageWidth(sitting.question.scene);
  return (
    <>
      <header className="bg-sheet border-b border-rule">
        <div className="mx-auto px-4 h-[56px] flex items-center gap-4" style={{ maxWidth }}>
          <p className="font-heading font-semibold text-lg truncate">{sitting.release}</p>
          <p className="text-mute truncate">{sitting.course}</p>
          <span className="grow" />
          <a className="btn btn-edge btn-sm" href="/sit">
            All releases
          </a>
        </div>
      </header>
      <main className="mx-auto w-full px-4 py-5" style={{ maxWidth }}>
        <Playing
          store={store}
          onward={
            <a className="btn btn-primary" href="/sit">
              Back to your releases
            </a>
          }
        />
      </main>
    </>
  );
}
