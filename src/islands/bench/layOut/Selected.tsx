import { Flag, Trash2, Undo2, Ungroup } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import {
  type Item,
  idIn,
  kindIn,
  type Rich,
  rename,
  setFixture,
  setItem,
  slotsIn,
  startIn,
  startOf,
  type Thing,
  thingAt,
  type ZoneId,
} from '../../../core';
import { Typed } from '../../../ui/Typed';
import { TakeApart } from '../apart/TakeApart';
import { outlineSelected, removeSelected } from '../commands/arranging';
import { MediumField } from '../media/MediumField';
import { common } from '../parts/common';
import { SayField } from '../parts/SayField';
import { Setting } from '../parts/Setting';
import { RichField } from '../rich/RichField';
import type { BenchStore } from '../store';
import { CropAgain } from './CropAgain';
import { ShapeFixtureFields } from './ShapeFixtureFields';
import { TextLetters } from './TextLetters';
import { WhenFields } from './WhenFields';
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
      {items.length > 0 && items.length === chosen.length && <StartsIn store={store} items={items} />}
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

/** Where items start: at home, or in a zone, which the tool *Start here* does by pulling. */
function StartsIn({ store, items }: { store: BenchStore; items: readonly Item[] }) {
  const question = store((s) => s.question);
  const start = common(items, ({ id }) => startOf(question, id));
  const set = (zone: string) => {
    const started = startIn(
      question,
      items.map(({ id }) => id),
      zone === '' ? null : (zone as ZoneId),
    );
    if (started.ok) store.getState().do(started.step);
    else toast(`${started.message}.`);
  };
  if (question.kind === 'order') return null;
  return (
    <Setting label="Starts">
      <select
        aria-label="Where it starts"
        className="select select-sm w-44"
        value={start === undefined ? 'differ' : (start ?? '')}
        onChange={(event) => set(event.target.value)}
      >
        {start === undefined && <option value="differ">they differ</option>}
        <option value="">at home</option>
        {question.zones.flatMap((zone) =>
          zone.typed || zone.shape.type === 'slot'
            ? []
            : [
                <option key={zone.id} value={zone.id}>
                  in {zone.label || zone.id}
                </option>,
              ],
        )}
      </select>
      <button
        type="button"
        className="btn btn-quiet btn-sm"
        onClick={() => store.setState({ tool: 'start' })}
        title="Pull items to where they start: into a zone, or anywhere on the scene"
      >
        <Flag size={15} aria-hidden /> Start here…
      </button>
    </Setting>
  );
}

function FixtureShows({ store, thing }: { store: BenchStore; thing: Extract<Thing, { kind: 'fixture' }> }) {
  const { is: fixture } = thing;
  const [apart, setApart] = useState(false);
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
      {fixture.type === 'text' && <TextLetters store={store} fixture={fixture} />}
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
      {fixture.type === 'picture' && (
        <>
          <button type="button" className="btn btn-edge btn-sm self-start" onClick={() => setApart(true)}>
            <Ungroup size={15} aria-hidden /> Take it apart…
          </button>
          <CropAgain store={store} picture={fixture} />
          {apart && <TakeApart store={store} picture={fixture} onClose={() => setApart(false)} />}
        </>
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
      {!(fixture.type === 'text' && slotsIn(fixture.text).length > 0) && <WhenFields store={store} fixture={fixture} />}
    </div>
  );
}
