import type { Fifths } from '../../../core';
import { Scrolls } from '../../../ui';
import type { Names } from './names';

const FIFTHS = ['the weakest fifth', '2nd', '3rd', '4th', 'the strongest fifth'];
const MAX_ROWS = 12;

/** Who chose what at first, by fifths of the whole mark. What is right is chosen more often from left to right. */
export function FifthsTable({ fifths: { learners, rows }, names }: { fifths: Fifths; names: Names }) {
  return (
    <details className="mt-4">
      <summary className="cursor-pointer font-semibold">Who chose what, by fifths of the total</summary>
      <p className="text-mute my-1">Shares of each fifth of the learners who put it there at first, or picked it.</p>
      <Scrolls label="By fifths">
        <table className="ledger-table w-full">
          <caption className="sr-only">Shares of each fifth</caption>
          <thead>
            <tr>
              <th scope="col">choice</th>
              {FIFTHS.map((word, i) => (
                <th key={word} scope="col" style={{ textAlign: 'right' }}>
                  {word} <span className="block text-mute">n = {learners[i]}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, MAX_ROWS).map(({ item, zone, counts }) => (
              <tr key={`${item} ${zone}`}>
                <th scope="row">
                  {names.item(item)} in {names.zone(zone)}
                </th>
                {counts.map((count, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a fifth is its place
                  <td key={i} className="figures text-right">
                    {learners[i] ? `${Math.round((100 * count) / learners[i])} %` : '–'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
    </details>
  );
}
