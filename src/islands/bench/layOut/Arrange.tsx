import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignStartHorizontal,
  AlignStartVertical,
  ArrowDownToLine,
  ArrowUpToLine,
  Copy,
  EyeOff,
  Group,
  Lock,
  type LucideIcon,
  StretchHorizontal,
  StretchVertical,
  Ungroup,
} from 'lucide-react';
import { useState } from 'react';
import { type Axis, gapsOf, nameOf, type Ref, things } from '../../../core';
import { numberFrom } from '../../../ui/numbers';
import {
  alignSelected,
  duplicateInRow,
  duplicateSelected,
  groupSelected,
  matchSize,
  noteSelected,
  orderSelected,
  sizeSelected,
  spaceSelected,
} from '../commands/arranging';
import { type BenchStore, framesOf } from '../store';

type Action = readonly [words: string, Icon: LucideIcon, run: () => void];

function Row({ label, actions }: { label: string; actions: readonly Action[] }) {
  return (
    <div className="grid grid-cols-[4rem_1fr] items-center gap-2">
      <span className="text-mute">{label}</span>
      <span className="flex flex-wrap">
        {actions.map(([words, Icon, run]) => (
          <button key={words} type="button" className="bench-tool" title={words} aria-label={words} onClick={run}>
            <Icon size={17} aria-hidden />
          </button>
        ))}
      </span>
    </div>
  );
}

/** Actions on the selection: lining up, spacing, sizing, copying, grouping. */
export function Arrange({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const several = selection.size > 1;
  const at = framesOf(question);
  const boxes = [...selection].flatMap((ref) => at.get(ref) ?? []);
  const on = (note: 'locked' | 'veiled') => [...selection].every((ref) => question.bench[note].includes(ref));
  const grouped = question.bench.groups.some((group) => group.some((ref) => selection.has(ref as Ref)));
  return (
    <div className="flex flex-col gap-1">
      <Row
        label={several ? 'Line up' : 'On scene'}
        actions={[
          ['Left edges', AlignStartVertical, () => alignSelected(store, 'left')],
          ['Middles, left to right', AlignCenterVertical, () => alignSelected(store, 'centre')],
          ['Right edges', AlignEndVertical, () => alignSelected(store, 'right')],
          ['Tops', AlignStartHorizontal, () => alignSelected(store, 'top')],
          ['Middles, top to bottom', AlignCenterHorizontal, () => alignSelected(store, 'middle')],
          ['Feet', AlignEndHorizontal, () => alignSelected(store, 'bottom')],
        ]}
      />
      {several && (
        <>
          <Gaps store={store} axis="x" gaps={gapsOf(boxes, 'x')} />
          <Gaps store={store} axis="y" gaps={gapsOf(boxes, 'y')} />
          <Row
            label="Size"
            actions={[
              ['Same width', StretchHorizontal, () => sizeSelected(store, 'width')],
              ['Same height', StretchVertical, () => sizeSelected(store, 'height')],
            ]}
          />
        </>
      )}
      <div className="grid grid-cols-[4rem_1fr] items-center gap-2">
        <span className="text-mute">Match</span>
        <select
          className="select select-xs w-full"
          aria-label="Take the size of"
          value=""
          onChange={(event) => matchSize(store, event.target.value as Ref)}
        >
          <option value="">the size of…</option>
          {things(question)
            .filter(({ ref }) => !selection.has(ref) && at.has(ref))
            .map((thing) => (
              <option key={thing.ref} value={thing.ref}>
                {nameOf(thing)}
              </option>
            ))}
        </select>
      </div>
      <Row
        label="Order"
        actions={[
          ['To the front', ArrowUpToLine, () => orderSelected(store, 'front')],
          ['To the back', ArrowDownToLine, () => orderSelected(store, 'back')],
        ]}
      />
      <div className="flex flex-wrap gap-1">
        <Toggle Icon={Lock} words={on('locked') ? 'Unlock' : 'Lock'} run={() => noteSelected(store, 'locked')} />
        <Toggle
          Icon={EyeOff}
          words={on('veiled') ? 'In sight' : 'Out of sight'}
          run={() => noteSelected(store, 'veiled')}
        />
        {several && !grouped && <Toggle Icon={Group} words="Group" run={() => groupSelected(store, true)} />}
        {grouped && <Toggle Icon={Ungroup} words="No group" run={() => groupSelected(store, false)} />}
        <Toggle Icon={Copy} words="Duplicate" run={() => duplicateSelected(store)} />
      </div>
      <InRow store={store} />
    </div>
  );
}

function Toggle({ Icon, words, run }: { Icon: LucideIcon; words: string; run: () => void }) {
  return (
    <button type="button" className="btn btn-quiet btn-xs" onClick={run}>
      <Icon size={14} aria-hidden /> {words}
    </button>
  );
}

/** The gaps there are, and one gap for all. */
function Gaps({ store, axis, gaps }: { store: BenchStore; axis: Axis; gaps: readonly number[] }) {
  const shown = gaps.map((gap) => Math.round(gap * 10) / 10);
  const equal = new Set(shown).size === 1;
  const name = axis === 'x' ? 'across' : 'down';
  return (
    <div className="grid grid-cols-[4rem_1fr] items-center gap-2">
      <span className="text-mute">Gaps {name}</span>
      <span className="flex items-center gap-1 flex-wrap">
        <span className="figures text-sm truncate max-w-24" title={shown.join(' · ')}>
          {equal ? shown[0] : shown.slice(0, 4).join(' · ')}
        </span>
        <button
          type="button"
          className="btn btn-quiet btn-xs"
          onClick={() => spaceSelected(store, axis)}
          disabled={gaps.length < 2}
        >
          Equal
        </button>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            const gap = numberFrom(String(new FormData(event.currentTarget).get('gap')), -1000, 10_000).value;
            if (gap !== null) spaceSelected(store, axis, gap);
          }}
        >
          <input
            name="gap"
            className="input input-xs figures w-14"
            aria-label={`Gap ${name} for all`}
            placeholder="all to"
          />
        </form>
      </span>
    </div>
  );
}

const MAX_COPIES = 200;

function InRow({ store }: { store: BenchStore }) {
  const [times, setTimes] = useState('3');
  const [gap, setGap] = useState('12');
  const read = { times: numberFrom(times, 1, MAX_COPIES, true).value, gap: numberFrom(gap, -1000, 10_000).value };
  const run = (axis: Axis) =>
    read.times !== null && read.gap !== null && duplicateInRow(store, read.times, axis, read.gap);
  return (
    <div className="flex items-center gap-1 flex-wrap">
      <span className="text-mute">In a row:</span>
      <input
        className="input input-xs figures w-11"
        aria-label="How many more"
        value={times}
        onChange={(event) => setTimes(event.target.value)}
      />
      <span className="text-mute">more,</span>
      <input
        className="input input-xs figures w-11"
        aria-label="How far apart"
        value={gap}
        onChange={(event) => setGap(event.target.value)}
      />
      <span className="text-mute">apart</span>
      <button
        type="button"
        className="btn btn-quiet btn-xs"
        onClick={() => run('x')}
        disabled={read.times === null || read.gap === null}
      >
        across
      </button>
      <button
        type="button"
        className="btn btn-quiet btn-xs"
        onClick={() => run('y')}
        disabled={read.times === null || read.gap === null}
      >
        down
      </button>
    </div>
  );
}
