import { Crop } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { applyAll, type Fixture, setFixture, setMedium } from '../../../core';
import { mediumUrl } from '../../shared/ownMedia';
import { CropTurn } from '../media/CropTurn';
import { entered, sendFile } from '../media/takeFiles';
import type { BenchStore } from '../store';

/** A picture on the scene is cut or turned: it keeps its place, and comes in the proportion that it has then. */
export function CropAgain({ store, picture }: { store: BenchStore; picture: Extract<Fixture, { type: 'picture' }> }) {
  const [file, setFile] = useState<File | null>(null);
  const open = async () => {
    const medium = store.getState().question.media[picture.media];
    const response = medium && (await fetch(mediumUrl(medium.hash)).catch(() => null));
    if (!response?.ok) return void toast.error('The picture could not be opened. Try again when you are online.');
    const blob = await response.blob();
    setFile(new File([blob], picture.media, { type: blob.type }));
  };
  const take = async (cut: File) => {
    setFile(null);
    const stored = cut === file ? null : await sendFile(cut, store.getState().question);
    if (!stored?.width || !stored.height) return;
    const { question, do: act } = store.getState();
    const { id, step } = entered(question, stored, cut.name);
    const { description = null } = question.media[picture.media] ?? {};
    const there = applyAll(question, step);
    const described = there.media[id];
    const h = Math.round((picture.w * stored.height) / stored.width);
    act(
      [
        ...step,
        ...(described ? setMedium(there, id, { ...described, description }) : []),
        ...setFixture(there, picture.id, 'h', h),
        ...setFixture(there, picture.id, 'media', id),
      ],
      'The picture is cut',
    );
  };
  return (
    <>
      <button type="button" className="btn btn-edge btn-sm self-start" onClick={() => void open()}>
        <Crop size={15} aria-hidden /> Crop or turn…
      </button>
      {file && <CropTurn file={file} onDone={(cut) => void take(cut)} onClose={() => setFile(null)} />}
    </>
  );
}
