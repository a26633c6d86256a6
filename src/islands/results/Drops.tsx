import { useState } from 'react';
import type { QuestionAnalysis } from '../../contract';
import { OnSketch } from '../shared/OnSketch';

/** Scene units of one square of the density. */
const SQUARE = 40;

/** Where items were let go on the scene: as points, or as how many in each square. */
export function Drops({ question: { document, drops } }: { question: QuestionAnalysis }) {
  const [density, setDensity] = useState(false);
  const [item, setItem] = useState(-1);
  const shown = item === -1 ? drops : drops.filter(([of]) => of === item);
  const squares = new Map<string, number>();
  for (const [, x, y] of shown) {
    const key = `${Math.floor(x / SQUARE)} ${Math.floor(y / SQUARE)}`;
    squares.set(key, (squares.get(key) ?? 0) + 1);
  }
  const most = Math.max(1, ...squares.values());
  return (
    <div>
      <div className="flex flex-wrap items-center gap-3 mb-2">
        <select
          className="select select-sm w-48"
          aria-label="Drops of"
          value={item}
          onChange={(event) => setItem(Number(event.target.value))}
        >
          <option value={-1}>all items</option>
          {document.items.map(({ id, label }, i) => (
            <option key={id} value={i}>
              {label || id}
            </option>
          ))}
        </select>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={density}
            onChange={(event) => setDensity(event.target.checked)}
          />{' '}
          as density
        </label>
        <span className="figures text-sm text-mute">{shown.length} drops by hand</span>
      </div>
      <OnSketch document={document} label={`${shown.length} drops on the scene`}>
        {density
          ? [...squares].map(([key, n]) => {
              const [x = 0, y = 0] = key.split(' ').map(Number);
              return (
                <rect
                  key={key}
                  x={x * SQUARE}
                  y={y * SQUARE}
                  width={SQUARE}
                  height={SQUARE}
                  fill="var(--color-brick)"
                  opacity={0.15 + (0.65 * n) / most}
                />
              );
            })
          : shown.map(([of, x, y], i) => (
              // Two drops may lie on one point.
              // biome-ignore lint/suspicious/noArrayIndexKey: see above
              <circle key={i} cx={x} cy={y} r={5} fill="var(--color-brick)" opacity={0.55} data-item={of} />
            ))}
      </OnSketch>
    </div>
  );
}
