import { Volume2, X } from 'lucide-react';
import { useState } from 'react';
import type { MediaId, Medium } from '../../../core';
import { mediumUrl } from '../../shared/ownMedia';
import type { BenchStore } from '../store';
import { MediaDialog } from './MediaDialog';

interface Props {
  store: BenchStore;
  label: string;
  kind: Medium['kind'];
  value: string | null;
  onChoose: (id: MediaId | null) => void;
  /** A medium is required: it can be changed but not removed. */
  needed?: boolean;
}

/** A field for a picture, sound or film: one of the question's, one stored earlier, or a file. */
export function MediumField({ store, label, kind, value, onChoose, needed = false }: Props) {
  const medium = store((s) => (value === null ? undefined : s.question.media[value]));
  const [open, setOpen] = useState(false);
  return (
    <span className="flex items-center gap-2">
      {medium?.kind === 'picture' && (
        <img src={mediumUrl(medium.hash)} alt="" className="h-8 w-12 object-contain bg-paper border border-rule" />
      )}
      {medium?.kind === 'sound' && <Volume2 size={16} aria-hidden />}
      {medium && <span className="truncate max-w-28 text-sm">{value}</span>}
      <button
        type="button"
        className="btn btn-quiet btn-xs"
        onClick={() => setOpen(true)}
        aria-label={`${label}: ${medium ? 'change' : 'choose'}`}
      >
        {medium ? 'Change…' : `${label}…`}
      </button>
      {medium && !needed && (
        <button
          type="button"
          className="btn btn-quiet btn-xs"
          aria-label={`${label}: none`}
          onClick={() => onChoose(null)}
        >
          <X size={13} aria-hidden />
        </button>
      )}
      {open && (
        <MediaDialog
          store={store}
          kind={kind}
          onClose={() => setOpen(false)}
          onChoose={(id) => {
            setOpen(false);
            onChoose(id);
          }}
        />
      )}
    </span>
  );
}
