import { type Fixture, setFixture } from '../../../core';
import { LettersFields } from '../looks/LettersFields';
import type { BenchStore } from '../store';

/** A text's own letters, where it has others than the question. */
export function TextLetters({ store, fixture }: { store: BenchStore; fixture: Extract<Fixture, { type: 'text' }> }) {
  return (
    <div>
      <LettersFields
        store={store}
        letters={fixture.letters}
        of="of the text"
        size="Size of the text, as an item’s words"
        otherwise="as the question"
        empty="as the question"
        onChange={(letters) =>
          store.getState().do(setFixture(store.getState().question, fixture.id, 'letters', letters))
        }
      />
    </div>
  );
}
