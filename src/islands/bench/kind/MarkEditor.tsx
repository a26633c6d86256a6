import { type ItemId, setCopies, setQuestion, setZone, type Zone } from '../../../core';
import {
  asSpots,
  decidedBy,
  doMissesCost,
  foundWith,
  isSpot,
  missesCost,
  placesOfSpots,
  withMarker,
} from '../../../core/kinds';
import { Choice } from '../../../ui/Choice';
import { Typed } from '../../../ui/Typed';
import { Section } from '../parts/Section';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { become } from './become';
import { PictureFirst } from './PictureFirst';
import { WordSpots } from './WordSpots';

/** Spots to be found: what finds them, what a miss comes to, and the places a list offers. */
export function MarkEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const spots = question.zones.filter(isSpot);
  const hidden = spots.filter((zone) => zone.hidden);
  const markers = question.items;
  const act = store.getState().do;
  const now = () => store.getState().question;
  const { places } = question.show;
  const setPlaces = (next: typeof places) => act(setQuestion(now(), 'show', { ...now().show, places: next }));
  return (
    <>
      <Section title="Spots" note={String(spots.length)}>
        <PictureFirst store={store} words="Set spots" />
        <p className="text-mute my-1">Press every spot on the picture; or draw zones over it and make them spots.</p>
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          disabled={spots.every(({ hidden }) => hidden)}
          onClick={() => become(store, asSpots, 'Every zone is a spot')}
        >
          Make every zone a spot
        </button>
        <ul className="mt-2">
          {spots.map((zone) => (
            <li key={zone.id} className="flex items-center gap-2 border-b border-rule py-0.5">
              <span className="grow" dir="auto">
                {zone.label || zone.id}
              </span>
              {markers.length > 1 && zone.hidden && (
                <select
                  aria-label={`What finds ${zone.label || zone.id}`}
                  className="select select-xs w-28"
                  value={question.key.find((entry) => entry.zone === zone.id)?.belongs?.[0] ?? ''}
                  onChange={(event) => become(store, (q) => foundWith(q, zone.id, event.target.value as ItemId), 'Set')}
                >
                  {markers.map(({ id, label }) => (
                    <option key={id} value={id}>
                      {label || id}
                    </option>
                  ))}
                </select>
              )}
              <label className="flex items-center gap-2 text-sm">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  checked={zone.hidden}
                  onChange={(event) => act(setZone(now(), zone.id, 'hidden', event.target.checked))}
                />
                hidden
              </label>
            </li>
          ))}
        </ul>
      </Section>
      <WordSpots store={store} />
      {hidden.length > 0 && (
        <>
          <Section title="Markers">
            {markers.map((item) => (
              <Setting key={item.id} label={item.label || item.id}>
                <NumberSetting
                  label={`How many of ${item.label || item.id} there are`}
                  value={item.copies === 'endless' ? null : item.copies}
                  least={1}
                  most={500}
                  whole
                  empty="endless"
                  onSet={(n) => act(setCopies(now(), [item.id], n ?? 'endless'))}
                />
              </Setting>
            ))}
            <Typed
              label="Another kind of marker"
              placeholder="another kind of marker"
              className="input input-sm w-full my-1"
              value=""
              onTyped={(label) =>
                label.trim() &&
                become(
                  store,
                  (q) => withMarker(q, label.trim()),
                  `${label.trim()} is added: say above which spots it finds`,
                )
              }
            />
            <Choice
              label="Decides"
              options={[
                ['centre', 'the marker’s middle'],
                ['pointer', 'the pointer'],
              ]}
              value={deciding(hidden)}
              onChoose={(rule) => become(store, (q) => decidedBy(q, rule), 'Set')}
            />
          </Section>
          <Section title="A miss">
            <label className="flex items-center gap-2 py-0.5">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={markers.every(({ goesHome }) => goesHome)}
                onChange={(event) =>
                  become(
                    store,
                    (q) => ({ ...q, items: q.items.map((item) => ({ ...item, goesHome: event.target.checked })) }),
                    'Set',
                  )
                }
              />
              is seen at once: the marker goes back
            </label>
            <label className="flex items-center gap-2 py-0.5">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={doMissesCost(question)}
                onChange={(event) => become(store, (q) => missesCost(q, event.target.checked), 'Set')}
              />
              costs: markers beside every spot count as wrong
            </label>
          </Section>
          <Section title="Places by name" note={String(places.length)}>
            <p className="text-sm text-mute mb-1">
              As a list and with the keys a learner chooses among these. Add some where there is no spot, or the list
              tells all.
            </p>
            {places.map((place, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a place has no other name than what can be typed
              <div key={i} className="flex gap-1 py-0.5">
                <Typed
                  label={`Name of place ${i + 1}`}
                  className="input input-sm grow min-w-0"
                  value={place.label}
                  onTyped={(words) =>
                    setPlaces(places.map((place, j) => (i === j ? { ...place, label: words } : place)))
                  }
                />
                {(['x', 'y'] as const).map((axis) => (
                  <Typed
                    key={axis}
                    label={`${axis} of place ${i + 1}`}
                    className="input input-sm figures w-16"
                    value={String(place[axis])}
                    problem={(words) =>
                      words.trim() !== '' && Number.isFinite(Number(words)) ? null : 'A number is needed'
                    }
                    onTyped={(words) =>
                      setPlaces(places.map((place, j) => (i === j ? { ...place, [axis]: Number(words) } : place)))
                    }
                  />
                ))}
                <button
                  type="button"
                  className="btn btn-quiet btn-xs"
                  aria-label={`Take place ${i + 1} away`}
                  onClick={() => setPlaces(places.filter((_, j) => j !== i))}
                >
                  ×
                </button>
              </div>
            ))}
            <div className="flex gap-2 mt-1">
              <button
                type="button"
                className="btn btn-edge btn-xs"
                onClick={() =>
                  setPlaces([
                    ...places,
                    {
                      label: `Place ${places.length + 1}`,
                      x: Math.round(question.scene.width / 2),
                      y: Math.round(question.scene.height / 2),
                    },
                  ])
                }
              >
                Add a place
              </button>
              <button
                type="button"
                className="btn btn-edge btn-xs"
                onClick={() =>
                  setPlaces([
                    ...places,
                    ...placesOfSpots(hidden).filter(
                      ({ x, y }) => !places.some((place) => place.x === x && place.y === y),
                    ),
                  ])
                }
              >
                Take the spots’ middles
              </button>
            </div>
          </Section>
        </>
      )}
    </>
  );
}

function deciding(spots: readonly Zone[]): 'centre' | 'pointer' | null {
  const rules = new Set(spots.map(({ reach }) => reach.rule));
  const [rule] = rules;
  return rules.size === 1 && (rule === 'centre' || rule === 'pointer') ? rule : null;
}
