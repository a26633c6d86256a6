import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { applyAll, type Fixture, type Question, refTo, remove, setFixture } from '../../../core';
import { BECOMES, type Becomes, becomesByName, type Placed, withParts } from '../../../core/kinds';
import { Dialog } from '../../../ui/Dialog';
import { mediumUrl } from '../../shared/ownMedia';
import { become } from '../kind/become';
import { entered, sendFile } from '../media/takeFiles';
import type { BenchStore } from '../store';
import { type Part, partsOf, type TakenApart } from './parts';

type Picture = Extract<Fixture, { type: 'picture' }>;

const WORDS: Readonly<Record<Becomes, string>> = {
  item: 'item',
  zone: 'zone',
  fixture: 'stays in the picture',
  nothing: 'nothing',
};
const file = (svg: string, name: string) => new File([svg], `${name || 'part'}.svg`, { type: 'image/svg+xml' });

interface Row {
  readonly part: Part;
  readonly name: string;
  readonly becomes: Becomes;
}

/** A drawing on the scene as its groups: each becomes an item, a zone, stays in the picture, or goes; in one step. */
export function TakeApart({ store, picture, onClose }: { store: BenchStore; picture: Picture; onClose: () => void }) {
  const hash = store((s) => s.question.media[picture.media]?.hash ?? '');
  const [apart, setApart] = useState<TakenApart | null>(null);
  const [rows, setRows] = useState<readonly Row[]>([]);
  const [ticked, setTicked] = useState<ReadonlySet<number>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    const read = async () => {
      const answer = await fetch(mediumUrl(hash));
      const isDrawing = answer.headers.get('content-type')?.startsWith('image/svg') === true;
      const found = answer.ok && isDrawing ? partsOf(await answer.text()) : null;
      if (!found) return setProblem('Only a drawing (SVG) of two groups or more can be taken apart.');
      const guesses = becomesByName(found.parts.map(({ name }) => name));
      setApart(found);
      setRows(found.parts.map((part, i) => ({ part, name: part.name, becomes: guesses[i] ?? 'fixture' })));
    };
    read().catch(() => setProblem('The drawing could not be fetched. Try again when you are back online.'));
  }, [hash]);

  const set = (which: (i: number) => boolean, change: Partial<Row>) =>
    setRows(rows.map((row, i) => (which(i) ? { ...row, ...change } : row)));
  const counted = (becomes: Becomes) => rows.filter((row) => row.becomes === becomes).length;
  const take = async () => {
    if (!apart) return;
    setBusy(true);
    const made = await partsTaken(store.getState().question, picture, apart, rows);
    setBusy(false);
    if (!made) return;
    become(store, () => made, `${counted('item')} items and ${counted('zone')} zones from the drawing`);
    store.setState({ tool: 'select' });
    toast.success(`${counted('item')} items and ${counted('zone')} zones from the drawing`);
    onClose();
  };
  return (
    <Dialog title="Take the drawing apart" onClose={onClose} wide>
      {problem && <p role="alert">{problem}</p>}
      {!problem && !apart && <p role="status">Its parts are looked at…</p>}
      {apart && (
        <>
          <div className="flex flex-wrap items-center gap-2 mb-2" role="toolbar" aria-label="For the ticked parts">
            <span className="figures text-mute">{ticked.size} ticked:</span>
            {BECOMES.map((becomes) => (
              <button
                key={becomes}
                type="button"
                className="btn btn-edge btn-xs"
                disabled={ticked.size === 0}
                onClick={() => {
                  set((i) => ticked.has(i), { becomes });
                  setTicked(new Set());
                }}
              >
                {WORDS[becomes]}
              </button>
            ))}
          </div>
          <ul className="max-h-[52vh] overflow-auto border-t border-rule">
            {rows.map(({ part, name, becomes }, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a part is its place in the drawing
              <li key={i} className="flex items-center gap-3 py-1 border-b border-rule">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  aria-label={`Tick ${name}`}
                  checked={ticked.has(i)}
                  onChange={(event) => {
                    const next = new Set(ticked);
                    if (event.target.checked) next.add(i);
                    else next.delete(i);
                    setTicked(next);
                  }}
                />
                <img
                  src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(part.svg)}`}
                  alt=""
                  className="w-14 h-10 object-contain bg-paper border border-rule"
                />
                <input
                  aria-label={`Name of part ${i + 1}`}
                  className="input input-sm grow min-w-0"
                  value={name}
                  maxLength={200}
                  onChange={(event) => set((j) => i === j, { name: event.target.value })}
                />
                <select
                  aria-label={`What ${name} becomes`}
                  className="select select-sm w-48"
                  value={becomes}
                  onChange={(event) => set((j) => i === j, { becomes: event.target.value as Becomes })}
                >
                  {BECOMES.map((one) => (
                    <option key={one} value={one}>
                      {WORDS[one]}
                    </option>
                  ))}
                </select>
              </li>
            ))}
          </ul>
          <p className="text-sm text-mute mt-2">
            What has corresponding names belongs together: “Barley” into “Barley place”. Everything keeps its place.
          </p>
          <div className="flex justify-end gap-2 mt-3">
            <button type="button" className="btn btn-quiet" onClick={onClose}>
              Cancel
            </button>
            <button
              type="button"
              className="btn btn-primary"
              disabled={busy || rows.every(({ becomes }) => becomes === 'fixture')}
              onClick={() => void take()}
            >
              {busy ? 'Taking it apart…' : 'Take it apart'}
            </button>
          </div>
        </>
      )}
    </Dialog>
  );
}

/** The question with the parts; null: a picture was refused, which has been said. */
async function partsTaken(
  question: Question,
  picture: Picture,
  { viewBox, without }: TakenApart,
  rows: readonly Row[],
): Promise<Question | null> {
  const scale = Math.min(picture.w / viewBox.w, picture.h / viewBox.h);
  const left = picture.x + (picture.w - viewBox.w * scale) / 2;
  const top = picture.y + (picture.h - viewBox.h * scale) / 2;
  const onScene = (x: number, y: number) => [left + (x - viewBox.x) * scale, top + (y - viewBox.y) * scale] as const;
  let now = question;
  const send = async (svg: string, name: string): Promise<string | null> => {
    const stored = await sendFile(file(svg, name), now);
    if (!stored) return null;
    const { id, step } = entered(now, stored, `${name}.svg`);
    now = applyAll(now, step);
    return id;
  };
  const placed: (Placed & { becomes: Becomes })[] = [];
  for (const { part, name, becomes } of rows) {
    const media = becomes === 'item' ? await send(part.svg, name) : null;
    if (becomes === 'item' && media === null) return null;
    const [x, y] = onScene(part.box.x, part.box.y);
    placed.push({
      name,
      becomes,
      media,
      box: { x, y, w: part.box.w * scale, h: part.box.h * scale },
      outline: part.outline?.map(([px, py]) => onScene(px, py)) ?? null,
    });
  }
  const gone = new Set(rows.flatMap(({ becomes }, i) => (becomes === 'fixture' ? [] : [i])));
  if (gone.size === rows.length) now = applyAll(now, remove(now, new Set([refTo('fixture', picture.id)])));
  else {
    const rest = await send(without(gone), picture.label || 'drawing');
    if (rest === null) return null;
    now = applyAll(now, setFixture(now, picture.id, 'media', rest as Picture['media']));
  }
  return withParts(now, placed);
}
