import { useMemo } from 'react';
import {
  drawnQuestion,
  itemOf,
  type Marks as MarksOf,
  type Question,
  setQuestion,
  type TypicalAnswer,
  typicalAnswers,
} from '../../../core';
import { Choice } from '../../../ui/Choice';
import { modelOf } from '../key/ghosts';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { ORDERS } from './orders';

const RULES: readonly [MarksOf['rule'], string][] = [
  ['perPlacement', 'each placement its part'],
  ['perZone', 'each zone its part'],
  ['allOrNothing', 'all or nothing'],
];
const MOST = 1e6;

/** The maximum mark, how it is earned and lost, and the marks of five typical answers. */
export function Marks({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const { marks } = question;
  const set = (change: Partial<MarksOf>) =>
    store
      .getState()
      .do(setQuestion(store.getState().question, 'marks', { ...store.getState().question.marks, ...change }));
  const percent = (share: number) => Math.round(share * 1000) / 10;
  return (
    <>
      <Setting label="Maximum">
        <NumberSetting
          label="Maximum mark"
          value={marks.max}
          least={0}
          most={MOST}
          onSet={(max) => max !== null && set({ max })}
        />
        <span className="text-mute">to</span>
        <NumberSetting
          label="Places after the point"
          value={marks.places}
          least={0}
          most={4}
          whole
          onSet={(places) => places !== null && set({ places })}
        />
        <span className="text-mute">places</span>
      </Setting>
      <Choice label="Earned" options={RULES} value={marks.rule} onChoose={(rule) => set({ rule })} />
      {marks.rule === 'perPlacement' && (
        <>
          <Setting label="One too many">
            <span className="text-mute">costs</span>
            <NumberSetting
              label="What one costs that belongs nowhere or has its place filled, in parts of a right one"
              value={marks.extraCosts}
              least={0}
              most={100}
              onSet={(extraCosts) => extraCosts !== null && set({ extraCosts })}
            />
            <span className="text-mute">of a right one</span>
          </Setting>
          <Setting label="One misplaced">
            <span className="text-mute">costs</span>
            <NumberSetting
              label="What one costs, beside its place, that is needed elsewhere, in parts of a right one"
              value={marks.misplacedCosts}
              least={0}
              most={100}
              onSet={(misplacedCosts) => misplacedCosts !== null && set({ misplacedCosts })}
            />
            <span className="text-mute">of a right one, beside its empty place</span>
          </Setting>
        </>
      )}
      {question.key.some(({ sequence }) => sequence) && (
        <Choice
          label="An order"
          options={ORDERS}
          value={marks.sequenceRule}
          onChoose={(sequenceRule) => set({ sequenceRule })}
        />
      )}
      <Setting label="A new try">
        <span className="text-mute">costs</span>
        <NumberSetting
          label="What each further try costs, in per cent of the maximum"
          value={percent(marks.tryCosts)}
          least={0}
          most={100}
          onSet={(cost) => cost !== null && set({ tryCosts: cost / 100 })}
        />
        <span className="text-mute">% of the maximum</span>
      </Setting>
      <Choice
        label="Counts"
        options={[
          ['best', 'the best try'],
          ['last', 'the last try'],
        ]}
        value={marks.tryCounts}
        onChoose={(tryCounts) => set({ tryCounts })}
      />
      <IfThen store={store} question={question} />
    </>
  );
}

function inWords(question: Question, { typical, about }: TypicalAnswer): string {
  const item = about && 'copy' in about ? question.items[itemOf(about.copy)] : undefined;
  const zone = about && 'zone' in about ? question.zones[about.zone] : undefined;
  switch (typical) {
    case 'allRight':
      return 'puts everything where it belongs';
    case 'allButOne':
      return `leaves out ${item?.label || item?.id}`;
    case 'oneWrong':
      return `puts ${item?.label || item?.id} in a wrong zone`;
    case 'allInOneZone':
      return `puts all into ${zone?.label || zone?.id}`;
    case 'nothing':
      return 'moves nothing';
  }
}

/** The marks of typical answers, worked out by the same core that marks learners. */
function IfThen({ store, question }: { store: BenchStore; question: Question }) {
  const proved = store((s) => s.proved);
  const answer = proved?.of === question ? proved.proof.modelAnswer : null;
  // With pools, of the draw that Proof answered.
  const drawn = useMemo(() => (answer?.drawn ? drawnQuestion(question, answer.drawn) : question), [question, answer]);
  const answers = useMemo(() => typicalAnswers(modelOf(drawn), answer?.placements ?? null), [drawn, answer]);
  if (question.key.length === 0 && question.either.length === 0)
    return <p className="text-mute mt-2">What answers earn stands here as soon as the key says what belongs where.</p>;
  return (
    <table className="w-full mt-2" data-typical>
      <caption className="text-left text-mute">A learner who…</caption>
      <tbody>
        {answers.map((answer) => (
          <tr key={answer.typical} className="border-b border-rule">
            <td className="py-0.5">{inWords(drawn, answer)}</td>
            <td className="text-right figures whitespace-nowrap">
              {answer.judged.mark} of {answer.judged.max}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
