import { Check, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import * as browser from '../../ui/browserStore';
import type { BenchState, BenchStore } from './store';

const STEPS = ['made', 'rehearsed', 'proved', 'published'] as const;
type StepName = (typeof STEPS)[number];

const WORDS: Readonly<Record<StepName, string>> = {
  made: 'Say what belongs where',
  rehearsed: 'Rehearse it',
  proved: 'Read its Proof',
  published: 'Publish it',
};
const GO: Readonly<Record<StepName, (store: BenchStore) => void>> = {
  made: (store) => store.getState().go(store.getState().question.items.length > 0 ? 'key' : 'kind'),
  rehearsed: (store) => store.getState().show('rehearse'),
  proved: (store) => store.getState().go('proof'),
  published: (store) => store.getState().show('publish'),
};

const STORED_AT = 'vault-drop.firstSteps';
const ALL = STEPS.join(' ');

/** The steps done so far in this browser. */
function remembered(): ReadonlySet<string> {
  const stored = browser.recall(STORED_AT);
  return new Set(Array.isArray(stored) ? stored : []);
}
const remember = (done: ReadonlySet<string>): void => browser.remember(STORED_AT, [...done]);

const isDone = (state: BenchState): Partial<Record<StepName, boolean>> => ({
  made: state.question.key.length + state.question.either.length > 0 && state.question.items.length > 0,
  rehearsed: state.open === 'rehearse',
  proved: state.station === 'proof',
  published: state.published,
});

/** The way from nothing to a question that learners have, in view until each of its steps was done once. */
export function FirstSteps({ store }: { store: BenchStore }) {
  const [done, setDone] = useState(remembered);
  const changeable = store((s) => s.access === 'own');
  useEffect(() => {
    const look = (state: BenchState) =>
      setDone((before) => {
        const now = isDone(state);
        const more = STEPS.filter((step) => now[step] && !before.has(step));
        if (more.length === 0) return before;
        const after = new Set([...before, ...more]);
        remember(after);
        return after;
      });
    look(store.getState());
    return store.subscribe(look);
  }, [store]);
  if (!changeable || STEPS.every((step) => done.has(step))) return null;
  const next = STEPS.find((step) => !done.has(step));
  return (
    <nav
      aria-label="First steps"
      className="flex items-center gap-1 px-4 h-9 shrink-0 bg-brass-wash border-b border-rule"
    >
      <ol className="flex items-center gap-1">
        {STEPS.map((step, i) => (
          <li key={step}>
            <button
              type="button"
              className={`bench-tool ${step === next ? 'font-semibold' : ''}`}
              aria-current={step === next ? 'step' : undefined}
              onClick={() => GO[step](store)}
            >
              <span className="figures">{i + 1}</span> {WORDS[step]}
              {done.has(step) && <Check size={15} aria-label="done" className="text-verdigris" />}
            </button>
          </li>
        ))}
      </ol>
      <span className="grow" />
      <button
        type="button"
        className="bench-tool"
        aria-label="Hide the first steps"
        onClick={() => {
          const all = new Set(ALL.split(' '));
          remember(all);
          setDone(all);
        }}
      >
        <X size={15} aria-hidden />
      </button>
    </nav>
  );
}
