import { useQuery } from '@tanstack/react-query';
import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { useDropzone } from 'react-dropzone';
import type { StoredMedium } from '../../../contract';
import { type MediaId, type Medium, setMedium } from '../../../core';
import { ask } from '../../../ui/api';
import { Dialog } from '../../../ui/Dialog';
import { mediumUrl } from '../../shared/ownMedia';
import type { BenchStore } from '../store';
import { CropTurn } from './CropTurn';
import { measureFont } from './measureFont';
import { entered, inBytes, takeFile } from './takeFiles';

const WORDS: Readonly<Record<Medium['kind'], { title: string; types: string; accept: Record<string, string[]> }>> = {
  picture: {
    title: 'A picture',
    types: 'PNG, JPEG, WebP, GIF or SVG',
    accept: {
      'image/png': ['.png'],
      'image/jpeg': ['.jpg', '.jpeg'],
      'image/webp': ['.webp'],
      'image/gif': ['.gif'],
      'image/svg+xml': ['.svg'],
    },
  },
  sound: {
    title: 'A sound',
    types: 'MP3, Ogg or WAV',
    accept: { 'audio/mpeg': ['.mp3'], 'audio/ogg': ['.ogg', '.oga'], 'audio/wav': ['.wav'] },
  },
  font: { title: 'A font of your own', types: 'WOFF2', accept: { 'font/woff2': ['.woff2'] } },
  film: { title: 'A film', types: 'MP4 or WebM', accept: { 'video/mp4': ['.mp4'], 'video/webm': ['.webm'] } },
};

interface Props {
  store: BenchStore;
  kind: Medium['kind'];
  onClose: () => void;
  onChoose: (id: MediaId) => void;
}

/** Choosing a medium: one of the question, one stored for other questions, or a file by choice, drop or paste. */
export function MediaDialog({ store, kind, onClose, onChoose }: Props) {
  const question = store((s) => s.question);
  const [sending, setSending] = useState(false);
  const kept = useQuery({ queryKey: ['media'], queryFn: () => ask('GET /api/media') });
  const mine = Object.entries(question.media).filter(([, medium]) => medium.kind === kind);
  const [sought, setSought] = useState('');
  const [description, setDescription] = useState('');
  const [decorative, setDecorative] = useState(false);
  const others = (kept.data ?? []).filter(
    (candidate) => candidate.kind === kind && !mine.some(([, { hash }]) => hash === candidate.hash),
  );
  const found = others.filter(({ name }) => name.toLowerCase().includes(sought.trim().toLowerCase()));
  const [cutting, setCutting] = useState<File | null>(null);
  const [cutsFirst, setCutsFirst] = useState(false);
  const take = async (files: readonly File[]) => {
    const file = files[0];
    if (!file || sending) return;
    if (cutsFirst && kind === 'picture' && file.type !== 'image/svg+xml') setCutting(file);
    else await send(file);
  };
  const send = async (file: File) => {
    setSending(true);
    const taken = await takeFile(store, file);
    setSending(false);
    if (taken) noteWhatItShows(taken.id);
    if (taken?.kept.kind === kind) await chooseFile(taken.id);
  };
  /** What was said of the file while it was chosen. */
  const noteWhatItShows = (id: MediaId) => {
    const { question: now, do: act } = store.getState();
    const medium = now.media[id];
    if (!medium || (description.trim() === '' && !decorative)) return;
    act(setMedium(now, id, { ...medium, description: description.trim() || null, decorative }));
  };
  /** A font is measured first, so that Proof knows what fits. */
  const chooseFile = async (id: MediaId) => {
    const { question: now, do: act } = store.getState();
    const medium = now.media[id];
    if (medium?.kind === 'font' && !medium.advances)
      act(setMedium(now, id, { ...medium, decorative: true, advances: await measureFont(mediumUrl(medium.hash)) }));
    onChoose(id);
  };
  const drop = useDropzone({
    onDrop: (files) => void take(files),
    multiple: false,
    accept: WORDS[kind].accept,
    noClick: true,
    noKeyboard: true,
  });
  const again = (one: StoredMedium & { name: string }) => {
    const { id, step } = entered(store.getState().question, one, one.name);
    store.getState().do(step);
    void chooseFile(id);
  };
  return (
    <Dialog title={WORDS[kind].title} onClose={onClose}>
      <div
        {...drop.getRootProps({
          className: `border border-dashed p-4 text-center ${drop.isDragActive ? 'border-brass bg-brass-wash' : 'border-mute'}`,
          onPaste: (event) => void take([...event.clipboardData.files]),
        })}
      >
        <input {...drop.getInputProps({ 'aria-label': 'File' })} />
        {kind !== 'font' && (
          <div className="flex items-center gap-3 mb-2 text-start">
            <input
              aria-label="What it shows, for those who do not see or hear it"
              placeholder="what it shows, for those who do not see or hear it"
              className="input input-sm grow min-w-0"
              maxLength={2000}
              disabled={decorative}
              value={description}
              onChange={(event) => setDescription(event.target.value)}
            />
            <label className="flex items-center gap-1 text-sm">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={decorative}
                onChange={(event) => setDecorative(event.target.checked)}
              />
              decorative
            </label>
          </div>
        )}
        {kind === 'picture' && (
          <label className="flex items-center justify-center gap-1 text-sm mb-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={cutsFirst}
              onChange={(event) => setCutsFirst(event.target.checked)}
            />
            crop or turn it first
          </label>
        )}
        <button type="button" className="btn btn-edge btn-sm" onClick={drop.open} disabled={sending}>
          <FileUp size={15} aria-hidden /> {sending ? 'Sending…' : 'Choose a file…'}
        </button>
        <p className="text-sm text-mute mt-1">or drop it here, or paste it: {WORDS[kind].types}</p>
        {drop.fileRejections.length > 0 && (
          <p role="alert" className="text-sm text-brick mt-1">
            {drop.fileRejections[0]?.file.name} is none of {WORDS[kind].types}.
          </p>
        )}
      </div>
      {cutting && (
        <CropTurn
          file={cutting}
          onDone={(cut) => {
            setCutting(null);
            void send(cut);
          }}
          onClose={() => setCutting(null)}
        />
      )}
      {mine.length > 0 && <h3 className="font-semibold mt-4">In this question</h3>}
      <Choices
        entries={mine.map(([id, { hash }]) => ({
          key: id,
          hash,
          kind,
          name: id,
          choose: () => onChoose(id as MediaId),
        }))}
      />
      {others.length > 0 && (
        <div className="flex items-center gap-3 mt-4">
          <h3 className="font-semibold grow">Saved for other questions</h3>
          <input
            type="search"
            aria-label="Find by its name"
            placeholder="find by its name"
            className="input input-sm w-48"
            value={sought}
            onChange={(event) => setSought(event.target.value)}
          />
        </div>
      )}
      {others.length > 0 && found.length === 0 && <p className="text-mute">None has that name.</p>}
      <Choices
        entries={found.map((one) => ({
          key: one.hash,
          hash: one.hash,
          kind,
          name: `${one.name} · ${inBytes(one.weight)}`,
          choose: () => again(one),
        }))}
      />
      {kept.isError && <p className="text-brick mt-2">You are offline: what was saved earlier cannot be shown.</p>}
    </Dialog>
  );
}

interface Choice {
  readonly key: string;
  readonly hash: string;
  readonly kind: Medium['kind'];
  readonly name: string;
  readonly choose: () => void;
}

function Choices({ entries }: { entries: readonly Choice[] }) {
  return (
    <ul className="grid grid-cols-3 gap-2 mt-1">
      {entries.map(({ key, hash, kind, name, choose }) => (
        <li key={key}>
          <button
            type="button"
            className="w-full border border-rule p-1 hover:bg-brass-wash cursor-pointer text-sm"
            onClick={choose}
          >
            {kind === 'picture' && <img src={mediumUrl(hash)} alt="" className="h-16 w-full object-contain bg-paper" />}
            <span className="block truncate">{name}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
