import { type Item, setCopies, setItem } from '../../../core';
import { Choice } from '../../../ui/Choice';
import { Typed } from '../../../ui/Typed';
import { common } from '../parts/common';
import { LanguageField } from '../parts/LanguageField';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';

const MAX_COPIES = 10_000;

/** Copies, family and the behaviour of an item let go outside every zone, for one or many items. */
export function ItemBehaviour({ store, items }: { store: BenchStore; items: readonly Item[] }) {
  const set = <Field extends Exclude<keyof Item, 'id'>>(field: Field, to: Item[Field]) => {
    const { question, do: act } = store.getState();
    act(items.flatMap((item) => setItem(question, item.id, field, to)));
  };
  const copy = (to: Item['copies']) => {
    const { question, do: act } = store.getState();
    act(
      setCopies(
        question,
        items.map(({ id }) => id),
        to,
      ),
    );
  };
  const copies = common(items, (item) => item.copies);
  const endless = common(items, (item) => (item.copies === 'endless' ? 'endless' : 'counted'));
  return (
    <section className="mt-4">
      <h3 className="font-semibold">
        {items.length === 1 ? items[0]?.label || items[0]?.id : `${items.length} items`}
      </h3>
      <Choice
        label="Copies"
        options={[
          ['counted', 'counted'],
          ['endless', 'endless'],
        ]}
        value={endless ?? null}
        onChoose={(which) => copy(which === 'endless' ? 'endless' : 1)}
      />
      {endless === 'counted' && (
        <Setting label="">
          <NumberSetting
            label="How many copies"
            value={copies === 'endless' ? undefined : copies}
            least={1}
            most={MAX_COPIES}
            whole
            onSet={(n) => n !== null && copy(n)}
          />
        </Setting>
      )}
      <Choice
        label="Let go outside"
        options={[
          ['home', 'goes home'],
          ['loose', 'stays there'],
        ]}
        value={common(items, (item) => (item.goesHome ? 'home' : 'loose')) ?? null}
        onChoose={(which) => set('goesHome', which === 'home')}
      />
      <Choice
        label="Once settled"
        options={[
          ['again', 'may be moved again'],
          ['stays', 'stays'],
        ]}
        value={common(items, (item) => (item.again ? 'again' : 'stays')) ?? null}
        onChoose={(which) => set('again', which === 'again')}
      />
      <Setting label="Family">
        <Typed
          label="Family of the item"
          className="input input-sm w-40"
          value={common(items, (item) => item.family) ?? ''}
          onTyped={(text) => set('family', text.trim() || null)}
        />
        <span className="text-sm text-mute">empty: none</span>
      </Setting>
      <Setting label="Language">
        <LanguageField
          label="Language of the item’s label"
          value={common(items, (item) => item.lang)}
          empty="the question’s"
          onSet={(lang) => set('lang', lang)}
        />
      </Setting>
    </section>
  );
}
