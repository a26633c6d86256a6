import { Plus } from 'lucide-react';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import type { Kind, Question } from '../../../core';
import { exampleOf, type FromText, type Listing, propose } from '../../../core/kinds';
import { Alert } from '../../../ui/Alert';
import type { BenchStore } from '../store';
import { become, becomePasted } from './become';
import { counted } from './counted';

/** What a kind asks for first, and nothing else. */
export function BeginForm({ store }: { store: BenchStore }) {
  const kind = store((s) => s.question.kind);
  const Form = FORMS[kind];
  const section = useRef<HTMLElement>(null);
  useEffect(() => {
    // Whoever has just come here goes on typing; whoever is choosing a kind goes on choosing.
    if (document.activeElement === document.body)
      section.current?.querySelector<HTMLElement>('input, textarea')?.focus();
  }, []);
  return Form ? (
    <section ref={section} aria-label="To begin with" className="py-2">
      <Form key={kind} store={store} />
    </section>
  ) : null;
}

/** The finished example of the kind, to be written over. */
export function FromExample({ store }: { store: BenchStore }) {
  const kind = store((s) => s.question.kind);
  return (
    <p className="mt-2 text-mute">
      or{' '}
      <button type="button" className="link-brass cursor-pointer font-semibold" onClick={() => overwrite(store, kind)}>
        begin with the finished example
      </button>{' '}
      and write over it
    </p>
  );
}

function overwrite(store: BenchStore, kind: Kind): void {
  become(store, ({ id, title }) => ({ ...exampleOf(kind, id), title }), 'The example is there: write over it');
}

const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
const NO_LINES: Listing = { rows: [], groups: null, text: '', headed: null, starred: new Set() };

/** Makes the question of what was typed, or says what it lacks. */
function useMaking(store: BenchStore, kind: FromText) {
  const [lacking, setLacking] = useState<string | null>(null);
  const make = (listing: Partial<Listing>) => {
    const made = propose(store.getState().question, kind, { ...NO_LINES, text: 'typed', ...listing });
    if (made.ok) becomePasted(store, made.question);
    else setLacking(made.message);
  };
  return { make, lack: lacking && <Alert tone="notice">{lacking}</Alert> };
}

function SortForm({ store }: { store: BenchStore }) {
  const [groups, setGroups] = useState([
    { name: '', items: '' },
    { name: '', items: '' },
  ]);
  const [nowhere, setNowhere] = useState('');
  const { make, lack } = useMaking(store, 'sort');
  const set = (i: number, change: Partial<(typeof groups)[number]>) =>
    setGroups(groups.map((group, j) => (i === j ? { ...group, ...change } : group)));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const named = groups
      .filter(({ name, items }) => name.trim() !== '' || items.trim() !== '')
      .map(({ name, items }, i) => ({ heading: name.trim() || `Group ${i + 1}`, entries: lines(items) }));
    const others = lines(nowhere);
    make({ groups: [...named, ...(others.length > 0 ? [{ heading: 'None', entries: others }] : [])] });
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-2">
      <div className="grid grid-cols-2 gap-2">
        {groups.map(({ name, items }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a group is its place until it has a name
          <div key={i} className="flex flex-col gap-1">
            <input
              aria-label={`Group ${i + 1}`}
              placeholder={`group ${i + 1}`}
              className="input input-sm w-full font-semibold"
              value={name}
              onChange={(event) => set(i, { name: event.target.value })}
            />
            <textarea
              aria-label={`Items of group ${i + 1}`}
              placeholder="its items, one a line"
              rows={4}
              className="textarea w-full min-h-0"
              value={items}
              onChange={(event) => set(i, { items: event.target.value })}
            />
          </div>
        ))}
      </div>
      <div className="flex items-start gap-2">
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          disabled={groups.length >= MAX_GROUPS}
          onClick={() => setGroups([...groups, { name: '', items: '' }])}
        >
          <Plus size={15} aria-hidden /> Another group
        </button>
        <textarea
          aria-label="Items that belong nowhere"
          placeholder="what belongs nowhere"
          rows={1}
          className="textarea grow min-h-0"
          value={nowhere}
          onChange={(event) => setNowhere(event.target.value)}
        />
      </div>
      {lack}
      <MakeIt ready={groups.some(({ items }) => items.trim() !== '')} />
    </form>
  );
}
const MAX_GROUPS = 8;

function OrderForm({ store }: { store: BenchStore }) {
  const [text, setText] = useState('');
  const { make, lack } = useMaking(store, 'order');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    make({ rows: lines(text).map((line) => [line]), text });
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-2">
      <textarea
        aria-label="The entries in the right order"
        placeholder="the entries in the right order, one a line"
        rows={6}
        className="textarea w-full"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {lack}
      <MakeIt ready={lines(text).length > 1} />
    </form>
  );
}

function PickForm({ store }: { store: BenchStore }) {
  const [choices, setChoices] = useState([
    { label: '', right: true },
    { label: '', right: false },
    { label: '', right: false },
  ]);
  const { make, lack } = useMaking(store, 'pick');
  const set = (i: number, change: Partial<(typeof choices)[number]>) => {
    const next = choices.map((choice, j) => (i === j ? { ...choice, ...change } : choice));
    // There is always an empty line to go on with.
    setChoices(next.at(-1)?.label === '' ? next : [...next, { label: '', right: false }]);
  };
  const named = choices.filter(({ label }) => label.trim() !== '');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    make({ rows: named.map(({ label, right }) => [label.trim(), right ? 'right' : 'wrong']) });
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-1">
      {choices.map(({ label, right }, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a choice is its place until it has a name
        <div key={i} className="flex items-center gap-2">
          <input
            aria-label={`Choice ${i + 1}`}
            placeholder={i === choices.length - 1 && i > 1 ? 'another choice' : `choice ${i + 1}`}
            className="input input-sm grow"
            value={label}
            onChange={(event) => set(i, { label: event.target.value })}
          />
          <label className="flex items-center gap-1 text-sm">
            <input
              type="checkbox"
              aria-label={`Choice ${i + 1} is right`}
              className="checkbox checkbox-xs"
              checked={right}
              onChange={(event) => set(i, { right: event.target.checked })}
            />
            right
          </label>
        </div>
      ))}
      {lack}
      <MakeIt ready={named.length > 1} />
    </form>
  );
}

function CountForm({ store }: { store: BenchStore }) {
  const [thing, setThing] = useState('');
  const [container, setContainer] = useState('');
  const [there, setThere] = useState('6');
  const [wanted, setWanted] = useState('3');
  const whole = (text: string) => (/^\d{1,3}$/.test(text.trim()) ? Number(text) : Number.NaN);
  const ready = thing.trim() !== '' && container.trim() !== '' && whole(there) >= 1 && whole(wanted) >= 0;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (ready)
      become(
        store,
        (question) =>
          counted(question, {
            thing: thing.trim(),
            there: whole(there),
            container: container.trim(),
            wanted: whole(wanted),
          }),
        `${wanted} into ${container.trim()}`,
      );
  };
  const field = (label: string, value: string, set: (to: string) => void, numeric = false) => (
    <label className="flex flex-col text-sm">
      {label}
      <input
        className={`input input-sm ${numeric ? 'figures w-20' : 'w-full'}`}
        inputMode={numeric ? 'numeric' : 'text'}
        value={value}
        onChange={(event) => set(event.target.value)}
      />
    </label>
  );
  return (
    <form onSubmit={submit} className="flex flex-col gap-2">
      <div className="grid grid-cols-[1fr_auto] gap-2">
        {field('What is counted', thing, setThing)}
        {field('How many there are', there, setThere, true)}
        {field('What it goes into', container, setContainer)}
        {field('How many belong in it', wanted, setWanted, true)}
      </div>
      <MakeIt ready={ready} />
    </form>
  );
}

const MakeIt = ({ ready }: { ready: boolean }) => (
  <button type="submit" className="btn btn-primary btn-sm self-start" disabled={!ready}>
    Make it
  </button>
);

const FORMS: Readonly<Partial<Record<Question['kind'], (props: { store: BenchStore }) => React.ReactNode>>> = {
  sort: SortForm,
  order: OrderForm,
  pick: PickForm,
  count: CountForm,
};
