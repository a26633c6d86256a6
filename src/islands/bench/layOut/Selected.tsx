import { Trash2, Undo2 } from 'lucide-react';
import { type Item, idIn, kindIn, type Rich, rename, setFixture, setItem, type Thing, thingAt } from '../../../core';
import { Typed } from '../../../ui/Typed';
import { outlineSelected, removeSelected } from '../commands/arranging';
import { MediumField } from '../media/MediumField';
import { SayField } from '../parts/SayField';
import { RichField } from '../rich/RichField';
import type { BenchStore } from '../store';
import { ShapeFixtureFields } from './ShapeFixtureFields';
import { ZoneShape } from './ZoneShape';

/** Naming what is selected, and what it shows. */
export function Selected({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const chosen = [...selection].flatMap((ref) => thingAt(question, ref) ?? []);
  const only = chosen.length === 1 ? chosen[0] : undefined;
  const items = chosen.flatMap((thing) => (thing.kind === 'item' ? [thing.is] : []));
  if (chosen.length === 0)
    return <p className="text-mute">Nothing. Press something on the scene, or a row of the Ledger.</p>;
  return (
    <>
      {only && <Name key={`name ${only.ref}`} store={store} thing={only} />}
      {only?.kind === 'item' && <ItemShows key={`shows ${only.ref}`} store={store} item={only.is} />}
      {only?.kind === 'fixture' && <FixtureShows key={`shows ${only.ref}`} store={store} thing={only} />}
      {only?.kind === 'zone' && <ZoneShape key={`shape ${only.ref}`} store={store} zone={only.is} />}
      <div className="flex flex-wrap gap-1 mt-2">
        {items.some(({ home }) => home !== null) && question.tray && (
          <button
            type="button"
            className="btn btn-quiet btn-sm"
            onClick={() => {
              const { question: now, do: act } = store.getState();
              act(
                items.flatMap(({ id }) => setItem(now, id, 'home', null)),
                'Back in the tray',
              );
            }}
          >
            <Undo2 size={15} aria-hidden /> Back into the tray
          </button>
        )}
        {items.some(({ copies }) => copies === 1) && (
          <button
            type="button"
            className="btn btn-quiet btn-sm"
            onClick={() => outlineSelected(store)}
            title="A zone of the item's own outline, riding on it: pieces can join pieces"
          >
            Outline as a zone
          </button>
        )}
        <button type="button" className="btn btn-quiet btn-sm text-brick" onClick={() => removeSelected(store)}>
          <Trash2 size={15} aria-hidden /> Delete {chosen.length === 1 ? 'it' : 'them'}
        </button>
      </div>
    </>
  );
}

function Name({ store, thing }: { store: BenchStore; thing: Thing }) {
  const name = (label: string) =>
    store.getState().do(rename(store.getState().question, kindIn(thing.ref), idIn(thing.ref), label));
  return (
    <div className="grid grid-cols-[4rem_1fr] items-center gap-2">
      <span className="text-mute" aria-hidden>
        Name
      </span>
      <Typed label="Name of what is selected" className="input input-sm w-full" value={thing.is.label} onTyped={name} />
    </div>
  );
}

/** An item shows its name, or something else: words with a form, a picture, a sound. */
function ItemShows({ store, item }: { store: BenchStore; item: Item }) {
  const set = (content: Item['content']) =>
    store.getState().do(setItem(store.getState().question, item.id, 'content', content));
  return (
    <div className="mt-2">
      <span className="text-mute text-sm">Shows its name, unless it is given something else:</span>
      <SayField store={store} label={`What ${item.label || item.id} shows`} value={item.content} onChange={set} />
    </div>
  );
}

function FixtureShows({ store, thing }: { store: BenchStore; thing: Extract<Thing, { kind: 'fixture' }> }) {
  const { is: fixture } = thing;
  const act = store.getState().do;
  const question = () => store.getState().question;
  return (
    <div className="mt-2 flex flex-col gap-2">
      {fixture.type === 'text' && (
        <RichField
          label="Text of the fixture"
          value={fixture.text}
          lines={3}
          onTyped={(text) => act(setFixture(question(), fixture.id, 'text', text ?? ({ blocks: [] } as Rich)))}
        />
      )}
      {fixture.type === 'shape' && <ShapeFixtureFields store={store} fixture={fixture} />}
      {(fixture.type === 'picture' || fixture.type === 'sound' || fixture.type === 'film') && (
        <MediumField
          store={store}
          label={fixture.type === 'picture' ? 'Picture' : fixture.type === 'sound' ? 'Sound' : 'Film'}
          kind={fixture.type}
          value={fixture.media}
          needed
          onChoose={(id) => id && act(setFixture(question(), fixture.id, 'media', id))}
        />
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          checked={fixture.front}
          onChange={(event) => act(setFixture(question(), fixture.id, 'front', event.target.checked))}
        />
        lies over the zones
      </label>
    </div>
  );
}
