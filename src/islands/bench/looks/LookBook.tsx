import { Copy, Plus, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import {
  coloursIn,
  contrast,
  ITEM_STATES,
  type ItemState,
  type Look,
  MIN_CONTRAST,
  STATE_WORDS,
  setLook,
  ZONE_STATES,
  type ZoneState,
} from '../../../core';
import { dress, ItemFace, MediaFrom, motionIn, useMediaSource, ZoneBed } from '../../../scene';
import { Typed } from '../../../ui/Typed';
import { benchMedia } from '../../shared/ownMedia';
import type { BenchStore } from '../store';
import { dropLook, looksOf, makeLook, wearersOf } from './books';
import { StyleFields } from './StyleFields';

/** A question's looks: each with every state side by side; a change reaches all who wear it. */
export function LookBook({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const open = store((s) => s.lookOpen);
  const media = useMemo(() => benchMedia(question.media), [question.media]);
  const act = store.getState().do;
  const make = (of: Look['of'], like?: Look) => {
    const { name, step } = makeLook(store.getState().question, of, like);
    act(step, 'A new look');
    store.setState({ lookOpen: name });
  };
  const shown = open !== null && Object.hasOwn(question.looks, open) ? open : (Object.keys(question.looks)[0] ?? null);
  const look = shown === null ? undefined : question.looks[shown];
  return (
    <MediaFrom source={media}>
      <div className="flex flex-wrap gap-1 mb-2">
        {(['item', 'zone'] as const).flatMap((of) =>
          looksOf(question, of).map(([name, { name: words }]) => (
            <button
              key={name}
              type="button"
              className={`bench-tool ${name === shown ? 'bench-tool-on' : ''}`}
              aria-pressed={name === shown}
              onClick={() => store.setState({ lookOpen: name })}
            >
              {words || name} <span className="figures text-xs opacity-80">{wearersOf(question, name)}</span>
            </button>
          )),
        )}
        <button type="button" className="btn btn-quiet btn-xs" onClick={() => make('item')}>
          <Plus size={13} aria-hidden /> for items
        </button>
        <button type="button" className="btn btn-quiet btn-xs" onClick={() => make('zone')}>
          <Plus size={13} aria-hidden /> for zones
        </button>
      </div>
      {shown === null || !look ? (
        <p className="text-mute">
          No looks yet: everything is drawn as the page draws it. A look says how items or zones look, sound and move in
          each of their states.
        </p>
      ) : (
        <OneLook key={shown} store={store} name={shown} look={look} onCopy={() => make(look.of, look)} />
      )}
    </MediaFrom>
  );
}

function OneLook({ store, name, look, onCopy }: { store: BenchStore; name: string; look: Look; onCopy: () => void }) {
  const question = store((s) => s.question);
  const [state, setState] = useState<string>('rest');
  const act = store.getState().do;
  const set = (next: Look) => act(setLook(store.getState().question, name, next));
  const worn = wearersOf(question, name);
  const states: readonly string[] = look.of === 'item' ? ITEM_STATES : ZONE_STATES;
  return (
    <>
      <div className="flex items-center gap-1 flex-wrap">
        <Typed
          label="Name of the look"
          className="input input-sm w-36"
          value={look.name}
          onTyped={(words) => set({ ...look, name: words })}
        />
        <span className="text-sm text-mute">worn by {worn}</span>
        <span className="grow" />
        <button
          type="button"
          className="bench-tool"
          aria-label="Another like it"
          title="Another like it"
          onClick={onCopy}
        >
          <Copy size={14} aria-hidden />
        </button>
        <button
          type="button"
          className="bench-tool text-brick"
          aria-label="Delete the look"
          title={worn > 0 ? 'Delete the look: who wears it goes plain' : 'Delete the look'}
          onClick={() => act(dropLook(store.getState().question, name), 'The look is deleted')}
        >
          <Trash2 size={14} aria-hidden />
        </button>
      </div>
      {look.of === 'item' && (
        <label className="flex items-center gap-2 my-2">
          <input
            type="checkbox"
            className="toggle toggle-sm"
            checked={look.putAway}
            onChange={(event) => set({ ...look, putAway: event.target.checked })}
          />
          Put away when taken
        </label>
      )}
      <div className="@xl:grid @xl:grid-cols-[23.5rem_minmax(0,1fr)] @xl:gap-x-5">
        <ul className="grid grid-cols-3 gap-2 my-2 content-start" aria-label="States">
          {states.map((one) => (
            <li key={one}>
              <button
                type="button"
                className={`look-sample ${one === state ? 'look-sample-on' : ''}`}
                aria-pressed={one === state}
                onClick={() => setState(one)}
              >
                <Sample look={look} state={one} />
                <span className="text-sm">{STATE_WORDS[one]}</span>
                <Contrast look={look} state={one} />
              </button>
            </li>
          ))}
        </ul>
        <div>
          <h3 className="font-semibold">{STATE_WORDS[state]}</h3>
          <StyleFields key={state} store={store} look={look} state={state} onSet={set} />
        </div>
      </div>
    </>
  );
}

const SAMPLE = 0.72;

function Sample({ look, state }: { look: Look; state: string }) {
  const media = useMediaSource();
  if (look.of === 'zone')
    return (
      <span className="look-stage" style={{ '--scale': SAMPLE } as never} aria-hidden>
        <ZoneBed
          zone={{ id: 'sample', label: 'Zone', shape: { type: 'rect', x: 8, y: 14, w: 120, h: 56 }, rotation: 0 }}
          scale={SAMPLE}
          state={state as ZoneState}
          look={look}
        />
      </span>
    );
  return (
    <span className="look-stage" style={{ '--scale': SAMPLE } as never} aria-hidden>
      <span
        key={motionIn(look, state)}
        className={`tag ${motionIn(look, state)}`}
        data-state={state}
        style={{ left: 10, top: 12, width: 92, height: 36, ...dress(look, state, SAMPLE, media) }}
      >
        <ItemFace label="Item" state={state as ItemState} />
      </span>
    </span>
  );
}

/** The contrast of the words in a state, with a warning below 4.5 to 1. */
function Contrast({ look, state }: { look: Look; state: string }) {
  const { fill, text } = coloursIn(look, state);
  const found = contrast(fill, text);
  const low = found < MIN_CONTRAST;
  return (
    <span className={`figures text-xs ${low ? 'text-brick font-semibold' : 'text-mute'}`}>
      {found.toFixed(1)}
      {low && ': hard to read'}
    </span>
  );
}
