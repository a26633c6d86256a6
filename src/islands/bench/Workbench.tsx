import { type HTMLAttributes, type ReactNode, useEffect, useState } from 'react';
import { Group, type Layout, Panel, Separator, useGroupRef } from 'react-resizable-panels';
import { Ledger } from './ledger/Ledger';
import { type Arrangement, remember, remembered } from './remembered';
import { BenchScene } from './scene/BenchScene';
import type { BenchStore, Station } from './store';

/** Shares of the room, in per cent, until the author has pulled at them. */
const DEFAULTS: Arrangement = { panel: { wide: 56, narrow: 33 }, ledger: 28, open: {} };
/** Stations at which the Ledger is open until the author folds it. */
const NEEDS_LEDGER: readonly Station[] = ['layOut'];
/** Where fields stand beside what they change. */
const isWide = (station: Station, book: boolean) => station === 'words' || (station === 'behaviour' && book);

/**
 * The scene, the panel of the station and the Ledger, each as large as the author has made it. The Ledger is folded
 * where a station does not need it; both are remembered.
 */
export function Workbench({
  store,
  dropping,
  panel,
}: {
  store: BenchStore;
  dropping: HTMLAttributes<HTMLElement>;
  panel: ReactNode;
}) {
  const station = store((s) => s.station);
  const title = store((s) => s.question.title);
  const book = store((s) => s.book);
  const [arrangement, setArrangement] = useState(() => remembered(DEFAULTS));
  const across = useGroupRef();
  const width = isWide(station, book) ? 'wide' : 'narrow';
  const open = arrangement.open[station] ?? NEEDS_LEDGER.includes(station);
  const change = (made: Partial<Arrangement>) =>
    setArrangement((now) => {
      const next = { ...now, ...made };
      remember(next);
      return next;
    });
  // biome-ignore lint/correctness/useExhaustiveDependencies: when the station wants another width
  useEffect(() => {
    across.current?.setLayout(layoutOf(arrangement.panel[width]));
  }, [width]);
  return (
    <main id="content" className="bench-work grow min-h-0 flex flex-col">
      <h1 className="sr-only">{title || 'Untitled question'}</h1>
      <p className="md:hidden shrink-0 bg-brass-wash border-b border-brass px-4 py-2">
        The scene and the Ledger need a wider window. Key, Behaviour, Words & marks and Proof work here.
      </p>
      <Group
        orientation="vertical"
        className="grow min-h-0"
        defaultLayout={open ? { work: 100 - arrangement.ledger, ledger: arrangement.ledger } : { work: 100 }}
        onLayoutChanged={({ ledger }) => ledger !== undefined && ledger !== 100 && change({ ledger })}
      >
        <Panel id="work" minSize="30%">
          <Group
            groupRef={across}
            className="h-full"
            defaultLayout={layoutOf(arrangement.panel[width])}
            onLayoutChanged={({ panel: share }) =>
              share !== undefined && change({ panel: { ...arrangement.panel, [width]: share } })
            }
            {...dropping}
          >
            <Panel id="scene" minSize="25%" className="grid">
              <BenchScene store={store} />
            </Panel>
            <Separator className="bench-separator bench-separator-across" aria-label="Width of the panel" />
            <Panel id="panel" minSize="300px">
              <aside
                className="h-full bg-sheet overflow-auto px-4 py-3 @container"
                aria-label="What is set at this station"
              >
                {panel}
              </aside>
            </Panel>
          </Group>
        </Panel>
        {open && (
          <>
            <Separator className="bench-separator bench-separator-down" aria-label="Height of the Ledger" />
            <Panel id="ledger" minSize="120px" defaultSize={`${arrangement.ledger}%`}>
              <Ledger store={store} onFold={() => change({ open: { ...arrangement.open, [station]: false } })} />
            </Panel>
          </>
        )}
      </Group>
      {!open && (
        <button
          type="button"
          className="shrink-0 h-8 px-4 flex max-md:hidden items-center gap-3 border-t-2 border-ink bg-sheet text-start cursor-pointer hover:bg-brass-wash"
          aria-expanded={false}
          onClick={() => change({ open: { ...arrangement.open, [station]: true } })}
        >
          <span className="font-heading font-semibold">Ledger</span>
          <span className="text-sm text-mute">every number on the scene</span>
        </button>
      )}
    </main>
  );
}

const layoutOf = (share: number): Layout => ({ scene: 100 - share, panel: share });
