import { ErrorBar, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import type { Figure } from '../../core';

const ROW = 34;
const AXIS = 34;

/** Facilities below one another with their bounds, in percent. The same figures stand in the table beside it. */
export default function FacilityChart({
  rows,
}: {
  rows: readonly { readonly name: string; readonly facility: Figure }[];
}) {
  const data = rows.map(({ name, facility: { value, low, high } }, i) => ({
    name,
    row: i,
    facility: 100 * value,
    bounds: [100 * (value - low), 100 * (high - value)],
  }));
  return (
    <div aria-hidden style={{ height: ROW * rows.length + AXIS }}>
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart margin={{ top: 4, right: 16, bottom: 4, left: 0 }} accessibilityLayer={false}>
          <XAxis
            type="number"
            dataKey="facility"
            domain={[0, 100]}
            ticks={[0, 25, 50, 75, 100]}
            unit=" %"
            tick={{ fill: 'var(--color-mute)', fontSize: 12 }}
            stroke="var(--color-rule)"
          />
          <YAxis
            type="number"
            dataKey="row"
            reversed
            domain={[-0.5, rows.length - 0.5]}
            ticks={rows.map((_, i) => i)}
            tickFormatter={(i: number) => data[i]?.name ?? ''}
            width={104}
            tick={{ fill: 'var(--color-mute)', fontSize: 12 }}
            stroke="var(--color-rule)"
          />
          <Scatter data={data} fill="var(--color-brass)" isAnimationActive={false}>
            <ErrorBar
              dataKey="bounds"
              direction="x"
              width={6}
              stroke="var(--color-brass)"
              strokeWidth={2}
              isAnimationActive={false}
            />
          </Scatter>
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
