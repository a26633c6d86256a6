import { type ItemId, inEachOf, type Need, type Question, setEitherNeed } from '../../../core';
import { Choice } from '../../../ui/Choice';
import type { BenchStore } from '../store';
import { NeedNumbers } from './NeedNumbers';

const RULES: readonly (readonly [Need['rule'], string])[] = [
  ['all', 'all of them'],
  ['exactly', 'exactly'],
  ['atLeast', 'at least'],
  ['between', 'between'],
];

const names = (things: readonly { readonly id: string; readonly label: string }[], ids: readonly string[]) =>
  ids.map((id) => things.find((thing) => thing.id === id)?.label || id);

export const orList = (words: readonly string[]): string =>
  words.length < 2 ? words.join() : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;

/** What belongs in any of several zones: how many of it they need together. */
export function EitherKey({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  return question.either.map((entry, index) => (
    <One key={`${entry.zones.join()} ${entry.belongs.join()}`} store={store} question={question} index={index} />
  ));
}

function One({ store, question, index }: { store: BenchStore; question: Question; index: number }) {
  const entry = question.either[index];
  if (!entry) return null;
  const act = store.getState().do;
  const [items, zones] = [names(question.items, entry.belongs), names(question.zones, entry.zones)];
  const endless = entry.belongs.some((id) => question.items.find((item) => item.id === id)?.copies === 'endless');
  const set = (need: Need) => act(setEitherNeed(store.getState().question, index, need), 'What either zone needs');
  const n = entry.belongs.length;
  const choose = (rule: Need['rule']) => {
    if (rule === 'all') return set({ rule });
    return set(rule === 'between' ? { rule, min: 1, max: n } : { rule, n });
  };
  return (
    <section className="mt-4" data-either-entry>
      <h3 className="font-semibold">
        {items.join(', ')} <span className="font-normal text-mute">in {orList(zones)}</span>
      </h3>
      <Choice label="Needed" options={endless ? RULES.slice(1) : RULES} value={entry.need.rule} onChoose={choose} />
      <NeedNumbers need={entry.need} onSet={set} />
      {entry.belongs.map((id: ItemId, i) => (
        <p key={id} className="py-1.5 border-b border-rule">
          <button
            type="button"
            className="btn btn-quiet btn-sm"
            onClick={() => act(inEachOf(store.getState().question, id), `${items[i]} in each of them`)}
          >
            {items[i]} in each of them instead
          </button>
        </p>
      ))}
    </section>
  );
}
