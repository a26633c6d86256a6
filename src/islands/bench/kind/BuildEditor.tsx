import { useState } from 'react';
import { toast } from 'sonner';
import { type Fixture, type MediaId, refTo } from '../../../core';
import { intoPieces } from '../../../core/kinds';
import { mediumUrl } from '../media/source';
import { takeFile } from '../media/takeFiles';
import { numberFrom } from '../parts/numbers';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { become } from './become';

type Picture = Extract<Fixture, { type: 'picture' }>;

/** A picture cut into pieces by a grid, each a picture of its own. */
export function BuildEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const pictures = question.fixtures.filter((one): one is Picture => one.type === 'picture');
  const picture = pictures.find(({ id }) => selection.has(refTo('fixture', id))) ?? pictures[0];
  const [rows, setRows] = useState('2');
  const [columns, setColumns] = useState('3');
  const [busy, setBusy] = useState(false);
  const fine = [rows, columns].every((words) => numberFrom(words, 1, 8, true).problem === null);
  const cutIt = async () => {
    const medium = picture && question.media[picture.media];
    if (!picture || !medium) return;
    setBusy(true);
    try {
      const files = await cut(mediumUrl(medium.hash), Number(rows), Number(columns));
      const media: MediaId[] = [];
      for (const file of files) {
        const taken = await takeFile(store, file);
        if (!taken) return;
        media.push(taken.id);
      }
      if (new Set(media).size < media.length) toast.warning('Some pieces look alike', { description: 'Proof says which; give them the same place, or cut otherwise.' });
      become(store, (now) => intoPieces(now, { fixture: picture.id, rows: Number(rows), columns: Number(columns), media }), `Cut into ${media.length} pieces`);
    } catch {
      toast.error('The picture could not be cut', { description: 'Nothing was changed.' });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Section title="Cut a picture into pieces">
      <p className="text-mute">
        {picture ? `“${picture.label || 'picture'}” gives way to its pieces, which wait in the tray, and to the places where they meet.` : 'Add a picture at Lay out first.'}
      </p>
      <div className="flex flex-wrap items-center gap-2 mt-2">
        <input aria-label="Rows of pieces" inputMode="numeric" className="input input-sm figures w-14" value={rows} onChange={(event) => setRows(event.target.value)} /> rows by
        <input aria-label="Columns of pieces" inputMode="numeric" className="input input-sm figures w-14" value={columns} onChange={(event) => setColumns(event.target.value)} />{' '}
        columns
        <button type="button" className="btn btn-edge btn-sm" disabled={!picture || !fine || busy} onClick={() => void cutIt()}>
          {busy ? 'Cutting…' : 'Cut it'}
        </button>
      </div>
      <p className="text-sm text-mute mt-2">Pieces can also be added one by one; “Zone on the item” at Lay out gives a piece a joint that rides on it.</p>
    </Section>
  );
}

/** The pieces of a picture, row by row, each as a file of its own. */
async function cut(url: string, rows: number, columns: number): Promise<File[]> {
  const image = new Image();
  image.src = url;
  await image.decode();
  const [w, h] = [Math.floor(image.naturalWidth / columns), Math.floor(image.naturalHeight / rows)];
  const files: File[] = [];
  for (let i = 0; i < rows * columns; i++) {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [w, h];
    canvas.getContext('2d')?.drawImage(image, (i % columns) * w, Math.floor(i / columns) * h, w, h, 0, 0, w, h);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
    if (!blob) throw new Error('The canvas gave no picture');
    files.push(new File([blob], `piece-${i + 1}.png`, { type: 'image/png' }));
  }
  return files;
}
