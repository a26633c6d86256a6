import { type QuestionModel, questionModel } from '../judge/model';
import { type Responded, respond } from '../judge/response';
import { drawFault, drawnQuestion } from './draw';

/** A judged response, and the question as it was drawn for it. */
export interface DrawnResponse {
  readonly model: QuestionModel;
  readonly responded: Responded;
}

const MAX_MODELS = 200;

/** Judges responses of the command line's form; with pools each names what was drawn. */
export function responder(model: QuestionModel): (response: unknown) => DrawnResponse {
  if (model.question.pools.length === 0) return (response) => ({ model, responded: respond(model, response) });
  const models = new Map<string, QuestionModel>();
  return (response) => {
    if (typeof response !== 'object' || response === null || Array.isArray(response))
      return { model, responded: respond(model, response) };
    const { drawn, ...rest } = response as { drawn?: unknown };
    const fault = drawFault(model.question, drawn);
    if (fault) return { model, responded: { ok: false, fault: `${fault[0]}: ${fault[1]}` } };
    const ids = [...(drawn as string[])].sort();
    const name = JSON.stringify(ids);
    const known = models.get(name) ?? questionModel(drawnQuestion(model.question, ids));
    if (models.size >= MAX_MODELS) models.clear();
    models.set(name, known);
    return { model: known, responded: respond(known, rest) };
  };
}
