import {
  Circle,
  Flag,
  Grid3x3,
  Magnet,
  MapPin,
  Minus,
  MousePointer2,
  Pentagon,
  Plus,
  Slash,
  Square,
} from 'lucide-react';
import { useState } from 'react';
import type { Snapping } from '../../../core';
import type { BenchStore, Tool } from '../store';
import { Readout } from './Overlays';

const TOOLS: readonly [Tool, string, typeof Square][] = [
  ['select', 'Select', MousePointer2],
  ['start', 'Start here', Flag],
  ['name', 'Name places', MapPin],
  ['rect', 'Draw a zone', Square],
  ['ellipse', 'Draw a round zone', Circle],
  ['polygon', 'Draw a zone by its corners', Pentagon],
  ['line', 'Draw a line', Slash],
];
const GRID = 10;
export const ZOOM_STEP = 1.25;
export const MIN_ZOOM = 0.1;
export const MAX_ZOOM = 8;

/** The tools of the scene, what things snap to, and the zoom. */
export function SceneBar({ store, scale }: { store: BenchStore; scale: number }) {
  const tool = store((s) => s.tool);
  const zoom = store((s) => s.zoom);
  const kind = store((s) => s.question.kind);
  const tools = TOOLS.flatMap((one): (typeof TOOLS)[number][] => {
    if (one[0] !== 'name') return [one];
    return kind === 'label' || kind === 'mark' ? [[one[0], kind === 'mark' ? 'Set spots' : 'Name places', one[2]]] : [];
  });
  const set = (to: number) => store.setState({ zoom: Math.max(MIN_ZOOM, Math.min(MAX_ZOOM, to)) });
  return (
    <div
      className="@container flex items-center gap-1 px-3 h-9 shrink-0 border-b border-rule bg-paper text-sm whitespace-nowrap overflow-x-auto"
      role="toolbar"
      aria-label="Tools of the scene"
    >
      {tools.map(([name, words, Icon]) => (
        <button
          key={name}
          type="button"
          className={`bench-tool ${tool === name ? 'bench-tool-on' : ''}`}
          aria-pressed={tool === name}
          title={words}
          onClick={() => store.setState({ tool: name })}
        >
          <Icon size={16} aria-hidden />
          <span className={tool === name ? 'whitespace-nowrap' : 'sr-only'}>{words}</span>
        </button>
      ))}
      <span className="w-px h-5 bg-rule mx-1" aria-hidden />
      <SnapMenu store={store} />
      <span className="grow" />
      <Readout store={store} />
      <button type="button" className="bench-tool" onClick={() => set(scale / ZOOM_STEP)} aria-label="Zoom out">
        <Minus size={15} aria-hidden />
      </button>
      <button
        type="button"
        className="bench-tool figures min-w-14 shrink-0 justify-center whitespace-nowrap"
        onClick={() => set(1)}
        title="Show at 100 %"
      >
        {Math.round(scale * 100)} %
      </button>
      <button type="button" className="bench-tool" onClick={() => set(scale * ZOOM_STEP)} aria-label="Zoom in">
        <Plus size={15} aria-hidden />
      </button>
      <button
        type="button"
        className={`bench-tool ${zoom === 'fit' ? 'bench-tool-on' : ''}`}
        aria-pressed={zoom === 'fit'}
        onClick={() => store.setState({ zoom: 'fit' })}
      >
        Fit
      </button>
    </div>
  );
}

const SNAPS: readonly [Exclude<keyof Snapping, 'grid'>, string][] = [
  ['edges', 'edges'],
  ['centres', 'centres'],
  ['gaps', 'equal gaps'],
];

function SnapMenu({ store }: { store: BenchStore }) {
  const snapping = store((s) => s.snapping);
  const [open, setOpen] = useState(false);
  const set = (change: Partial<Snapping>) => store.setState({ snapping: { ...snapping, ...change } });
  const on = [
    ...SNAPS.filter(([name]) => snapping[name]).map(([, words]) => words),
    ...(snapping.grid === null ? [] : [`grid of ${snapping.grid}`]),
  ];
  return (
    <>
      <button
        type="button"
        className="bench-tool"
        aria-label="Snap to"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <Magnet size={15} aria-hidden /> <span className="hidden @xl:inline">Snap to</span>
        {!open && <span className="text-mute hidden @2xl:inline">{on.length === 0 ? 'nothing' : on.join(', ')}</span>}
      </button>
      {open && (
        <>
          {SNAPS.map(([name, words]) => (
            <label key={name} className="flex items-center gap-1 px-1 cursor-pointer">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={snapping[name]}
                onChange={(event) => set({ [name]: event.target.checked })}
              />
              {words}
            </label>
          ))}
          <label className="flex items-center gap-1 px-1 cursor-pointer">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={snapping.grid !== null}
              onChange={(event) => set({ grid: event.target.checked ? GRID : null })}
            />
            <Grid3x3 size={14} aria-hidden /> grid of
          </label>
          <input
            type="number"
            min={1}
            max={500}
            aria-label="Step of the grid"
            className="input input-xs figures w-16"
            value={snapping.grid ?? GRID}
            onChange={(event) => Number(event.target.value) >= 1 && set({ grid: Number(event.target.value) })}
          />
        </>
      )}
    </>
  );
}
