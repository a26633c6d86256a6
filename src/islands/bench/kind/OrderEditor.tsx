import { ArrowDown, ArrowUp } from 'lucide-react';
import { type ItemId, type Question, questionModel, respond, setQuestion } from '../../../core';
import { freshId, newItem } from '../../../core/document';
import {
  alike,
  alongALine,
  asCode,
  canFix,
  downThePage,
  type End,
  fixedAt,
  isAlong,
  isCode,
  laidAsBefore,
  startedWrong,
  WIDE_TAG,
  withFixed,
} from '../../../core/kinds';
import { Choice } from '../../../ui/Choice';
import { Typed } from '../../../ui/Typed';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { ORDERS } from '../words/orders';
import { become } from './become';

/** The right order, the order it begins with, and what parts of it earn. */
export function OrderEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const sequence = question.key.find((entry) => entry.sequence);
  const order = sequence?.belongs ?? [];
  const zone = question.zones.find(({ id }) => id === sequence?.zone);
  const name = (id: string) => question.items.find((item) => item.id === id)?.label ?? id;
  const setOrder = (next: readonly ItemId[]) =>
    become(
      store,
      (now) =>
        laidAsBefore(
          startedWrong({
            ...now,
            key: now.key.map((entry) => (entry.sequence ? { ...entry, belongs: [...next] } : entry)),
          }),
        ),
      'The order is changed',
    );
  const swap = (i: number, j: number) => {
    const next = [...order];
    [next[i], next[j]] = [next[j] as ItemId, next[i] as ItemId];
    setOrder(next);
  };
  const addEntry = (label: string, outside: boolean) =>
    become(
      store,
      (now) => {
        const id = freshId('item', new Set<string>(now.items.map((item) => item.id))) as ItemId;
        const items = [...now.items, newItem({ id, label })];
        const key = outside
          ? now.key
          : now.key.map((entry) => (entry.sequence ? { ...entry, belongs: [...(entry.belongs ?? []), id] } : entry));
        return laidAsBefore(startedWrong(alike({ ...now, items, key }, WIDE_TAG)));
      },
      `${label} is added`,
    );
  if (!sequence || !zone)
    return (
      <p className="py-2 text-mute">
        There is no order yet: begin with “From a list or text…”, an entry a line, in the right order.
      </p>
    );
  const along = isAlong(question);
  const outside = question.items.filter(({ id }) => !order.includes(id));
  return (
    <>
      <Section title="The right order" note={String(order.length)}>
        <Fixed store={store} end="first" />
        <ol>
          {order.map((id, i) => (
            <li key={id} className="flex items-center gap-1 border-b border-rule py-0.5">
              <span className="figures text-mute w-6">{i + 1}</span>
              <span className="grow" dir="auto">
                {name(id)}
              </span>
              <button
                type="button"
                className="bench-tool"
                disabled={i === 0}
                aria-label={`Move ${name(id)} up`}
                onClick={() => swap(i, i - 1)}
              >
                <ArrowUp size={14} aria-hidden />
              </button>
              <button
                type="button"
                className="bench-tool"
                disabled={i === order.length - 1}
                aria-label={`Move ${name(id)} down`}
                onClick={() => swap(i, i + 1)}
              >
                <ArrowDown size={14} aria-hidden />
              </button>
            </li>
          ))}
        </ol>
        <Fixed store={store} end="last" />
        <Typed
          label="Another entry of the order"
          placeholder="another entry"
          className="input input-sm w-full mt-1"
          value=""
          onTyped={(label) => label.trim() && addEntry(label.trim(), false)}
        />
        <p className="mt-2">
          {outside.length === 0 ? (
            <span className="text-mute">No entry belongs outside.</span>
          ) : (
            `Belongs outside: ${outside.map(({ label }) => label).join(', ')}`
          )}
        </p>
        <Typed
          label="An entry that belongs outside"
          placeholder="one that belongs outside"
          className="input input-sm w-full mt-1"
          value=""
          onTyped={(label) => label.trim() && addEntry(label.trim(), true)}
        />
      </Section>
      <Section title="How it begins">
        <Choice
          label="Direction"
          options={[
            ['down', 'down the page'],
            ['along', 'along a line'],
          ]}
          value={along ? 'along' : 'down'}
          onChoose={(way) =>
            become(
              store,
              (now) => (way === 'down' ? downThePage(now) : alongALine(now)),
              way === 'down' ? 'Down the page' : 'Along a line',
            )
          }
        />
        <label className="flex items-center gap-2 py-1">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={question.items.some(isCode)}
            onChange={(event) =>
              become(
                store,
                (now) => asCode(now, event.target.checked),
                event.target.checked ? 'Lines of code' : 'Words',
              )
            }
          />
          the entries are lines of code
        </label>
        <p className="mt-1">
          {question.start ? (
            question.start.placements.map(({ item }) => name(item)).join(' · ')
          ) : (
            <span className="text-mute">Everything waits in the tray.</span>
          )}
        </p>
        <div className="flex gap-2 mt-1">
          <button
            type="button"
            className="btn btn-edge btn-xs"
            onClick={() =>
              become(store, (now) => laidAsBefore(startedWrong(now, String(Date.now()))), 'Another order to begin with')
            }
          >
            Draw another beginning
          </button>
        </div>
      </Section>
      <Section title="Marks for a part of it">
        <Choice
          label="Counts"
          options={ORDERS}
          value={question.marks.sequenceRule}
          onChoose={(sequenceRule) =>
            store
              .getState()
              .do(setQuestion(store.getState().question, 'marks', { ...store.getState().question.marks, sequenceRule }))
          }
        />
        <p className="mt-1 text-mute">{exampleOf(question, order, name)}</p>
      </Section>
    </>
  );
}

/** The entry at an end that stands in its place from the start, if there is one. */
function Fixed({ store, end }: { store: BenchStore; end: End }) {
  const question = store((s) => s.question);
  const name = fixedAt(question, end);
  if (name === null && !canFix(question, end)) return null;
  return (
    <p className="flex items-center gap-2 py-1">
      {name !== null && (
        <span className="grow" dir="auto">
          {name} <span className="text-mute">stands there from the start</span>
        </span>
      )}
      <button
        type="button"
        className="btn btn-quiet btn-xs"
        onClick={() =>
          become(
            store,
            (now) => withFixed(now, end, name === null),
            name === null ? `The ${end} entry stands in its place` : `The ${end} entry is moved again`,
          )
        }
      >
        {name === null ? `Show the ${end} one in its place` : 'Let it be moved'}
      </button>
    </p>
  );
}

/** What an answer earns in which only the first two are the wrong way round, by the core. */
function exampleOf(question: Question, order: readonly ItemId[], name: (id: string) => string): string {
  const [first, second, ...others] = order;
  const zone = question.key.find((entry) => entry.sequence)?.zone;
  if (!first || !second || !zone) return '';
  const model = questionModel(question);
  const answer = respond(model, { placements: [second, first, ...others].map((item) => ({ item, zone })) });
  if (!answer.ok) return '';
  return `With “${name(first)}” and “${name(second)}” the wrong way round and all else right: ${answer.judged.mark} of ${answer.judged.max}.`;
}
