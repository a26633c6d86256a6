import { FACES, type Face, type MediaId } from '../../../core';
import { MediumField } from '../media/MediumField';
import { Setting } from '../parts/Setting';
import type { BenchStore } from '../store';

const FACE_WORDS: Readonly<Record<Face, string>> = {
  school: 'first letters',
  joined: 'joined handwriting',
  steady: 'steady, for dyslexic readers',
  book: 'book',
  round: 'round',
  narrow: 'narrow',
  hand: 'printed by hand',
  code: 'all equally wide',
};

interface Props {
  store: BenchStore;
  /** What they are for, said before each field's name. */
  of: string;
  face: Face | null;
  ownFace: string | null;
  /** What stands where none is chosen. */
  otherwise: string;
  onChoose: (face: Face | null, ownFace: MediaId | null) => void;
}

/** In what letters words are shown: one of the faces that ship with the application, or the author's own font. */
export function FaceFields({ store, of, face, ownFace, otherwise, onChoose }: Props) {
  return (
    <Setting label="Letters">
      <select
        className="select select-sm w-44"
        aria-label={`Letters ${of}`}
        value={ownFace ? 'own' : (face ?? '')}
        onChange={(event) => onChoose((event.target.value || null) as Face | null, null)}
      >
        <option value="">{otherwise}</option>
        {FACES.map((name) => (
          <option key={name} value={name}>
            {FACE_WORDS[name]}
          </option>
        ))}
        {ownFace && <option value="own">a font of your own</option>}
      </select>
      <MediumField
        store={store}
        label="Own font"
        kind="font"
        value={ownFace}
        onChoose={(id) => onChoose(id ? null : face, id)}
      />
    </Setting>
  );
}
