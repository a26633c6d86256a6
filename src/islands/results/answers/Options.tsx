import type { OptionAnswers } from '../../../core';
import { Scrolls } from '../../../ui';
import { percent, sharesOf } from '../analysis';
import type { Names } from './names';

const MAX_COMBINATIONS = 8;

interface Props {
  options: OptionAnswers;
  answered: number;
  names: Names;
}

/** What was picked: option by option, and together. */
export function Options({ options: { options, combinations }, answered, names }: Props) {
  const several = combinations.some(({ items }) => items.length > 1);
  const share = (n: number) => (answered === 0 ? '–' : percent(n / answered));
  return (
    <div>
      <Scrolls label="Options">
        <table className="ledger-table w-full">
          <caption className="sr-only">How many picked each option</caption>
          <thead>
            <tr>
              <th scope="col">option</th>
              {['at some time', 'at last', 'share'].map((word) => (
                <th key={word} scope="col" style={{ textAlign: 'right' }}>
                  {word}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {options.map(({ item, right, ever, last }) => (
              <tr key={item}>
                <th scope="row">
                  {names.item(item)}
                  {right && <span className="text-verdigris"> ✓ right</span>}
                </th>
                <td className="figures text-right">{ever}</td>
                <td className={`figures text-right ${right ? 'bg-verdigris-wash' : last > 0 ? 'bg-brick-wash' : ''}`}>
                  {last}
                </td>
                <td className="figures text-right">{share(last)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      {several && (
        <>
          <p className="font-semibold mt-3">Picked together at last</p>
          <ol className="list-decimal ps-6">
            {combinations.slice(0, MAX_COMBINATIONS).map(({ items, right, learners }) => (
              <li key={items.join(' ')}>
                {items.length === 0 ? 'nothing' : items.map(names.item).join(' + ')}
                {right && <span className="text-verdigris"> ✓ right</span>}: {sharesOf(learners, answered)}
              </li>
            ))}
          </ol>
        </>
      )}
    </div>
  );
}
