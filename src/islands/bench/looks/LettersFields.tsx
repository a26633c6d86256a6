import type { Letters } from '../../../core';
import { orNull } from '../parts/orNull';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { FaceFields } from './FaceFields';

const NONE: Letters = { face: null, ownFace: null, size: null };

interface Props {
  store: BenchStore;
  letters: Letters | null;
  /** What they are for, said before the name of the face's field; and the name of the size's. */
  of: string;
  size: string;
  /** What stands where no face is chosen, and where no size is. */
  otherwise: string;
  empty: string;
  onChange: (letters: Letters | null) => void;
}

/** Face and size of words; null where nothing is set. */
export function LettersFields({ store, letters, of, size, otherwise, empty, onChange }: Props) {
  const now = letters ?? NONE;
  const set = (change: Partial<Letters>) => onChange(orNull({ ...now, ...change }));
  return (
    <>
      <FaceFields
        store={store}
        of={of}
        face={now.face}
        ownFace={now.ownFace}
        otherwise={otherwise}
        onChoose={(face, ownFace) => set({ face, ownFace })}
      />
      <Setting label="Size">
        <NumberSetting
          label={size}
          value={now.size}
          least={8}
          most={60}
          empty={empty}
          onSet={(to) => set({ size: to })}
        />
      </Setting>
    </>
  );
}
