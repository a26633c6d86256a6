import type { OrderAnswers } from '../../../core';
import { Scrolls } from '../../../ui';
import { sharesOf } from '../analysis';
import type { Names } from './names';

const MAX_SWAPS = 6;

/** An order as it was made: items by places, at first and at last, and what was exchanged with its neighbour. */
export function Orders({
  orders: { items, keyed, first, last, swaps },
  answered,
  names,
}: {
  orders: OrderAnswers;
  answered: number;
  names: Names;
}) {
  const places = [...(first[0] ?? last[0] ?? []).keys()];
  return (
    <div>
      <p className="text-mute mb-1">
        In this place when first judged → at last. The right place of each is marked with a tick.
      </p>
      <Scrolls label="Items by places">
        <table className="ledger-table w-full">
          <caption className="sr-only">In which place each item stood</caption>
          <thead>
            <tr>
              <th scope="col">item</th>
              {places.map((place) => (
                <th key={place} scope="col" style={{ textAlign: 'right' }}>
                  {place + 1}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {items.map((item, row) => (
              <tr key={item}>
                <th scope="row">{names.item(item)}</th>
                {places.map((place) => {
                  const [at, then] = [first[row]?.[place] ?? 0, last[row]?.[place] ?? 0];
                  const isRight = row < keyed && row === place;
                  const ground = isRight ? 'bg-verdigris-wash' : then > 0 ? 'bg-brick-wash' : '';
                  return (
                    <td key={place} className={`figures text-right whitespace-nowrap ${ground}`}>
                      {at + then > 0 || isRight ? `${at} → ${then}${isRight ? ' ✓' : ''}` : ''}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      {swaps.length > 0 && (
        <>
          <p className="font-semibold mt-3">The other way round, next to each other at last</p>
          <ol className="list-decimal ps-6">
            {swaps.slice(0, MAX_SWAPS).map(({ earlier, later, learners }) => (
              <li key={`${earlier} ${later}`}>
                {names.item(later)} before {names.item(earlier)}: {sharesOf(learners, answered)}
              </li>
            ))}
          </ol>
        </>
      )}
    </div>
  );
}
