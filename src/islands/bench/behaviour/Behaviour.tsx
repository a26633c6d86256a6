import { refTo, setQuestion } from '../../../core';
import { Choice } from '../parts/Choice';
import type { BenchStore } from '../store';
import { ItemBehaviour } from './ItemBehaviour';
import { ZoneBehaviour } from './ZoneBehaviour';

/** What zones do with items, and items on their own: set for one or for many at once. */
export function Behaviour({ store }: { store: BenchStore }) {
  const { question, selection } = store();
  const zones = question.zones.filter(({ id }) => selection.has(refTo('zone', id)));
  const items = question.items.filter(({ id }) => selection.has(refTo('item', id)));
  const { tray } = question;
  return (
    <>
      <h2 className="text-lg mb-2">
        Behaviour <span className="font-sans font-normal text-base text-mute">what happens to an item</span>
      </h2>
      {zones.length === 0 && items.length === 0 && <p className="text-mute mb-3">Select zones or items, on the scene or in the Ledger, to say what they do.</p>}
      {zones.length > 0 && <ZoneBehaviour store={store} zones={zones} />}
      {items.length > 0 && <ItemBehaviour store={store} items={items} />}
      {tray && (
        <section className="mt-4">
          <h3 className="font-semibold">The tray</h3>
          <Choice
            label="Start order"
            options={[
              ['shuffled', 'shuffled'],
              ['asListed', 'as listed'],
            ]}
            value={tray.order}
            onChoose={(order) => store.getState().do(setQuestion(question, 'tray', { ...tray, order }))}
          />
        </section>
      )}
    </>
  );
}
