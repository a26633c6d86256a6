import { useEffect, useState } from 'react';
import { type Question, setQuestion } from '../../../core';
import { plainText, richFromPlain } from '../../../core/document';
import { numberFrom } from '../parts/numbers';
import { Typed } from '../parts/Typed';
import type { BenchStore } from '../store';

const RULES: readonly [Question['marks']['rule'], string][] = [
  ['perPlacement', 'each placement earns its part'],
  ['allOrNothing', 'all or nothing'],
];
const MOST_TRIES = 100;

/** The prompt, the maximum mark and how it is earned, and the tries. */
export function WordsAndMarks({ store }: { store: BenchStore }) {
  const { question } = store();
  const kept = plainText(question.prompt);
  const [prompt, setPrompt] = useState(kept);
  useEffect(() => setPrompt(kept), [kept]);
  const act = store.getState().do;
  return (
    <>
      <h2 className="text-lg mb-2">
        Words &amp; marks <span className="font-sans font-normal text-base text-mute">what is said, what it earns</span>
      </h2>
      <label className="block">
        <span className="font-semibold">Prompt</span>
        <textarea
          rows={4}
          className="textarea w-full mt-1"
          value={prompt}
          onChange={(event) => setPrompt(event.target.value)}
          onBlur={() => prompt !== kept && act(setQuestion(question, 'prompt', richFromPlain(prompt)))}
          placeholder="What the learner is asked to do"
        />
      </label>
      <div className="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-3 mt-4">
        <span className="font-semibold">Maximum mark</span>
        <Typed
          label="Maximum mark"
          className="input input-sm figures w-28"
          value={String(question.marks.max)}
          problem={(text) => numberFrom(text, 0).problem}
          onTyped={(text) => act(setQuestion(question, 'marks', { ...question.marks, max: numberFrom(text, 0).value ?? question.marks.max }))}
        />
        <span className="font-semibold" id="marks-rule">
          Earned
        </span>
        <div role="radiogroup" aria-labelledby="marks-rule" className="flex flex-col gap-1">
          {RULES.map(([rule, words]) => (
            <label key={rule} className="flex items-center gap-2">
              <input
                type="radio"
                className="radio radio-sm"
                name="marks-rule"
                checked={question.marks.rule === rule}
                onChange={() => act(setQuestion(question, 'marks', { ...question.marks, rule }))}
              />
              {words}
            </label>
          ))}
        </div>
        <span className="font-semibold">Tries</span>
        <div className="flex items-center gap-2">
          <Typed
            label="Tries, empty for no limit"
            className="input input-sm figures w-28"
            value={question.tries === null ? '' : String(question.tries)}
            problem={(text) => (text.trim() === '' ? null : numberFrom(text, 1, MOST_TRIES, true).problem)}
            onTyped={(text) => act(setQuestion(question, 'tries', text.trim() === '' ? null : (numberFrom(text, 1, MOST_TRIES, true).value ?? null)))}
          />
          <span className="text-sm text-mute">{question.tries === null ? 'no limit' : 'empty: no limit'}</span>
        </div>
        <span className="font-semibold" id="after-miss">
          After a miss
        </span>
        <div role="radiogroup" aria-labelledby="after-miss" className="flex flex-col gap-1">
          {(
            [
              ['leave', 'everything stays'],
              ['sendWrongHome', 'the wrong ones go back'],
              ['sendAllHome', 'everything goes back'],
            ] as const
          ).map(([rule, words]) => (
            <label key={rule} className="flex items-center gap-2">
              <input
                type="radio"
                className="radio radio-sm"
                name="after-miss"
                checked={question.afterMiss === rule}
                onChange={() => act(setQuestion(question, 'afterMiss', rule))}
              />
              {words}
            </label>
          ))}
        </div>
      </div>
    </>
  );
}
