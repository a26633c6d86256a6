import { useState } from 'react';
import { type ItemId, setCopies, setQuestion, type ZoneId } from '../../../core';
import { type Amount, needing, withFrame, withStack } from '../../../core/kinds';
import { numberFrom } from '../../../ui/numbers';
import { Typed } from '../../../ui/Typed';
import { Section } from '../parts/Section';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { become } from './become';

type Rule = Amount['rule'] | 'sum';

/** How many of a heap, or what values, a container needs; frames of places in one step. */
export function CountEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const act = store.getState().do;
  const now = () => store.getState().question;
  const containers = question.zones.filter(({ label, shape }) => label !== '' && shape.type !== 'slot');
  return (
    <>
      <Section title="Heaps">
        {question.items.length === 0 && (
          <p className="text-mute">Add an item: as many of it as there are lie in one heap.</p>
        )}
        {question.items.map((item) => (
          <Setting key={item.id} label={item.label || item.id}>
            <NumberSetting
              label={`How many of ${item.label || item.id} there are`}
              value={item.copies === 'endless' ? null : item.copies}
              least={1}
              most={500}
              whole
              empty="endless"
              onSet={(n) => act(setCopies(now(), [item.id], n ?? 'endless'))}
            />
          </Setting>
        ))}
      </Section>
      <Section title="Containers">
        {containers.length === 0 && <p className="text-mute">Add a zone with a name, or a frame below.</p>}
        {containers.map(({ id, label }) => (
          <Container key={id} store={store} zone={id} label={label} />
        ))}
        <label className="flex items-center gap-2 py-1">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={question.show.runningTotal}
            onChange={(event) => act(setQuestion(now(), 'show', { ...now().show, runningTotal: event.target.checked }))}
          />
          learners see what the values in a zone add up to
        </label>
      </Section>
      <Section title="A frame of places">
        <FrameForm store={store} />
      </Section>
    </>
  );
}

function Container({ store, zone, label }: { store: BenchStore; zone: ZoneId; label: string }) {
  const question = store((s) => s.question);
  const entry = question.key.find((entry) => entry.zone === zone);
  const items: ItemId[] =
    entry?.belongs && entry.belongs.length > 0 ? entry.belongs : question.items.slice(0, 1).map(({ id }) => id);
  const hasValues = question.items.some(({ value }) => value !== null);
  const rule: Rule | '' = !entry
    ? ''
    : entry.sum
      ? 'sum'
      : entry.need && entry.need.rule !== 'all'
        ? entry.need.rule
        : '';
  const set = (next: Rule, numbers: Partial<Record<'n' | 'min' | 'max' | 'target' | 'tolerance', number>> = {}) =>
    become(
      store,
      (now) => {
        const { need, sum } = now.key.find((entry) => entry.zone === zone) ?? { need: null, sum: null };
        const n = numbers.n ?? (need && 'n' in need ? need.n : 1);
        const min = numbers.min ?? (need?.rule === 'between' ? need.min : n);
        const max = Math.max(min, numbers.max ?? (need?.rule === 'between' ? need.max : n));
        if (next === 'sum')
          return needing(
            now,
            zone,
            null,
            { target: numbers.target ?? sum?.target ?? 1, tolerance: numbers.tolerance ?? sum?.tolerance ?? 0 },
            items,
          );
        return needing(now, zone, next === 'between' ? { rule: next, min, max } : { rule: next, n }, null, items);
      },
      `${label}: set`,
    );
  const number = (field: 'n' | 'min' | 'max' | 'target' | 'tolerance', value: number) => (
    <Typed
      label={`${label}: ${FIELD_WORDS[field]}`}
      className="input input-sm figures w-16"
      value={String(value)}
      problem={(words) =>
        numberFrom(words, field === 'target' ? -1e6 : 0, 1e6, field !== 'target' && field !== 'tolerance').problem
      }
      onTyped={(words) => rule && set(rule, { [field]: Number(words) })}
    />
  );
  return (
    <Setting label={label}>
      <select
        aria-label={`What ${label} needs`}
        className="select select-sm w-32"
        value={rule}
        onChange={(event) => event.target.value && set(event.target.value as Rule)}
      >
        <option value="">{entry ? 'as in the key' : 'nothing yet'}</option>
        <option value="exactly">exactly</option>
        <option value="atLeast">at least</option>
        <option value="between">between</option>
        {hasValues && <option value="sum">values of</option>}
      </select>
      {entry?.need && 'n' in entry.need && number('n', entry.need.n)}
      {entry?.need?.rule === 'between' && (
        <>
          {number('min', entry.need.min)} and {number('max', entry.need.max)}
        </>
      )}
      {entry?.sum && (
        <>
          {number('target', entry.sum.target)} ± {number('tolerance', entry.sum.tolerance)}
        </>
      )}
    </Setting>
  );
}
const FIELD_WORDS = {
  n: 'how many',
  min: 'the fewest',
  max: 'the most',
  target: 'what they add up to',
  tolerance: 'how far off they may be',
} as const;

/** The size of what is counted, until there is an item. */
const DEFAULT_SIZE = { w: 60, h: 60 };

function FrameForm({ store }: { store: BenchStore }) {
  const [rows, setRows] = useState('2');
  const [columns, setColumns] = useState('5');
  const size = store((s) => s.question.items[0]?.size) ?? DEFAULT_SIZE;
  const fine = [rows, columns].every((words) => numberFrom(words, 1, 30, true).problem === null);
  const make = () =>
    become(
      store,
      (now) => {
        const cell = { w: size.w + 12, h: size.h + 12 };
        const below = Math.max(
          0,
          ...now.zones.flatMap(({ shape }) => (shape.type === 'rect' ? [shape.y + shape.h] : [])),
        );
        return withFrame(now, { rows: Number(rows), columns: Number(columns), x: 40, y: below + 30, cell, gap: 6 });
      },
      `A frame of ${rows} by ${columns}`,
    );
  const stack = () =>
    become(
      store,
      (now) => {
        const right = Math.max(
          20,
          ...now.zones.flatMap(({ shape }) => (shape.type === 'rect' ? [shape.x + shape.w] : [])),
        );
        return withStack(now, { places: Number(rows), x: right + 20, y: 40, cell: size });
      },
      `A stack of ${rows}`,
    );
  return (
    <div className="flex flex-wrap items-center gap-2">
      <input
        aria-label="Rows"
        inputMode="numeric"
        className="input input-sm figures w-14"
        value={rows}
        onChange={(event) => setRows(event.target.value)}
      />{' '}
      rows by
      <input
        aria-label="Columns"
        inputMode="numeric"
        className="input input-sm figures w-14"
        value={columns}
        onChange={(event) => setColumns(event.target.value)}
      />{' '}
      columns
      <button type="button" className="btn btn-edge btn-sm" disabled={!fine} onClick={make}>
        Make the frame
      </button>
      <button type="button" className="btn btn-edge btn-sm" disabled={!fine} onClick={stack}>
        Make a stack of {fine ? rows : 'rows'}
      </button>
      <p className="text-sm text-mute basis-full">
        Each place takes one, and is a little larger than the first item; in a stack they lie one over another.
      </p>
    </div>
  );
}
