import { ArrowDown, ArrowUp, Eye, EyeOff, Lock, LockOpen } from 'lucide-react';
import { nameOf, type Ref, reorder, setNoted, thingAt, things } from '../../../core';
import type { BenchStore } from '../store';
import { coversOf } from './makings';

const WORDS = { item: 'item', zone: 'zone', fixture: 'fixture' } as const;
const MAX_NAMED = 3;

/**
 * Everything from front to back, with what covers what: the way to what lies underneath. Items lie over zones and zones
 * over fixtures, whatever is done here.
 */
export function OrderList({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const order = things(question);
  const refs = order.map(({ ref }) => ref);
  const act = store.getState().do;
  if (order.length === 0) return <p className="text-mute">Nothing on the scene yet.</p>;
  const named = (ref: Ref) => {
    const thing = thingAt(question, ref);
    return thing ? nameOf(thing) : ref;
  };
  return (
    <ol className="max-h-72 overflow-auto" aria-label="Front to back">
      {[...order].reverse().map((thing) => {
        const { ref, kind } = thing;
        const covers = coversOf(question, refs, ref);
        const locked = question.bench.locked.includes(ref);
        const veiled = question.bench.veiled.includes(ref);
        const one = new Set([ref]);
        return (
          <li
            key={ref}
            className={`flex items-center gap-1 border-b border-rule ${selection.has(ref) ? 'bg-brass-wash' : ''}`}
          >
            <button
              type="button"
              className="grow text-left py-0.5 px-1 cursor-pointer min-w-0"
              aria-pressed={selection.has(ref)}
              onClick={(event) => (event.shiftKey ? store.getState().toggle(ref) : store.getState().select([ref]))}
            >
              <span className="block truncate">
                {nameOf(thing)} <span className="text-sm text-mute">{WORDS[kind]}</span>
              </span>
              {covers.length > 0 && (
                <span className="block truncate text-sm text-mute">
                  under {covers.slice(0, MAX_NAMED).map(named).join(', ')}
                  {covers.length > MAX_NAMED && ` and ${covers.length - MAX_NAMED} more`}
                </span>
              )}
            </button>
            <button
              type="button"
              className="bench-tool"
              aria-label={`${nameOf(thing)}: one forward`}
              onClick={() => act(reorder(question, one, 'forward'))}
            >
              <ArrowUp size={14} aria-hidden />
            </button>
            <button
              type="button"
              className="bench-tool"
              aria-label={`${nameOf(thing)}: one back`}
              onClick={() => act(reorder(question, one, 'backward'))}
            >
              <ArrowDown size={14} aria-hidden />
            </button>
            <button
              type="button"
              className="bench-tool"
              aria-pressed={locked}
              aria-label={`${nameOf(thing)}: locked`}
              onClick={() => act(setNoted(question, 'locked', one, !locked))}
            >
              {locked ? <Lock size={14} aria-hidden /> : <LockOpen size={14} aria-hidden />}
            </button>
            <button
              type="button"
              className="bench-tool"
              aria-pressed={veiled}
              aria-label={`${nameOf(thing)}: out of sight`}
              onClick={() => act(setNoted(question, 'veiled', one, !veiled))}
            >
              {veiled ? <EyeOff size={14} aria-hidden /> : <Eye size={14} aria-hidden />}
            </button>
          </li>
        );
      })}
    </ol>
  );
}
