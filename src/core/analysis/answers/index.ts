import type { QuestionModel } from '../../judge/model';
import type { Digest } from '../digest';
import { type AmountAnswers, amountsOf } from './amounts';
import { type JointAnswers, jointsOf } from './joints';
import { type MarkAnswers, marksOf } from './marks';
import { type OptionAnswers, optionsOf } from './options';
import { type OrderAnswers, ordersOf } from './orders';
import { type Pair, pairsOf } from './pairs';
import { type TypedAnswers, typedOf } from './typed';

/** What a question was answered with, in the way of what it asks for. A question may ask for several things. */
export interface Answers {
  readonly pairs: readonly Pair[];
  readonly orders: readonly OrderAnswers[];
  readonly typed: readonly TypedAnswers[];
  readonly amounts: readonly AmountAnswers[];
  readonly marks: MarkAnswers | null;
  readonly options: OptionAnswers | null;
  readonly joints: readonly JointAnswers[];
}

export const answersOf = (model: QuestionModel, digests: readonly Digest[]): Answers => ({
  pairs: pairsOf(model, digests),
  orders: ordersOf(model, digests),
  typed: typedOf(model, digests),
  amounts: amountsOf(model, digests),
  marks: marksOf(model, digests),
  options: optionsOf(model, digests),
  joints: jointsOf(model, digests),
});
