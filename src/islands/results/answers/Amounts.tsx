import type { AmountAnswers, Spread } from '../../../core';
import type { Names } from './names';

interface Props {
  amounts: AmountAnswers;
  answered: number;
  names: Names;
}

/** How much was put into a zone: of each item, and in all. */
export function Amounts({ amounts: { zone, items, sums, target, tolerance }, answered, names }: Props) {
  return (
    <section aria-label={names.zone(zone)} className="mb-4">
      <h4 className="font-semibold">{names.zone(zone)}</h4>
      {sums && target !== null && (
        <Bars
          title={`The sum; asked for was ${target}${tolerance > 0 ? ` ± ${tolerance}` : ''}`}
          spread={sums}
          answered={answered}
          isRight={(sum) => Math.abs(sum - target) <= tolerance + 1e-9}
        />
      )}
      {items.map(({ item, amounts }) => (
        <Bars key={item} title={`How many of ${names.item(item)}`} spread={amounts} answered={answered} />
      ))}
      {items.length === 0 && <p className="text-mute">Nobody had anything there at last.</p>}
    </section>
  );
}

interface BarsProps {
  title: string;
  spread: Spread;
  answered: number;
  isRight?: (amount: number) => boolean;
}

/** A small distribution: a row an amount, with a bar as long as its share. */
export function Bars({ title, spread, answered, isRight }: BarsProps) {
  const most = Math.max(1, ...spread.map(([, learners]) => learners));
  return (
    <table className="w-full max-w-md mb-3">
      <caption className="text-mute text-start">{title}</caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">amount</th>
          <th scope="col">learners of {answered}</th>
        </tr>
      </thead>
      <tbody>
        {spread.map(([amount, learners]) => (
          <tr key={amount}>
            <th scope="row" className="figures text-end pe-3 w-20 font-normal">
              {amount}
              {isRight?.(amount) && <span className="text-verdigris"> ✓</span>}
            </th>
            <td>
              <span className="flex items-center gap-2">
                <span
                  aria-hidden
                  className={`h-3 ${isRight?.(amount) ? 'bg-verdigris' : 'bg-brass'}`}
                  style={{ width: `${(80 * learners) / most}%` }}
                />
                <span className="figures text-sm">{learners}</span>
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
