export interface NamedChange {
  sittingId: string;
  name: string;
  before: { points: number; outOf: number };
  after: { points: number; outOf: number };
}

const percent = ({ points, outOf }: NamedChange['before']) => (outOf > 0 ? `${Math.round((points / outOf) * 100)} %` : '–');

/** Marks before and after, learner by learner. */
export function MarkChanges({ changes }: { changes: readonly NamedChange[] }) {
  if (changes.length === 0) return null;
  return (
    <div className="max-h-72 overflow-auto">
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
              <td>{name}</td>
              <td className="figures text-right">
                {before.points} / {before.outOf} <span className="text-mute">{percent(before)}</span>
              </td>
              <td className="figures text-right">
                {after.points} / {after.outOf} <span className="text-mute">{percent(after)}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
