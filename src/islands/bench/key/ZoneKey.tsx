import { ArrowDown, ArrowUp } from 'lucide-react';
import { dropEntry, type KeyEntry, listedIn, type Need, setEntry, setZone, type Zone } from '../../../core';
import { Choice } from '../../../ui/Choice';
import { Typed } from '../../../ui/Typed';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { NeedNumbers } from './NeedNumbers';

type Wants = 'neutral' | 'trap' | 'all' | 'exactly' | 'atLeast' | 'between' | 'sequence' | 'sum';
const LARGE = 1e9;

function wantsOf(entry: KeyEntry | undefined): Wants {
  if (!entry) return 'neutral';
  if (entry.sum) return 'sum';
  if (entry.sequence) return 'sequence';
  return entry.belongs?.length === 0 ? 'trap' : (entry.need?.rule ?? 'all');
}

/** How many of what belongs a zone needs, by number, by value or in order. */
export function ZoneKey({ store, zone }: { store: BenchStore; zone: Zone }) {
  const question = store((s) => s.question);
  const entry = question.key.find((entry) => entry.zone === zone.id);
  const wants = wantsOf(entry);
  const act = store.getState().do;
  const set = (change: Partial<Omit<KeyEntry, 'zone'>>) => act(setEntry(store.getState().question, zone.id, change));
  const belongs = listedIn(question, entry ?? { belongs: null });
  const counted = (need: Need) => set({ need, sequence: false, sum: null, belongs });
  const n = entry?.need && 'n' in entry.need ? entry.need.n : Math.max(1, belongs.length);
  const choose = (to: Wants) => {
    switch (to) {
      case 'neutral':
        return act(dropEntry(question, zone.id));
      case 'trap':
        return set({ belongs: [], need: { rule: 'exactly', n: 0 }, sequence: false, sum: null });
      case 'all':
        return counted({ rule: 'all' });
      case 'exactly':
        return counted({ rule: 'exactly', n });
      case 'atLeast':
        return counted({ rule: 'atLeast', n });
      case 'between':
        return counted({ rule: 'between', min: 1, max: Math.max(1, n) });
      case 'sequence':
        return set({ sequence: true, need: { rule: 'all' }, sum: null, belongs });
      case 'sum':
        return set({
          sum: entry?.sum ?? { target: 1, tolerance: 0 },
          need: null,
          sequence: false,
          belongs: belongs.length > 0 ? belongs : null,
        });
    }
  };
  const options: [Wants, string][] = [
    ['neutral', 'nothing: it is neutral'],
    ['trap', 'to stay empty'],
    ...(belongs.length > 0
      ? ([
          ['all', 'all of them'],
          ['exactly', 'exactly'],
          ['atLeast', 'at least'],
          ['between', 'between'],
          ['sequence', 'all in order'],
        ] as [Wants, string][])
      : []),
    ['sum', 'values that add up'],
  ];
  return (
    <section className="mt-4">
      <h3 className="font-semibold">{zone.label || zone.id}</h3>
      <Choice label="Needs" options={options} value={wants} onChoose={choose} />
      {entry?.need && entry.need.rule === wants && <NeedNumbers need={entry.need} onSet={counted} />}
      {entry?.sum && (
        <Setting label="Adds up to">
          <NumberSetting
            label="What the values add up to"
            value={entry.sum.target}
            least={-LARGE}
            most={LARGE}
            onSet={(target) => target !== null && set({ sum: { tolerance: entry.sum?.tolerance ?? 0, target } })}
          />
          <span aria-hidden>±</span>
          <NumberSetting
            label="Give or take"
            value={entry.sum.tolerance}
            least={0}
            most={LARGE}
            onSet={(tolerance) => tolerance !== null && set({ sum: { target: entry.sum?.target ?? 0, tolerance } })}
          />
        </Setting>
      )}
      {wants === 'sequence' && entry && <Sequence store={store} entry={entry} />}
      {entry && (
        <Setting label="Weight">
          <NumberSetting
            label="Weight in the mark, where each zone earns its part"
            value={entry.weight}
            least={0}
            most={1000}
            empty={wants === 'trap' ? '0' : '1'}
            onSet={(weight) => set({ weight })}
          />
        </Setting>
      )}
      <Setting label="Family">
        <Typed
          label="Family the zone takes"
          className="input input-sm w-40"
          value={zone.family ?? ''}
          onTyped={(text) => act(setZone(question, zone.id, 'family', text.trim() || null))}
        />
        <span className="text-sm text-mute">empty: any</span>
      </Setting>
    </section>
  );
}

/** The order that is right, from the first on. */
function Sequence({ store, entry }: { store: BenchStore; entry: KeyEntry }) {
  const question = store((s) => s.question);
  const order = entry.belongs ?? [];
  const swap = (i: number, by: 1 | -1) => {
    const next = [...order];
    const [here, there] = [next[i], next[i + by]];
    if (!here || !there) return;
    next[i] = there;
    next[i + by] = here;
    store.getState().do(setEntry(question, entry.zone, { belongs: next }));
  };
  return (
    <ol className="border-b border-rule">
      {order.map((id, i) => {
        const name = question.items.find((item) => item.id === id)?.label || id;
        return (
          <li key={id} className="flex items-center gap-2 pl-[5.5rem]">
            <span className="figures text-sm text-mute w-5">{i + 1}</span>
            <span className="grow truncate">{name}</span>
            <button
              type="button"
              className="bench-tool"
              aria-label={`${name}: earlier`}
              disabled={i === 0}
              onClick={() => swap(i, -1)}
            >
              <ArrowUp size={14} aria-hidden />
            </button>
            <button
              type="button"
              className="bench-tool"
              aria-label={`${name}: later`}
              disabled={i === order.length - 1}
              onClick={() => swap(i, 1)}
            >
              <ArrowDown size={14} aria-hidden />
            </button>
          </li>
        );
      })}
    </ol>
  );
}
