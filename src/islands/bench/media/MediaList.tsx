import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { type Medium, type Question, setMedium } from '../../../core';
import { isWebVtt } from '../../../core/document';
import { Typed } from '../../../ui/Typed';
import { mediumUrl } from '../../shared/ownMedia';
import type { BenchStore } from '../store';
import { BUDGET, inBytes, weightOf } from './takeFiles';

/** Every medium of the question: what is said of it, where it is from, how heavy it is in the learner's page. */
export function MediaList({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const entries = Object.entries(question.media);
  const weight = weightOf(question);
  if (entries.length === 0)
    return <p className="text-mute">None yet. Drop a picture, a sound or a film on the scene, or paste it.</p>;
  return (
    <>
      <p className={`figures text-sm ${weight > BUDGET ? 'text-brick font-semibold' : 'text-mute'}`}>
        {inBytes(weight)} in the learner's page
        {weight > BUDGET
          ? `: more than ${inBytes(BUDGET)}, which is slow on a phone. Take smaller pictures, or a shorter film.`
          : ''}
      </p>
      <ul className="divide-y divide-rule">
        {entries.map(([id, medium]) => (
          <Entry key={id} store={store} id={id} medium={medium} uses={usesOf(question, id)} />
        ))}
      </ul>
    </>
  );
}

/** How often a medium is named in the question, besides being listed. */
function usesOf({ media: _, ...rest }: Question, id: string): number {
  let uses = 0;
  JSON.stringify(rest, (field, value) => {
    if (['media', 'picture', 'sound', 'promptSound', 'ownFace'].includes(field) && value === id) uses++;
    return value;
  });
  return uses;
}

function Entry({ store, id, medium, uses }: { store: BenchStore; id: string; medium: Medium; uses: number }) {
  const act = store.getState().do;
  const set = (change: Partial<Medium>) => act(setMedium(store.getState().question, id, { ...medium, ...change }));
  const silent = medium.kind !== 'font' && !medium.decorative && !medium.description?.trim();
  const [open, setOpen] = useState(() => silent);
  return (
    <li className="py-2">
      <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="cursor-pointer flex items-center gap-2">
          {medium.kind === 'picture' && (
            <img src={mediumUrl(medium.hash)} alt="" className="h-8 w-12 object-contain bg-paper border border-rule" />
          )}
          <span className="grow truncate">{id}</span>
          <span className="figures text-sm text-mute">
            {inBytes(medium.weight)} · {uses === 0 ? 'not used' : `used ${uses === 1 ? 'once' : `${uses} times`}`}
          </span>
        </summary>
        <div className="mt-1 grid grid-cols-[5.5rem_1fr] gap-x-2 gap-y-1 items-center">
          <span className="text-mute">Description</span>
          <Typed
            label={`Description of ${id}`}
            className={`input input-sm w-full ${silent ? 'input-error' : ''}`}
            value={medium.description ?? ''}
            onTyped={(text) => set({ description: text.trim() || null })}
          />
          <span />
          <label className="flex items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={medium.decorative}
              onChange={(event) => set({ decorative: event.target.checked })}
            />
            decorative: it says nothing that has to be known
          </label>
          <span className="text-mute">Source</span>
          <Typed
            label={`Source of ${id}`}
            className="input input-sm w-full"
            value={medium.source}
            onTyped={(source) => set({ source })}
          />
          <span className="text-mute">Licence</span>
          <Typed
            label={`Licence of ${id}`}
            className="input input-sm w-full"
            value={medium.licence}
            onTyped={(licence) => set({ licence })}
          />
        </div>
        {silent && <p className="text-sm text-brick mt-1">Say what it shows, or that it is decorative.</p>}
        {(medium.kind === 'sound' || medium.kind === 'film') && (
          <Captions label={`Captions of ${id}`} captions={medium.captions} onSet={(captions) => set({ captions })} />
        )}
        {medium.kind === 'sound' && (
          // biome-ignore lint/a11y/useMediaCaption: what it says is its description, above
          <audio
            controls
            preload="none"
            src={mediumUrl(medium.hash)}
            className="w-full h-8 mt-1"
            aria-label={`Play ${id}`}
          />
        )}
        {uses === 0 && (
          <button
            type="button"
            className="btn btn-quiet btn-xs text-brick mt-1"
            onClick={() => act(setMedium(store.getState().question, id, null), `${id} taken out`)}
          >
            <Trash2 size={13} aria-hidden /> Take it out
          </button>
        )}
      </details>
    </li>
  );
}

/** What is said in a film or a sound, written or taken from a WebVTT file. */
function Captions({
  label,
  captions,
  onSet,
}: {
  label: string;
  captions: string | null;
  onSet: (captions: string | null) => void;
}) {
  const [problem, setProblem] = useState('');
  const keep = (text: string) => {
    const wrong = text.trim() !== '' && !isWebVtt(text);
    setProblem(wrong ? 'Captions have to be WebVTT: their first line is WEBVTT.' : '');
    if (!wrong) onSet(text.trim() === '' ? null : text);
  };
  return (
    <details className="mt-1">
      <summary className="cursor-pointer text-mute">{captions ? 'Captions' : 'No captions yet'}</summary>
      <textarea
        key={captions ?? ''}
        aria-label={label}
        rows={4}
        placeholder={'WEBVTT\n\n00:00.000 --> 00:04.000\nwhat is said'}
        className={`textarea textarea-sm figures w-full mt-1 ${problem ? 'textarea-error' : ''}`}
        defaultValue={captions ?? ''}
        onBlur={(event) => keep(event.target.value)}
      />
      <input
        type="file"
        accept=".vtt,text/vtt"
        aria-label={`${label}, from a file`}
        className="file-input file-input-xs"
        onChange={async ({ target }) => {
          const [file] = target.files ?? [];
          if (file) keep(await file.text());
        }}
      />
      {problem && (
        <p role="alert" className="text-sm text-brick">
          {problem}
        </p>
      )}
    </details>
  );
}
