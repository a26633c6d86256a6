import { falls } from '../../core';
import { Scrolls, shownMark } from '../../ui';

export interface NamedChange {
  sittingId: string;
  name: string;
  before: { points: number; outOf: number };
  after: { points: number; outOf: number };
}

const percent = ({ points, outOf }: NamedChange['before']) =>
  outOf > 0 ? `${Math.round((points / outOf) * 100)} %` : '–';

/** Marks before and after, learner by learner. */
export function MarkChanges({ changes }: { changes: readonly NamedChange[] }) {
  if (changes.length === 0) return null;
  return (
    <Scrolls label="Whose marks" className="max-h-72">
      <table className="ledger-table w-full">
        <caption className="sr-only">Marks before and after</caption>
        <thead>
          <tr>
            <th scope="col">learner</th>
            <th scope="col" style={{ textAlign: 'right' }}>
              before
            </th>
            <th scope="col" style={{ textAlign: 'right' }}>
              after
            </th>
          </tr>
        </thead>
        <tbody>
          {changes.map(({ sittingId, name, before, after }) => (
            <tr key={sittingId}>
              <td>
                {name} {falls(before, after) && <span className="text-brick text-sm">falls</span>}
              </td>
              <td className="figures text-right whitespace-nowrap">
                {shownMark(before.points)} / {before.outOf} <span className="text-mute">{percent(before)}</span>
              </td>
              <td className="figures text-right whitespace-nowrap">
                {shownMark(after.points)} / {after.outOf} <span className="text-mute">{percent(after)}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}
