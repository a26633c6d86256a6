import type { Item } from '../../../core';
import { MediumField } from '../media/MediumField';
import { RichField } from '../rich/RichField';
import type { BenchStore } from '../store';

export type Say = NonNullable<Item['content']>;
const NOTHING: Say = { text: null, picture: null, sound: null };

interface Props {
  store: BenchStore;
  label: string;
  value: Say | null;
  onChange: (say: Say | null) => void;
  lines?: number;
}

/** A field for words, a picture, a sound, or several of them; empty means nothing is said. */
export function SayField({ store, label, value, onChange, lines = 1 }: Props) {
  const now = value ?? NOTHING;
  const set = (change: Partial<Say>) => {
    const next = { ...now, ...change };
    onChange(next.text === null && next.picture === null && next.sound === null ? null : next);
  };
  return (
    <div>
      <RichField label={label} value={now.text} onTyped={(text) => set({ text })} lines={lines} />
      <div className="flex flex-wrap gap-3 mt-1">
        <MediumField
          store={store}
          label="Picture"
          kind="picture"
          value={now.picture}
          onChoose={(picture) => set({ picture })}
        />
        <MediumField store={store} label="Sound" kind="sound" value={now.sound} onChoose={(sound) => set({ sound })} />
      </div>
    </div>
  );
}
