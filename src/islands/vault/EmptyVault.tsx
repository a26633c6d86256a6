import { lazy, type ReactNode, useEffect, useState } from 'react';
import type { Kind } from '../../core';
import { Later } from '../../ui/Later';
import { KIND_NAMES, KIND_WORDS } from '../shared/kindNames';
import { newQuestionAt } from './newQuestion';

const PasteBox = lazy(() => import('./PasteBox').then((m) => ({ default: m.PasteBox })));
const KindSketch = lazy(() => import('./KindSketch').then((m) => ({ default: m.KindSketch })));

/** The first page of a new account: a box to paste into, and the nine kinds. */
export function EmptyVault({ shelfId }: { shelfId: string | null }) {
  // What makes and draws questions comes after the page: it is large, and the server has no use for it.
  const [shown, setShown] = useState(false);
  useEffect(() => setShown(true), []);
  const later = (part: ReactNode) => shown && <Later onGiveUp={() => setShown(false)}>{part}</Later>;
  return (
    <>
      <div className="min-h-32">{later(<PasteBox shelfId={shelfId} />)}</div>
      <h2 className="text-lg mt-4 mb-1">Or begin with a kind</h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(214px,1fr))] gap-3">
        {(Object.keys(KIND_NAMES) as Kind[]).map((kind) => (
          <li key={kind}>
            <a
              className="block h-full border border-rule bg-paper p-1.5 hover:border-ink"
              href={newQuestionAt(shelfId, { kind })}
            >
              <span className="block h-[96px] overflow-hidden" aria-hidden>
                {later(<KindSketch kind={kind} />)}
              </span>
              <span className="block mt-1 font-semibold">{KIND_NAMES[kind]}</span>
              <span className="block text-sm text-mute">{KIND_WORDS[kind]}</span>
            </a>
          </li>
        ))}
      </ul>
    </>
  );
}
