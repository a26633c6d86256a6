import { useMemo } from 'react';
import { toast } from 'sonner';
import { applyAll, type Fixture, type Rich, refTo, remove, setFixture, slotsIn } from '../../../core';
import { gapsLaidOut } from '../../../core/kinds';
import { RichField } from '../rich/RichField';
import type { BenchStore } from '../store';
import { become } from './become';

/** The text changed where it stands: its gaps are kept, each shown by its word; one that is deleted goes. */
export function ChangeText({ store, text }: { store: BenchStore; text: Extract<Fixture, { type: 'text' }> }) {
  const question = store((s) => s.question);
  const { key, items } = question;
  const words = useMemo(
    () =>
      Object.fromEntries(
        key.map(({ zone, belongs }) => [
          zone,
          (belongs ?? []).map((id) => items.find((item) => item.id === id)?.label ?? id).join(' / '),
        ]),
      ),
    [key, items],
  );
  const take = (typed: Rich | null) => {
    const rich = typed ?? { blocks: [] };
    const left = new Set<string>(slotsIn(rich));
    const gone = slotsIn(text.text).filter((slot) => !left.has(slot));
    become(
      store,
      (now) => {
        const changed = applyAll(now, setFixture(now, text.id, 'text', rich));
        return gapsLaidOut(applyAll(changed, remove(changed, new Set(gone.map((slot) => refTo('zone', slot))))));
      },
      'The text is changed',
    );
    if (gone.length > 0)
      toast(`${gone.map((slot) => `“${words[slot] ?? slot}”`).join(', ')} stands in no gap any more`, {
        description: 'The words stay as items that belong nowhere. Undo brings the gap back.',
      });
  };
  return (
    <details className="mt-2">
      <summary className="cursor-pointer text-mute">Change the text; its gaps stay</summary>
      <RichField label="Text with its gaps" value={text.text} lines={4} words={words} onTyped={take} />
    </details>
  );
}
