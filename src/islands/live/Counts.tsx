import type { LiveCounts, LiveQuestion } from '../../contract';

/** Which item is in which zone now, in how many attempts. What belongs there is marked by more than colour. */
export function Counts({ question, counts }: { question: LiveQuestion; counts: LiveCounts }) {
  const { items, zones, keyed, title } = question;
  const most = Math.max(1, ...counts.flat());
  if (items.length === 0 || zones.length === 0)
    return <p className="text-mute">Nothing is placed in this question, so there is nothing to count here.</p>;
  return (
    <div className="relative overflow-x-auto">
      <table className="ledger-table">
        <caption className="sr-only">{`“${title}”: items by the zones they are in now`}</caption>
        <thead>
          <tr>
            <th scope="col">item</th>
            {zones.map((zone, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a zone is its place
              <th key={i} scope="col" className="text-right" style={{ textAlign: 'right' }} dir="auto">
                {zone}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {items.map((item, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: an item is its place
            <tr key={i}>
              <th scope="row" className="text-left font-normal" dir="auto">
                {item}
              </th>
              {zones.map((_, zone) => {
                const count = counts[i]?.[zone] ?? 0;
                const belongs = keyed[i]?.[zone] === true;
                const share = Math.round((count / most) * 60);
                return (
                  <td
                    // biome-ignore lint/suspicious/noArrayIndexKey: a zone is its place
                    key={zone}
                    className={`figures text-right ${count === 0 ? 'text-mute' : 'font-semibold'}`}
                    style={
                      count === 0
                        ? undefined
                        : {
                            background: `color-mix(in oklab, var(${belongs ? '--verdigris-wash' : '--brick-wash'}) ${40 + share}%, transparent)`,
                          }
                    }
                  >
                    {belongs && (
                      <>
                        <span aria-hidden>✓ </span>
                        <span className="sr-only">belongs here: </span>
                      </>
                    )}
                    {count === 0 ? '·' : count}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
