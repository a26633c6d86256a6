import { refTo, restNowhere, setItem, setValues } from '../../../core';
import { Typed } from '../../../ui/Typed';
import { common } from '../parts/common';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { EitherKey } from './EitherKey';
import { KeyGrid } from './KeyGrid';
import { Pools } from './Pools';
import { ZoneKey } from './ZoneKey';

/** The Key station: what belongs where, how many each zone needs, and what they are worth. */
export function Key({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const modelShown = store((s) => s.modelShown);
  const proved = store((s) => s.proved);
  const zones = question.zones.filter(({ id }) => selection.has(refTo('zone', id)));
  const items = question.items.filter(({ id }) => selection.has(refTo('item', id)));
  const act = store.getState().do;
  const nothingShown = modelShown && proved?.of === question && !proved.proof.modelAnswer;
  return (
    <>
      <h2 className="text-lg mb-2">
        Key grid <span className="font-sans font-normal text-base text-mute">what belongs where</span>
      </h2>
      <KeyGrid store={store} />
      <div className="flex flex-wrap gap-1 mt-2">
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          onClick={() => act(restNowhere(question), 'Everything else belongs nowhere')}
        >
          Everything else belongs nowhere
        </button>
        {items.length > 0 && (
          <button
            type="button"
            className="btn btn-quiet btn-sm"
            onClick={() =>
              act(restNowhere(question, new Set(items.map(({ id }) => id))), 'All but the selected belong nowhere')
            }
          >
            All but the selected do
          </button>
        )}
        <label className="flex items-center gap-2 px-2">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={modelShown}
            onChange={(event) => store.setState({ modelShown: event.target.checked })}
          />
          model answer on the scene
        </label>
      </div>
      {nothingShown && <p className="text-brick text-sm mt-1">There is no model answer: Proof says why.</p>}
      <EitherKey store={store} />
      {zones.length === 0 && (
        <p className="text-mute mt-3">Press a zone's name for how many it needs, for values and for their order.</p>
      )}
      {zones.map((zone) => (
        <ZoneKey key={zone.id} store={store} zone={zone} />
      ))}
      {items.length > 0 && (
        <section className="mt-4">
          <h3 className="font-semibold">
            {items.length === 1 ? items[0]?.label || items[0]?.id : `${items.length} items`}
          </h3>
          <Setting label="Value">
            <NumberSetting
              label="Value of the item"
              value={common(items, ({ value }) => value)}
              least={-1e9}
              most={1e9}
              empty="none"
              onSet={(value) =>
                act(
                  setValues(
                    question,
                    items.map(({ id }) => id),
                    value,
                  ),
                )
              }
            />
          </Setting>
          <Setting label="Family">
            <Typed
              label="Family of the item"
              className="input input-sm w-40"
              value={common(items, (item) => item.family) ?? ''}
              onTyped={(text) =>
                act(items.flatMap((item) => setItem(question, item.id, 'family', text.trim() || null)))
              }
            />
            <span className="text-sm text-mute">empty: none</span>
          </Setting>
        </section>
      )}
      <Pools store={store} />
    </>
  );
}
