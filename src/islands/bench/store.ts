import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { applyAll, type Box, boxOfZone, type Guide, homes, invertAll, type Proof, type Question, type Step, setBox } from '../../core';
import { type Keeper, type Keeping, keeper } from './keeper';

export type Station = 'layOut' | 'key' | 'behaviour' | 'words' | 'proof';

/** The bench session: the question as it is edited, and what is gone with the tab (selection, what is being dragged, undo). */
export interface BenchState {
  readonly question: Question;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  readonly keeping: Keeping;
  readonly selection: ReadonlySet<string>;
  readonly station: Station;
  /** Boxes while a handle is pulled, before they become an edit. */
  readonly draft: ReadonlyMap<string, Box>;
  readonly guides: readonly Guide[];
  /** The last proof, and the question it is of: while the author goes on, that of a moment ago. */
  readonly proved: { readonly of: Question; readonly proof: Proof } | null;

  do(step: Step): void;
  undo(): void;
  redo(): void;
  select(ids: Iterable<string>): void;
  toggle(id: string): void;
  go(station: Station): void;
  pull(draft: ReadonlyMap<string, Box>, guides: readonly Guide[]): void;
  /** Makes what was pulled one step. */
  release(): void;
}
export type BenchStore = UseBoundStore<StoreApi<BenchState>> & { readonly keeper: Keeper };

export function benchStore(question: Question, revision: number, keptAt: Date): BenchStore {
  const store = create<BenchState>()((set, get) => {
    const take = (step: Step) => {
      set({ question: applyAll(get().question, step) });
      kept.add(step);
    };
    return {
      question,
      past: [],
      future: [],
      keeping: { state: 'kept', at: keptAt },
      selection: new Set<string>(),
      station: 'layOut',
      draft: new Map<string, Box>(),
      guides: [],
      proved: null,

      do: (step) => {
        if (step.length === 0) return;
        take(step);
        set({ past: [...get().past, step], future: [] });
      },
      undo: () => {
        const step = get().past.at(-1);
        if (!step) return;
        take(invertAll(step));
        set({ past: get().past.slice(0, -1), future: [...get().future, step], ...stillThere(get()) });
      },
      redo: () => {
        const step = get().future.at(-1);
        if (!step) return;
        take(step);
        set({ past: [...get().past, step], future: get().future.slice(0, -1), ...stillThere(get()) });
      },
      select: (ids) => set({ selection: new Set(ids) }),
      toggle: (id) => {
        const selection = new Set(get().selection);
        if (!selection.delete(id)) selection.add(id);
        set({ selection });
      },
      go: (station) => set({ station }),
      pull: (draft, guides) => set({ draft, guides }),
      release: () => {
        const { draft, question: before } = get();
        const step = [...draft].flatMap(([id, box]) => setBox(before, id, box));
        set({ draft: new Map(), guides: [] });
        get().do(step);
      },
    };
  });
  const kept = keeper(question.id, revision, (keeping) => store.setState({ keeping }));
  return Object.assign(store, { keeper: kept });
}

const stillThere = ({ question, selection }: BenchState) => {
  const ids = new Set<string>([...question.items, ...question.zones].map(({ id }) => id));
  return { selection: new Set([...selection].filter((id) => ids.has(id))) };
};

export interface Boxed {
  readonly id: string;
  readonly what: 'item' | 'zone';
  readonly label: string;
  readonly box: Box;
}

/** Every zone and item with the box it stands in: zones first, as they are drawn. */
export function boxes(question: Question): Boxed[] {
  const at = homes(question);
  return [
    ...question.zones.flatMap((zone): Boxed[] => {
      const box = boxOfZone(zone);
      return box ? [{ id: zone.id, what: 'zone', label: zone.label, box }] : [];
    }),
    ...question.items.map((item, i): Boxed => ({ id: item.id, what: 'item', label: item.label, box: { x: at[i]?.x ?? 0, y: at[i]?.y ?? 0, w: item.size.w, h: item.size.h } })),
  ];
}
