import { Scissors, Slash } from 'lucide-react';
import { type ChangeEvent, useId, useState } from 'react';
import { toast } from 'sonner';
import type { StoredMedium } from '../../../contract';
import { applyAll, type Corners, type MediaId, type Question, refTo } from '../../../core';
import { byGrid, byLines, intoPieces, linesOn, matchedPlaces, withPiece } from '../../../core/kinds';
import { numberFrom } from '../../../ui/numbers';
import { mediumUrl } from '../../shared/ownMedia';
import { entered, sendFile } from '../media/takeFiles';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { become } from './become';
import { cutOut, loaded, type PictureFixture } from './pictures';

/** A piece that is added is shown no larger than this, in scene units. */
const LARGEST = 200;
const MAX_PIECES = 64;

/** Pieces of a picture that is cut by a grid or along drawn lines, or pieces added one by one. */
export function BuildEditor({ store }: { store: BenchStore }) {
  return (
    <>
      <Cutting store={store} />
      <Adding store={store} />
    </>
  );
}

/**
 * Uploads files and adds them to a question, in order; null if one was refused (and reported): then nothing is added.
 */
async function entrusted(
  question: Question,
  files: readonly File[],
): Promise<{ question: Question; media: MediaId[]; kept: StoredMedium[] } | null> {
  let now = question;
  const media: MediaId[] = [];
  const all: StoredMedium[] = [];
  for (const file of files) {
    const storedMedium = await sendFile(file, now);
    if (!storedMedium) return null;
    const { id, step } = entered(now, storedMedium, file.name);
    now = applyAll(now, step);
    media.push(id);
    all.push(storedMedium);
  }
  return { question: now, media, kept: all };
}

function Cutting({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const tool = store((s) => s.tool);
  const pictures = question.fixtures.filter((fixture): fixture is PictureFixture => fixture.type === 'picture');
  const picture = pictures.find(({ id }) => selection.has(refTo('fixture', id))) ?? pictures[0];
  const [rows, setRows] = useState('2');
  const [columns, setColumns] = useState('3');
  const [busy, setBusy] = useState(false);
  const fine = [rows, columns].every((words) => numberFrom(words, 1, 8, true).problem === null);
  const lines = linesOn(question);
  const parts = picture && lines.length > 0 ? byLines(picture, lines) : [];
  const cut = async (outlines: readonly Corners[], along: typeof lines) => {
    const medium = picture && question.media[picture.media];
    if (!picture || !medium) return;
    setBusy(true);
    try {
      const image = await loaded(mediumUrl(medium.hash));
      const files: File[] = [];
      for (const [i, corners] of outlines.entries())
        files.push(await cutOut(image, picture, corners, `piece-${i + 1}.png`));
      const there = await entrusted(question, files);
      if (!there) return;
      if (new Set(there.media).size < there.media.length)
        toast.warning('Some pieces look alike', {
          description: 'Proof says which; give them the same place, or cut otherwise.',
        });
      const pieces = there.media.map((media, i) => ({ media, corners: outlines[i] as Corners }));
      become(
        store,
        (now) =>
          intoPieces(
            { ...now, media: { ...now.media, ...there.question.media } },
            picture.id,
            pieces,
            along.map(({ id }) => id),
          ),
        `Cut into ${pieces.length} pieces`,
      );
    } catch {
      toast.error('The picture could not be cut', { description: 'Nothing was changed.' });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Section title="Cut a picture into pieces">
      <p className="text-mute">
        {picture
          ? `“${picture.label || 'picture'}” gives way to its pieces, which wait in the tray, and to the places where they meet.`
          : 'Add a picture at Lay out first.'}
      </p>
      <div className="flex flex-wrap items-center gap-2 mt-2">
        <input
          aria-label="Rows of pieces"
          inputMode="numeric"
          className="input input-sm figures w-14"
          value={rows}
          onChange={(event) => setRows(event.target.value)}
        />{' '}
        rows by
        <input
          aria-label="Columns of pieces"
          inputMode="numeric"
          className="input input-sm figures w-14"
          value={columns}
          onChange={(event) => setColumns(event.target.value)}
        />{' '}
        columns
        <button
          type="button"
          className="btn btn-edge btn-sm"
          disabled={!picture || !fine || busy}
          onClick={() => picture && void cut(byGrid(picture, Number(rows), Number(columns)), [])}
        >
          {busy ? 'Cutting…' : 'Cut it'}
        </button>
      </div>
      <div className="flex flex-wrap items-center gap-2 mt-2">
        <button
          type="button"
          className="btn btn-edge btn-sm"
          disabled={!picture}
          aria-pressed={tool === 'line'}
          onClick={() => store.setState({ tool: tool === 'line' ? 'select' : 'line' })}
        >
          <Slash size={14} aria-hidden /> Draw lines to cut along
        </button>
        <button
          type="button"
          className="btn btn-edge btn-sm"
          disabled={parts.length < 2 || parts.length > MAX_PIECES || busy}
          onClick={() => void cut(parts, lines)}
        >
          <Scissors size={14} aria-hidden /> Cut along the lines
        </button>
        <span className="text-sm text-mute basis-full">
          {lines.length === 0
            ? 'Each line goes on through the whole picture.'
            : parts.length > MAX_PIECES
              ? `The lines would make ${parts.length} pieces; ${MAX_PIECES} are the most.`
              : `${lines.length === 1 ? 'The line makes' : `${lines.length} lines make`} ${parts.length} ${parts.length === 1 ? 'piece: it does not cross the picture' : 'pieces'}.`}
        </span>
      </div>
    </Section>
  );
}

/** Pieces that are pictures of their own, each with its place as large as it is. */
function Adding({ store }: { store: BenchStore }) {
  const field = useId();
  const [busy, setBusy] = useState(false);
  const some = store((s) => s.question.items.length > 0);
  const take = async ({ target }: ChangeEvent<HTMLInputElement>) => {
    const files = [...(target.files ?? [])];
    target.value = '';
    if (files.length === 0) return;
    setBusy(true);
    const there = await entrusted(store.getState().question, files);
    setBusy(false);
    if (!there) return;
    become(
      store,
      (now) =>
        there.media.reduce(
          (question, media, i) => {
            const { width, height } = there.kept[i] as StoredMedium;
            const scale = Math.min(1, LARGEST / Math.max(width ?? LARGEST, height ?? LARGEST));
            return withPiece(question, media, {
              w: Math.round((width ?? LARGEST) * scale),
              h: Math.round((height ?? LARGEST) * scale),
            });
          },
          { ...now, media: { ...now.media, ...there.question.media } },
        ),
      files.length === 1 ? 'A piece is added' : `${files.length} pieces are added`,
    );
  };
  return (
    <Section title="Pieces one by one">
      <p className="text-mute">
        Each picture becomes a piece and gets a place of its own size. “Outline as a zone” at Lay out, with the piece
        selected, gives it a joint that rides on it.
      </p>
      <div className="flex flex-wrap items-center gap-2 mt-2">
        <label htmlFor={field} className="sr-only">
          Pictures of pieces
        </label>
        <input
          id={field}
          type="file"
          accept="image/*"
          multiple
          className="file-input file-input-sm"
          disabled={busy}
          onChange={(event) => void take(event)}
        />
        <button
          type="button"
          className="btn btn-edge btn-sm"
          disabled={!some}
          onClick={() => become(store, matchedPlaces, 'Every place is as large as its piece')}
        >
          Make places as large as their pieces
        </button>
      </div>
    </Section>
  );
}
