import {
  boardView,
  inOwnNames,
  learnerEdition,
  markSoFar,
  type Names,
  namer,
  type Question,
  type QuestionModel,
  questionModel,
  questionView,
  type Standing,
  takeMove,
  tryView,
  untouched,
} from '../../../core';
import type { ApiResult } from '../../../ui/api';
import type { Send } from '../../player/store';
import type { Answer, SittingView } from '../../player/types';

/** A sitting that nobody keeps: the question as a learner has it, judged beside it by the same core that judges on the server. */
export interface Rehearsal {
  readonly view: SittingView;
  readonly send: Send;
  readonly model: QuestionModel;
  readonly names: Names;
}

export function rehearsal(question: Question, seed: string): Rehearsal {
  const model = questionModel(question);
  const { names } = learnerEdition(question, seed);
  let standing: Standing = untouched(model);
  let last = 0;

  const answer = (judged: boolean): ApiResult<Answer> => {
    const best = markSoFar(model, standing.tries);
    return {
      ok: true,
      value: {
        last,
        lastTry: judged ? tryView(model, standing, namer(model, names.item)) : null,
        board: boardView(model, standing, names),
        best: best ? { mark: best.mark, max: best.max } : null,
        tries: standing.tries.length,
        ended: standing.ended,
      },
    };
  };
  const send: Send = async (_, moves) => {
    let judged = false;
    for (const move of moves) {
      const taken = takeMove(model, standing, inOwnNames(move, names));
      if (!taken.ok)
        return {
          ok: false,
          error: {
            code: 'sittingMovedOn',
            message: taken.reason === 'refused' ? taken.message : 'The question has ended',
            wayOn: '',
            detail: { ...questionView(model, seed, standing), last },
          },
        };
      judged ||= taken.standing.tries.length > standing.tries.length;
      standing = taken.standing;
      last++;
    }
    return answer(judged);
  };
  return { view: { id: 'rehearsal', release: '', course: '', last: 0, ...questionView(model, seed, standing) }, send, model, names };
}
