import type { ReactNode } from 'react';
import { Dialog } from './Dialog';

interface Props {
  title: string;
  /** The words on the button that does it. */
  action: ReactNode;
  onConfirm: () => void;
  onClose: () => void;
  cancel?: string;
  disabled?: boolean;
  /** It cannot be undone: the focus starts on the other button. */
  forGood?: boolean;
  wide?: boolean;
  children: ReactNode;
}

/** Asks before something is done. */
export function Confirm({
  title,
  action,
  onConfirm,
  onClose,
  cancel = 'Cancel',
  disabled = false,
  forGood = false,
  wide = false,
  children,
}: Props) {
  return (
    <Dialog title={title} onClose={onClose} wide={wide}>
      {children}
      <div className="flex flex-wrap justify-end gap-2 mt-4">
        <button type="button" className="btn btn-quiet" data-autofocus={forGood || undefined} onClick={onClose}>
          {cancel}
        </button>
        <button
          type="button"
          className={`btn ${forGood ? 'btn-error' : 'btn-primary'}`}
          data-autofocus={forGood ? undefined : true}
          disabled={disabled}
          onClick={onConfirm}
        >
          {action}
        </button>
      </div>
    </Dialog>
  );
}
