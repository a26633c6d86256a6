import type { QuestionAnalysis } from '../../contract';
import { Scrolls } from '../../ui';
import { wrongPairs } from './analysis';

const MOST = 8;

/** Items by zones: how often each was put where at first, and lay at last. */
export function Pairs({ question: { document, pairs, answered } }: { question: QuestionAnalysis }) {
  const zones = [...document.zones.keys(), -1].filter((zone) => pairs.some((pair) => pair.zone === zone));
  const items = [...document.items.keys()].filter((item) => pairs.some((pair) => pair.item === item));
  const zoneName = (zone: number) => (zone === -1 ? 'nowhere' : document.zones[zone]?.label || `zone ${zone + 1}`);
  const itemName = (item: number) => document.items[item]?.label || document.items[item]?.id || '';
  const ranked = wrongPairs(pairs).slice(0, MOST);
  return (
    <div>
      <p className="text-mute mb-1">Put there at first → there at last</p>
      <Scrolls label="Items by zones">
        <table className="ledger-table w-full">
          <caption className="sr-only">Where each item was put</caption>
          <thead>
            <tr>
              <th scope="col">item</th>
              {zones.map((zone) => (
                <th key={zone} scope="col" style={{ textAlign: 'right' }}>
                  {zoneName(zone)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {items.map((item) => (
              <tr key={item}>
                <td>{itemName(item)}</td>
                {zones.map((zone) => {
                  const pair = pairs.find((pair) => pair.item === item && pair.zone === zone);
                  const ground =
                    !pair || pair.right === null
                      ? ''
                      : pair.right
                        ? 'bg-verdigris-wash'
                        : pair.last > 0
                          ? 'bg-brick-wash'
                          : '';
                  return (
                    <td key={zone} className={`figures text-right whitespace-nowrap ${ground}`}>
                      {pair ? `${pair.first} → ${pair.last}${pair.right ? ' ✓' : ''}` : ''}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      {ranked.length > 0 && (
        <>
          <p className="font-semibold mt-3">Wrong pairs, the most frequent at last first</p>
          <ol className="list-decimal pl-6">
            {ranked.map(({ item, zone, first, last }) => (
              <li key={`${item} ${zone}`}>
                {itemName(item)} in {zoneName(zone)}: <span className="figures">{last}</span> of {answered}
                {first !== last && (
                  <span className="text-mute">
                    {' '}
                    (at first <span className="figures">{first}</span>)
                  </span>
                )}
              </li>
            ))}
          </ol>
        </>
      )}
    </div>
  );
}
