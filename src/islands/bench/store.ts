import { toast } from 'sonner';
import { create, type StoreApi, type UseBoundStore } from 'zustand';
import {
  ALL_SNAPPING,
  applyAll,
  difference,
  type Frame,
  type Framed,
  frames,
  type Guide,
  invertAll,
  type Proof,
  type Question,
  type Ref,
  type Snapping,
  type Step,
  setFrames,
  setQuestion,
  texOf,
  things,
  withFittingStart,
  withGroups,
} from '../../core';
import { BLANK_TITLE } from '../../core/document';
import { proposedTitle } from '../../core/kinds';
import { changesInWords } from '../shared/changesInWords';
import { drawTyped } from './rich/formulas';
import { type AutoSave, autoSave, type SaveState, type Unborn } from './saving/autoSave';
import { mergedIn } from './saving/mergeIn';
import { recalledUndo, rememberUndo } from './saving/undoMemory';
import { unsavedOn } from './saving/unsaved';

export type Station = 'kind' | 'layOut' | 'key' | 'behaviour' | 'words' | 'proof';
/** The tool: select and move, pull items to where they start, name places or set spots, or draw a zone or a line. */
export type Tool = 'select' | 'start' | 'name' | 'rect' | 'ellipse' | 'polygon' | 'line';
/** With these tools a press takes what it is on. */
export const takes = (tool: Tool): boolean => tool === 'select' || tool === 'start';
export type Panel = 'rehearse' | 'publish' | 'shortcuts' | 'commands' | 'versions' | 'rename';

/** The state of the Bench: the edited question, and what ends with the tab (selection, zoom, undo). */
export interface BenchState {
  readonly question: Question;
  /** The author's right: a colleague's question may be shared for viewing or use only. */
  readonly access: 'own' | 'see' | 'use' | 'edit';
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  readonly saving: SaveState;
  readonly selection: ReadonlySet<Ref>;
  readonly station: Station;
  readonly snapping: Snapping;
  /** Stage pixels for one scene unit; "fit": what the room allows. */
  readonly zoom: number | 'fit';
  readonly tool: Tool;
  /** The dialog that is open over the Bench. */
  readonly open: Panel | null;
  /** Behaviour shows the look book, at this look. */
  readonly book: boolean;
  readonly lookOpen: string | null;
  /** The share of an item that is tried at Behaviour while its slider is pulled. */
  readonly shareTried: number | null;
  /** It was published from here. */
  readonly published: boolean;
  /** The event that is tried on the scene, by the fixture that answers it. */
  readonly tried: { readonly fixture: string; readonly event: number } | null;
  /** The model answer is shown on the scene. */
  readonly modelShown: boolean;
  /** The last proof and the question it belongs to; while the author edits, it is that of a moment ago. */
  readonly proved: { readonly of: Question; readonly proof: Proof } | null;
  /** The announcement for screen readers. */
  readonly said: string;

  do(step: Step, said?: string): void;
  undo(): void;
  redo(): void;
  select(refs: Iterable<Ref>): void;
  toggle(ref: Ref): void;
  go(station: Station): void;
  show(open: Panel | null): void;
  say(words: string): void;
}

/** What is being dragged, before it becomes an edit: separate, so that only what moves is rendered. */
export interface Pull {
  readonly draft: ReadonlyMap<Ref, Frame>;
  readonly guides: readonly Guide[];
}

export type BenchStore = UseBoundStore<StoreApi<BenchState>> & {
  readonly autoSave: AutoSave;
  readonly pull: UseBoundStore<StoreApi<Pull>>;
  /** The scale at which the scene is shown now: stage pixels for one scene unit. */
  readonly shown: { scale: number };
  /** Makes the drag one step. */
  readonly release: () => void;
  /** The page is being left. */
  readonly leave: () => void;
};

/** Could the question be changed here? */
export const mayChange = ({ access }: Pick<BenchState, 'access'>): boolean => access === 'own' || access === 'edit';

/** A step with what follows from it: what cannot start where it did, and a title, until the author gives one. */
function completed(question: Question, asked: Step): Step {
  const step = [...asked, ...withFittingStart(applyAll(question, asked))];
  const after = applyAll(question, step);
  const isProposed = question.title === BLANK_TITLE || question.title === proposedTitle(question);
  if (after.title !== question.title || !isProposed) return step;
  return [...step, ...setQuestion(after, 'title', proposedTitle(after))];
}

/** Is there anything in a new question that its author would miss? A kind alone is not. */
const hasSomething = (now: Question, blank: Question): boolean =>
  [now.items, now.zones, now.fixtures, now.hints].some((list) => list.length > 0) ||
  now.prompt !== null ||
  now.title !== blank.title ||
  Object.keys(now.media).length > 0;

const NOTHING: Pull = { draft: new Map(), guides: [] };

export function benchStore(
  stored: Question,
  revision: number,
  savedAt: Date,
  access: BenchState['access'] = 'own',
  /** A new question is stored when there is something in it: what stores it then. */
  storeNew: Unborn['create'] | null = null,
): BenchStore {
  const pull = create<Pull>()(() => NOTHING);
  const left = unsavedOn(stored.id, revision);
  const question = left ? applyAll(stored, left.edits) : stored;
  const { past, future } = recalledUndo(stored.id, revision);
  const store = create<BenchState>()((set, get) => {
    const take = (step: Step) => {
      set({ question: applyAll(get().question, step) });
      kept.add(step);
    };
    return {
      question,
      access,
      past,
      future,
      saving: storeNew ? { state: 'new' } : { state: 'saved', at: savedAt },
      selection: new Set<Ref>(),
      station: storeNew ? 'kind' : 'layOut',
      snapping: ALL_SNAPPING,
      zoom: 'fit',
      tool: 'select',
      open: null,
      book: false,
      lookOpen: null,
      shareTried: null,
      published: false,
      tried: null,
      modelShown: false,
      proved: null,
      said: '',

      do: (asked, said) => {
        if (asked.length === 0) return;
        if (!mayChange(get())) return set({ said: 'You may look at this question, not change it' });
        const before = get().question;
        const step = completed(before, asked);
        take(step);
        if (JSON.stringify(step).includes('$')) void drawTyped(store, texOf(before));
        set({ past: [...get().past, step], future: [], ...stillThere(get()), ...(said ? { said } : {}) });
      },
      undo: () => {
        const step = get().past.at(-1);
        if (!step) return;
        take(invertAll(step));
        const said = `Undone: ${stepInWords(applyAll(get().question, step), step)}`;
        set({ past: get().past.slice(0, -1), future: [...get().future, step], ...stillThere(get()), said });
      },
      redo: () => {
        const step = get().future.at(-1);
        if (!step) return;
        take(step);
        set({
          past: [...get().past, step],
          future: get().future.slice(0, -1),
          ...stillThere(get()),
          said: `Done again: ${stepInWords(get().question, step)}`,
        });
      },
      select: (refs) => set({ selection: withGroups(get().question, refs), tried: null }),
      toggle: (ref) => {
        const { selection, question: now } = get();
        const group = withGroups(now, [ref]);
        set({
          selection: selection.has(ref)
            ? new Set([...selection].filter((candidate) => !group.has(candidate)))
            : new Set([...selection, ...group]),
        });
      },
      go: (station) => set({ station, tried: null }),
      show: (open) => set({ open }),
      say: (said) => set({ said }),
    };
  });
  const unborn = storeNew && { create: storeNew, isWorthIt: () => hasSomething(store.getState().question, question) };
  const kept = autoSave(
    question.id,
    revision,
    (saving) => {
      if (saving.state === 'movedOn') return void join(saving);
      store.setState({ saving });
      if (saving.state === 'saved') rememberSteps();
    },
    unborn,
  );
  /** Somebody else came first: what both made is joined, unless both changed the same thing. */
  const join = async (movedOn: SaveState) => {
    store.setState({ saving: { state: 'saving' } });
    const found = await mergedIn(store.getState().question, kept.revision());
    if (!found) return store.setState({ saving: movedOn });
    const { theirs, merged, revision: onto } = found;
    const before = store.getState().question;
    const changes = changesInWords(before, merged, difference(before, merged));
    // Steps were made on what has changed beneath them: they cannot be undone one by one any more.
    store.setState({ question: merged, past: [], future: [], said: `Changed elsewhere: ${changes.join('; ')}` });
    store.setState(stillThere(store.getState()));
    if (changes.length > 0)
      toast('What was changed elsewhere is here now', { description: changes.slice(0, 3).join(' · ') });
    kept.rebase(onto, difference(theirs, merged));
  };
  const rememberSteps = () => {
    const { past, future } = store.getState();
    rememberUndo(question.id, { revision: kept.revision(), pending: kept.pending(), past, future });
  };
  if (left) kept.resume(left);
  const release = () => {
    const { draft } = pull.getState();
    pull.setState(NOTHING);
    const now = store.getState().question;
    store.getState().do(
      setFrames(
        now,
        [...draft].map(([ref, frame]): Framed => ({ ref, frame })),
      ),
    );
  };
  const leave = () => {
    rememberSteps();
    kept.leave();
  };
  return Object.assign(store, { autoSave: kept, pull, release, leave, shown: { scale: 1 } });
}

/** What a step changes, in a few words; `after`: the question with it. */
export const stepInWords = (after: Question, step: Step): string =>
  changesInWords(applyAll(after, invertAll(step)), after, step)[0] ?? 'nothing';

const stillThere = ({ question, selection }: BenchState) => {
  if (selection.size === 0) return {};
  const refs = new Set(things(question).map(({ ref }) => ref));
  const left = [...selection].filter((ref) => refs.has(ref));
  return left.length === selection.size ? {} : { selection: new Set(left) };
};

const known = new WeakMap<Question, ReadonlyMap<Ref, Frame>>();
/** Where everything stands, worked out once for a question however many ask. */
export function framesOf(question: Question): ReadonlyMap<Ref, Frame> {
  const found = known.get(question) ?? new Map(frames(question).map(({ ref, frame }) => [ref, frame]));
  known.set(question, found);
  return found;
}
