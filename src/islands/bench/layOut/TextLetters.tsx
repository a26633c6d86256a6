import { type Fixture, setFixture } from '../../../core';
import { FaceFields } from '../looks/FaceFields';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';

/** A text's own letters, where it has others than the question. */
export function TextLetters({ store, fixture }: { store: BenchStore; fixture: Extract<Fixture, { type: 'text' }> }) {
  const letters = fixture.letters ?? { face: null, ownFace: null, size: null };
  const set = (change: Partial<typeof letters>) => {
    const next = { ...letters, ...change };
    const none = Object.values(next).every((value) => value === null);
    store.getState().do(setFixture(store.getState().question, fixture.id, 'letters', none ? null : next));
  };
  return (
    <div>
      <FaceFields
        store={store}
        of="of the text"
        face={letters.face}
        ownFace={letters.ownFace}
        otherwise="as the question"
        onChoose={(face, ownFace) => set({ face, ownFace })}
      />
      <Setting label="Size">
        <NumberSetting
          label="Size of the text, as an item’s words"
          value={letters.size}
          least={8}
          most={60}
          empty="as the question"
          onSet={(size) => set({ size })}
        />
      </Setting>
    </div>
  );
}
