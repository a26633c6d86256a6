import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from 'recharts';

/**
 * Marks as a distribution: how many learners stand in each tenth. The same numbers stand beneath it for those who do
 * not see it. `height`: in CSS pixels.
 */
export default function Histogram({ tenths, height }: { tenths: readonly number[]; height: number }) {
  const rows = tenths.map((learners, i) => ({ tenth: `${i * 10}–${i === 9 ? 100 : i * 10 + 9}`, learners }));
  return (
    <>
      <div aria-hidden style={{ height }}>
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={rows} margin={{ top: 8, right: 8, bottom: 4, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid vertical={false} stroke="var(--color-rule)" />
            <XAxis
              dataKey="tenth"
              tick={{ fill: 'var(--color-mute)', fontSize: 12 }}
              stroke="var(--color-rule)"
              interval={0}
            />
            <YAxis
              allowDecimals={false}
              width={32}
              tick={{ fill: 'var(--color-mute)', fontSize: 12 }}
              stroke="var(--color-rule)"
            />
            <Bar dataKey="learners" fill="var(--color-brass)" isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <ul className="sr-only">
        {rows.map(({ tenth, learners }) => (
          <li key={tenth}>
            {tenth} percent: {learners}
          </li>
        ))}
      </ul>
    </>
  );
}
