import { RotateCcw, RotateCw } from 'lucide-react';
import { useEffect, useState } from 'react';
import ReactCrop, { type PercentCrop } from 'react-image-crop';
import 'react-image-crop/dist/ReactCrop.css';
import { Alert } from '../../../ui/Alert';
import { Dialog } from '../../../ui/Dialog';

interface Props {
  file: File;
  onDone: (file: File) => void;
  onClose: () => void;
}

const WHOLE: PercentCrop = { unit: '%', x: 0, y: 0, width: 100, height: 100 };
/** The longest side that is drawn; the server makes pictures as large as the scene needs. */
const MAX_SIDE = 4096;

/** A picture is turned by quarters, and what is wanted of it is cut out, before it is sent. */
export function CropTurn({ file, onDone, onClose }: Props) {
  const [picture, setPicture] = useState<HTMLImageElement | null>(null);
  const [turns, setTurns] = useState(0);
  const [crop, setCrop] = useState<PercentCrop>(WHOLE);
  const [problem, setProblem] = useState('');
  const [turned, setTurned] = useState<string | null>(null);
  useEffect(() => {
    const url = URL.createObjectURL(file);
    const image = new Image();
    image.onload = () => setPicture(image);
    image.onerror = () => setProblem('This picture cannot be shown here. Take it as it is.');
    image.src = url;
    return () => URL.revokeObjectURL(url);
  }, [file]);
  useEffect(() => {
    if (!picture) return;
    let url: string | null = null;
    let left = false;
    void drawn(picture, turns, WHOLE, 'image/png').then((blob) => {
      if (!blob || left) return;
      url = URL.createObjectURL(blob);
      setTurned(url);
    });
    return () => {
      left = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [picture, turns]);
  const turn = (by: number) => {
    setTurns((turns + by + 4) % 4);
    setCrop(WHOLE);
  };
  const isWhole = turns === 0 && crop.width >= 100 && crop.height >= 100;
  const done = async () => {
    if (!picture || isWhole) return onDone(file);
    const blob = await drawn(picture, turns, crop, file.type);
    if (blob) onDone(new File([blob], file.name, { type: blob.type }));
    else setProblem('This part cannot be cut out. Take more of it.');
  };
  return (
    <Dialog title="Crop and turn" onClose={onClose} wide>
      {problem && <Alert tone="problem">{problem}</Alert>}
      <div className="flex gap-2 mb-2">
        <button type="button" className="btn btn-edge btn-sm" onClick={() => turn(3)}>
          <RotateCcw size={15} aria-hidden /> Turn left
        </button>
        <button type="button" className="btn btn-edge btn-sm" onClick={() => turn(1)}>
          <RotateCw size={15} aria-hidden /> Turn right
        </button>
        <span className="grow" />
        <button type="button" className="btn btn-quiet btn-sm" disabled={isWhole} onClick={() => turn(4 - turns)}>
          As it was
        </button>
      </div>
      <div className="grid place-items-center min-h-64 bg-paper border border-rule p-2">
        {turned ? (
          <ReactCrop
            crop={crop}
            onChange={(_, percent) => setCrop(percent)}
            ariaLabels={CROP_WORDS}
            minWidth={16}
            minHeight={16}
            keepSelection
          >
            <img src={turned} alt="" className="max-h-[50vh]" />
          </ReactCrop>
        ) : (
          !problem && <p className="text-mute">Opening the picture…</p>
        )}
      </div>
      <p className="text-sm text-mute mt-1">Pull the edges in; with the keys: Tab to a handle, then the arrows.</p>
      <div className="flex justify-end gap-2 mt-3">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" onClick={() => void done()}>
          {isWhole ? 'Take it as it is' : 'Take this part'}
        </button>
      </div>
    </Dialog>
  );
}

const CROP_WORDS = {
  cropArea: 'What is taken: the arrow keys move it',
  nwDragHandle: 'Top left corner',
  nDragHandle: 'Top edge',
  neDragHandle: 'Top right corner',
  eDragHandle: 'Right edge',
  seDragHandle: 'Bottom right corner',
  sDragHandle: 'Bottom edge',
  swDragHandle: 'Bottom left corner',
  wDragHandle: 'Left edge',
};

const ENCODED = ['image/jpeg', 'image/webp'];

/** The part of a picture, turned by quarters clockwise; a kind of picture that a browser cannot write becomes PNG. */
function drawn(picture: HTMLImageElement, turns: number, crop: PercentCrop, type: string): Promise<Blob | null> {
  const scale = Math.min(1, MAX_SIDE / Math.max(picture.naturalWidth, picture.naturalHeight));
  const [w, h] = [picture.naturalWidth * scale, picture.naturalHeight * scale];
  const [across, down] = turns % 2 === 0 ? [w, h] : [h, w];
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round((across * crop.width) / 100));
  canvas.height = Math.max(1, Math.round((down * crop.height) / 100));
  const context = canvas.getContext('2d');
  if (!context) return Promise.resolve(null);
  context.translate(-(across * crop.x) / 100, -(down * crop.y) / 100);
  context.translate(across / 2, down / 2);
  context.rotate((turns * Math.PI) / 2);
  context.drawImage(picture, -w / 2, -h / 2, w, h);
  return new Promise((resolve) => canvas.toBlob(resolve, ENCODED.includes(type) ? type : 'image/png', 0.92));
}
