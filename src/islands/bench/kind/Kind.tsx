import { ClipboardPaste } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { ItemId, Question } from '../../../core';
import { changedTo, laidOut, picturesOf } from '../../../core/kinds';
import { api } from '../../../ui/api';
import { Choice } from '../../../ui/Choice';
import { Dialog } from '../../../ui/Dialog';
import { KIND_NAMES, KIND_WORDS } from '../../shared/kindNames';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { BeginForm, FromExample } from './BeginForm';
import { BuildEditor } from './BuildEditor';
import { become, LAYOUT_NAMES, LAYOUT_OPTIONS } from './become';
import { CountEditor } from './CountEditor';
import { FromText } from './FromText';
import { GapsEditor } from './GapsEditor';
import { LabelEditor } from './LabelEditor';
import { MarkEditor } from './MarkEditor';
import { OrderEditor } from './OrderEditor';
import { PickEditor } from './PickEditor';
import { SortEditor } from './SortEditor';

const EDITORS: Readonly<Record<Question['kind'], ((props: { store: BenchStore }) => React.ReactNode) | null>> = {
  sort: SortEditor,
  label: LabelEditor,
  mark: MarkEditor,
  gaps: GapsEditor,
  order: OrderEditor,
  count: CountEditor,
  build: BuildEditor,
  pick: PickEditor,
  free: null,
};

/** What these kinds need first is asked by a form of its own. */
const HAVE_FORMS: readonly Question['kind'][] = ['sort', 'order', 'pick', 'count'];

/** The kind of a question: its own editor, ways to lay it out, and another kind. */
export function Kind({ store }: { store: BenchStore }) {
  const kind = store((s) => s.question.kind);
  const canBeLaid = store((s) => s.question.items.length > 0 && s.question.zones.every(({ hidden }) => !hidden));
  const isEmpty = store((s) => s.question.items.length === 0 && s.question.zones.length === 0);
  const [pasting, setPasting] = useState(false);
  const Editor = EDITORS[kind];
  return (
    <>
      <h2 className="text-lg mb-1">
        {KIND_NAMES[kind]} <span className="font-sans font-normal text-base text-mute">{KIND_WORDS[kind]}</span>
      </h2>
      <div className="flex flex-wrap gap-2 pb-2 border-b border-rule">
        <button type="button" className="btn btn-edge btn-sm" onClick={() => setPasting(true)}>
          <ClipboardPaste size={15} aria-hidden /> From a list or text…
        </button>
        {!isEmpty && <ChangeKind store={store} />}
        {!isEmpty && <KeepAsStock store={store} />}
      </div>
      {isEmpty && <KindTiles store={store} />}
      {isEmpty && <BeginForm store={store} />}
      {Editor && !(isEmpty && HAVE_FORMS.includes(kind)) && <Editor store={store} />}
      {isEmpty && <FromExample store={store} />}
      {canBeLaid && (
        <Section title="Layout">
          <Choice
            label="Lay out as"
            options={LAYOUT_OPTIONS}
            value={null}
            onChoose={(layout) =>
              become(store, (question) => laidOut(question, layout), `Laid out: ${LAYOUT_NAMES[layout]}`)
            }
          />
          <p className="text-sm text-mute mt-1">
            Everything is measured and fits. The key stays as it is; Undo brings the old places back.
          </p>
        </Section>
      )}
      {pasting && <FromText store={store} onClose={() => setPasting(false)} />}
    </>
  );
}

/** The nine kinds, all in sight while there is nothing yet. */
function KindTiles({ store }: { store: BenchStore }) {
  const kind = store((s) => s.question.kind);
  return (
    <fieldset className="grid grid-cols-3 gap-1 py-2 border-b border-rule">
      <legend className="sr-only">Kind of question</legend>
      {(Object.keys(KIND_NAMES) as Question['kind'][]).map((one) => (
        <label key={one} className="relative cursor-pointer">
          <input
            type="radio"
            name="kind-of-question"
            className="sr-only peer"
            checked={kind === one}
            onChange={() =>
              become(store, (question) => ({ ...question, kind: one }), `${KIND_NAMES[one]}: ${KIND_WORDS[one]}`)
            }
          />
          <span className="block h-full border border-rule px-2 py-1 hover:border-ink peer-checked:border-ink peer-checked:bg-brass-wash peer-focus-visible:outline-3 peer-focus-visible:outline-brass">
            <span className="block font-semibold">{KIND_NAMES[one]}</span>
            <span className="block text-sm text-mute leading-tight">{KIND_WORDS[one]}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}

/** The items as a stock list: beside each, in which zone it belongs. */
function KeepAsStock({ store }: { store: BenchStore }) {
  const [busy, setBusy] = useState(false);
  const some = store((s) => s.question.items.some(({ label }) => label !== ''));
  const keep = async () => {
    const { question } = store.getState();
    const zoneOf = (id: ItemId) =>
      question.zones.find((zone) => question.key.some((entry) => entry.zone === zone.id && entry.belongs?.includes(id)))
        ?.label ?? '';
    const pairs = question.zones.length > 1 && question.kind !== 'order' && question.kind !== 'gaps';
    const rows = question.items
      .filter(({ label }) => label !== '')
      .map(({ id, label }) => (pairs ? [label, zoneOf(id)] : [label]));
    setBusy(true);
    const answer = await api('POST /api/lists', {
      body: {
        id: crypto.randomUUID(),
        title: question.title || 'Untitled question',
        rows,
        pictures: picturesOf(question),
      },
    });
    setBusy(false);
    if (answer.ok)
      toast.success('Saved as a stock list', {
        action: { label: 'Stock lists', onClick: () => location.assign('/lists') },
      });
    else
      toast.error(answer.error.message, { description: answer.error.problems?.[0]?.message ?? answer.error.nextStep });
  };
  return (
    <button type="button" className="btn btn-quiet btn-sm" disabled={!some || busy} onClick={() => void keep()}>
      Save the items as a stock list
    </button>
  );
}

/** Changes the kind, after saying what would be lost. */
function ChangeKind({ store }: { store: BenchStore }) {
  const [to, setTo] = useState<Question['kind'] | null>(null);
  const question = store((s) => s.question);
  const change = to && changedTo(question, to);
  const choose = (kind: Question['kind']) => {
    const next = changedTo(store.getState().question, kind);
    if (next && next.lost.length === 0) become(store, () => next.question, `Now ${KIND_NAMES[kind]}`);
    else setTo(kind);
  };
  return (
    <>
      <label className="flex items-center gap-2">
        <span className="sr-only">Kind of question</span>
        <select
          className="select select-sm"
          value={question.kind}
          onChange={(event) => choose(event.target.value as Question['kind'])}
        >
          {(Object.keys(KIND_NAMES) as Question['kind'][]).map((kind) => (
            <option key={kind} value={kind}>
              {KIND_NAMES[kind]}: {KIND_WORDS[kind]}
            </option>
          ))}
        </select>
      </label>
      {to && (
        <Dialog title={`Make it ${KIND_NAMES[to]}?`} onClose={() => setTo(null)}>
          {change ? (
            <>
              <p>
                Words, pictures and rules of the items are kept, with the prompt, tries, hints and marks. These are not:
              </p>
              <ul className="list-disc ps-6 my-2">
                {change.lost.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </>
          ) : (
            <p>
              Nothing of that kind can be made of what is there. Give it items and a key first, or begin with a list.
            </p>
          )}
          <div className="flex justify-end gap-2 mt-4">
            <button type="button" className="btn btn-quiet" onClick={() => setTo(null)}>
              Cancel
            </button>
            {change && (
              <button
                type="button"
                className="btn btn-primary"
                data-autofocus
                onClick={() => {
                  become(store, () => change.question, `Now ${KIND_NAMES[to]}`);
                  setTo(null);
                }}
              >
                Make it {KIND_NAMES[to]}
              </button>
            )}
          </div>
        </Dialog>
      )}
    </>
  );
}
