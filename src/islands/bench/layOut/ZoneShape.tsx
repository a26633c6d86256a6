import { Plus, X } from 'lucide-react';
import {
  applyAll,
  type Box,
  boxOfShape,
  carrierOf,
  onCarrier,
  onScene,
  type Shape,
  setZone,
  type Zone,
} from '../../../core';
import { Choice } from '../../../ui/Choice';
import { numberOrChange } from '../../../ui/numbers';
import { Typed } from '../../../ui/Typed';
import { Setting } from '../parts/Setting';
import type { BenchStore } from '../store';

type Form = 'rect' | 'ellipse' | 'polygon';
const FAR = 100_000;

function formed(shape: Shape, form: Form): Shape {
  const box = boxOfShape(shape) as Box;
  const { x, y, w, h } = box;
  switch (form) {
    case 'rect':
      return { type: 'rect', ...box };
    case 'ellipse':
      return { type: 'ellipse', cx: x + w / 2, cy: y + h / 2, rx: w / 2, ry: h / 2 };
    case 'polygon':
      return {
        type: 'polygon',
        points: [
          [x, y],
          [x + w, y],
          [x + w, y + h],
          [x, y + h],
        ],
      };
  }
}

/** The form of a zone, its corners as numbers, and what it rides on. */
export function ZoneShape({ store, zone }: { store: BenchStore; zone: Zone }) {
  const question = store((s) => s.question);
  const act = store.getState().do;
  const { shape } = zone;
  if (shape.type === 'slot') return <p className="text-mute mt-2">A slot: the page lays it out in its text.</p>;
  const carriers = question.items.filter(({ copies }) => copies === 1);
  const ride = (id: string) => {
    const ridesOn = (carriers.find((item) => item.id === id)?.id ?? null) as Zone['ridesOn'];
    // Its place on the scene does not change.
    const standing = onScene(shape, zone.rotation, carrierOf(question, zone));
    const carried = setZone(question, zone.id, 'ridesOn', ridesOn);
    const now = applyAll(question, carried);
    const next = onCarrier(standing.shape, standing.rotation, carrierOf(now, { ridesOn }));
    act(
      [...carried, ...setZone(now, zone.id, 'shape', next.shape), ...setZone(now, zone.id, 'rotation', next.rotation)],
      ridesOn ? 'It rides' : 'It stands by itself',
    );
  };
  const reform = (form: Form) => {
    const turned = form === 'polygon' ? setZone(question, zone.id, 'rotation', 0) : [];
    act([...setZone(question, zone.id, 'shape', formed(shape, form)), ...turned]);
  };
  return (
    <div className="mt-1">
      <Choice
        label="Form"
        options={[
          ['rect', 'box'],
          ['ellipse', 'oval'],
          ['polygon', 'by corners'],
        ]}
        value={shape.type}
        onChoose={reform}
      />
      {carriers.length > 0 && (
        <Setting label="Rides on">
          <select
            className="select select-sm w-44"
            aria-label="Item the zone rides on"
            value={zone.ridesOn ?? ''}
            onChange={(event) => ride(event.target.value)}
          >
            <option value="">nothing: it stands</option>
            {carriers.map(({ id, label }) => (
              <option key={id} value={id}>
                {label || id}
              </option>
            ))}
          </select>
        </Setting>
      )}
      {shape.type === 'polygon' && <CornerTable store={store} zone={zone} points={shape.points} />}
    </div>
  );
}

/** The corners typed: nothing about an outline needs the mouse. */
function CornerTable({
  store,
  zone,
  points,
}: {
  store: BenchStore;
  zone: Zone;
  points: readonly (readonly [number, number])[];
}) {
  const keep = (next: readonly (readonly [number, number])[]) =>
    store.getState().do(
      setZone(store.getState().question, zone.id, 'shape', {
        type: 'polygon',
        points: next.map(([x, y]): [number, number] => [x, y]),
      }),
    );
  const set = (i: number, axis: 0 | 1, text: string) => {
    const value = numberOrChange(text, points[i]?.[axis] ?? 0, -FAR, FAR).value;
    if (value !== null)
      keep(points.map((p, j) => (j === i ? ((axis === 0 ? [value, p[1]] : [p[0], value]) as [number, number]) : p)));
  };
  const after = (i: number) => {
    const [a, b] = [points[i], points[(i + 1) % points.length]] as [[number, number], [number, number]];
    keep([
      ...points.slice(0, i + 1),
      [Math.round((a[0] + b[0]) / 2), Math.round((a[1] + b[1]) / 2)],
      ...points.slice(i + 1),
    ]);
  };
  return (
    <table className="w-full mt-1 text-sm">
      <caption className="text-left text-mute">Corners</caption>
      <tbody>
        {points.map(([x, y], i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a corner is its place in the outline
          <tr key={i} className="border-b border-rule">
            <th scope="row" className="font-normal text-mute text-left w-6">
              {i + 1}
            </th>
            {([x, y] as const).map((value, axis) => (
              <td key={axis === 0 ? 'x' : 'y'}>
                <Typed
                  label={`${axis === 0 ? 'x' : 'y'} of corner ${i + 1}`}
                  className="ledger-cell text-right"
                  value={String(Math.round(value * 100) / 100)}
                  problem={(text) => numberOrChange(text, value, -FAR, FAR).problem}
                  onTyped={(text) => set(i, axis as 0 | 1, text)}
                />
              </td>
            ))}
            <td className="text-right whitespace-nowrap">
              <button
                type="button"
                className="bench-tool"
                aria-label={`New corner after corner ${i + 1}`}
                onClick={() => after(i)}
              >
                <Plus size={13} aria-hidden />
              </button>
              <button
                type="button"
                className="bench-tool"
                aria-label={`Take corner ${i + 1} away`}
                disabled={points.length <= 3}
                onClick={() => keep(points.filter((_, j) => j !== i))}
              >
                <X size={13} aria-hidden />
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
