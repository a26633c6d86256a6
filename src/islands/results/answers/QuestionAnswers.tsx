import type { QuestionAnalysis } from '../../../contract';
import { Drops } from '../Drops';
import { Amounts } from './Amounts';
import { FifthsTable } from './FifthsTable';
import { Joints } from './Joints';
import { Marks } from './Marks';
import { namesIn, withPieces } from './names';
import { Options } from './Options';
import { Orders } from './Orders';
import { Pairs } from './Pairs';
import { Typed } from './Typed';

interface Props {
  question: QuestionAnalysis;
  /** Its place in the edition. */
  index: number;
  releaseId: string;
}

/** How one question was answered, in the way of its kind. */
export function QuestionAnswers({ question, index, releaseId }: Props) {
  const { document, answers, answered, fifths, drops } = question;
  const names = namesIn(document);
  const { orders, typed, amounts, marks, options, joints, pairs } = answers;
  const back = { release: releaseId, question: String(index) };
  const acceptAt = (zone: number, text: string) => {
    const accepted = { question: String(index), zone: document.zones[zone]?.id ?? '', spelling: text };
    return `/releases/${releaseId}/editions?${new URLSearchParams(accepted)}`;
  };
  const sayAt = (item: number, zone: number) => {
    const cell = {
      ...back,
      station: 'words',
      item: document.items[item]?.id ?? '',
      zone: document.zones[zone]?.id ?? '',
    };
    return zone === -1 ? null : `/bench/${document.id}?${new URLSearchParams(cell)}`;
  };
  // Items by zones say nothing of a place in an order, of words that were typed, of what was picked, nor of markers.
  const isToldOtherwise = (zone: number) =>
    orders.some((order) => order.zone === zone) || typed.some((gap) => gap.zone === zone);
  const hasPairs = !marks && !options && pairs.some(({ zone }) => zone !== -1 && !isToldOtherwise(zone));
  const hasDrops = !marks && drops.length > 0;
  return (
    <>
      <div className={hasDrops ? 'grid gap-8 lg:grid-cols-2' : 'max-w-4xl'}>
        <div>
          {orders.map((order) => (
            <Orders key={order.zone} orders={order} answered={answered} names={names} />
          ))}
          {typed.map((gap) => (
            <Typed key={gap.zone} typed={gap} answered={answered} names={names} acceptAt={acceptAt} />
          ))}
          {amounts.map((zone) => (
            <Amounts key={zone.zone} amounts={zone} answered={answered} names={names} />
          ))}
          {options && <Options options={options} answered={answered} names={names} />}
          {joints.length > 0 && <Joints joints={joints} answered={answered} names={withPieces(document)} />}
          {marks && <Marks question={question} marks={marks} names={names} />}
          {hasPairs && <Pairs question={question} names={names} sayAt={sayAt} />}
        </div>
        {hasDrops && <Drops question={question} />}
      </div>
      {fifths && !marks && orders.length === 0 && fifths.rows.length > 0 && (
        <FifthsTable fifths={fifths} names={names} />
      )}
    </>
  );
}
