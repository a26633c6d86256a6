import type { QuestionAnalysis } from '../../../contract';
import { wrongPairs } from '../../../core';
import { Scrolls } from '../../../ui';
import type { Names } from './names';

const MAX_RANKED = 8;

interface Props {
  question: QuestionAnalysis;
  names: Names;
  /** The address at which something can be said about an item in a zone; null: nowhere. */
  sayAt: (item: number, zone: number) => string | null;
}

/** Items by zones: how often each was put where at first, and lay at last. */
export function Pairs({ question: { document, answers, answered }, names, sayAt }: Props) {
  const { pairs } = answers;
  const zones = [...document.zones.keys(), -1].filter((zone) => pairs.some((pair) => pair.zone === zone));
  const items = [...document.items.keys()].filter((item) => pairs.some((pair) => pair.item === item));
  const ranked = wrongPairs(pairs).slice(0, MAX_RANKED);
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
                  {names.zone(zone)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {items.map((item) => (
              <tr key={item}>
                <th scope="row">{names.item(item)}</th>
                {zones.map((zone) => {
                  const pair = pairs.find((pair) => pair.item === item && pair.zone === zone);
                  return (
                    <td key={zone} className={`figures text-right whitespace-nowrap ${groundOf(pair)}`}>
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
          <ol className="list-decimal ps-6">
            {ranked.map(({ item, zone, first, last }) => {
              const address = sayAt(item, zone);
              return (
                <li key={`${item} ${zone}`}>
                  {names.item(item)} {zone === -1 ? 'left out' : `in ${names.zone(zone)}`}:{' '}
                  <span className="figures">{last}</span> of {answered}
                  {zone !== -1 && first !== last && (
                    <span className="text-mute">
                      {' '}
                      (at first <span className="figures">{first}</span>)
                    </span>
                  )}
                  {address && (
                    <>
                      {' '}
                      <a
                        className="link-brass text-sm whitespace-nowrap"
                        href={address}
                        aria-label={`Say something about ${names.item(item)} in ${names.zone(zone)}`}
                      >
                        say something about it
                      </a>
                    </>
                  )}
                </li>
              );
            })}
          </ol>
        </>
      )}
    </div>
  );
}

function groundOf(pair: QuestionAnalysis['answers']['pairs'][number] | undefined): string {
  if (!pair || pair.right === null) return '';
  if (pair.right) return 'bg-verdigris-wash';
  return pair.last > 0 ? 'bg-brick-wash' : '';
}
