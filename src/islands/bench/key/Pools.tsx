import { dropPool, type ItemId, makePool, poolByZone, refTo, setTake } from '../../../core';
import { NumberSetting } from '../parts/Setting';
import type { BenchStore } from '../store';

/** Pools: items of which each learner is asked some, drawn anew for each attempt. */
export function Pools({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const act = store.getState().do;
  const chosen = question.items.flatMap(({ id }): ItemId[] => (selection.has(refTo('item', id)) ? [id] : []));
  const nameOf = (id: string) => question.items.find((item) => item.id === id)?.label || id;
  return (
    <section className="mt-6" aria-label="Pools">
      <h3 className="font-semibold">
        Pools <span className="font-normal text-mute">ask some of them, drawn for each attempt</span>
      </h3>
      {question.pools.length === 0 && <p className="text-mute text-sm">Every learner is asked all items.</p>}
      <ul>
        {question.pools.map((pool, index) => (
          <li key={pool.items.join()} className="border-b border-rule py-1.5">
            <span className="flex flex-wrap items-center gap-2">
              <span className="text-mute">Ask</span>
              <NumberSetting
                label={`How many to ask of ${nameOf(pool.items[0] ?? '')} and the others of its pool`}
                value={pool.take}
                least={1}
                most={pool.items.length}
                whole
                onSet={(take) => take !== null && act(setTake(store.getState().question, index, take))}
              />
              <span className="text-mute">of {pool.items.length}</span>
              <button
                type="button"
                className="btn btn-quiet btn-sm ml-auto"
                onClick={() => act(dropPool(store.getState().question, index), 'Ask all of a pool')}
              >
                Ask all
              </button>
            </span>
            <span className="block text-sm">{pool.items.map(nameOf).join(', ')}</span>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-1 mt-1">
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          disabled={chosen.length < 2}
          title={chosen.length < 2 ? 'Select two items or more, in the grid or on the scene' : undefined}
          onClick={() => act(makePool(store.getState().question, chosen), 'A pool of the selected items')}
        >
          A pool of the selected items
        </button>
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          onClick={() => act(poolByZone(store.getState().question), 'A pool for each zone')}
        >
          A pool for each zone
        </button>
      </div>
    </section>
  );
}
