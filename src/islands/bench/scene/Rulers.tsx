import { around } from '../../../core';
import { type BenchStore, framesOf } from '../store';

export const RULER = 20;
const STEPS = [1, 2, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000];
/** The least distance, in stage pixels, at which numbers can be read beside one another. */
const ROOMY = 56;

const stepAt = (scale: number) => STEPS.find((step) => step * scale >= ROOMY) ?? 2000;

interface Props {
  store: BenchStore;
  axis: 'x' | 'y';
  scale: number;
}

/** Scene units along an edge of the scene, with what is selected marked off. */
export function Ruler({ store, axis, scale }: Props) {
  const { question, selection } = store();
  const length = axis === 'x' ? question.scene.width : question.scene.height;
  const step = stepAt(scale);
  const at = framesOf(question);
  const chosen = [...selection].flatMap((ref) => at.get(ref) ?? []);
  const span = chosen.length > 0 ? around(chosen) : null;
  const size = length * scale + 2;
  const ticks = Array.from({ length: Math.floor(length / step) + 1 }, (_, i) => i * step);
  const across = axis === 'x';
  return (
    <svg className="bench-ruler figures" width={across ? size : RULER} height={across ? RULER : size} aria-hidden>
      {span && (
        <rect
          className="bench-ruler-span"
          {...(across
            ? { x: span.x * scale, y: 0, width: span.w * scale, height: RULER }
            : { x: 0, y: span.y * scale, width: RULER, height: span.h * scale })}
        />
      )}
      {ticks.map((tick) =>
        across ? (
          <g key={tick} transform={`translate(${tick * scale + 0.5} 0)`}>
            <line y1={RULER - 6} y2={RULER} />
            <text x={3} y={11}>
              {tick}
            </text>
          </g>
        ) : (
          <g key={tick} transform={`translate(0 ${tick * scale + 0.5})`}>
            <line x1={RULER - 6} x2={RULER} />
            <text transform="translate(10 3) rotate(90)">{tick}</text>
          </g>
        ),
      )}
    </svg>
  );
}
