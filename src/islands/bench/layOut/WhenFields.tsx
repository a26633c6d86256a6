import { Plus, X } from 'lucide-react';
import {
  type Fixture,
  type ItemId,
  isOfZone,
  type Question,
  setFixture,
  type When,
  type WhenEvent,
  type ZoneId,
} from '../../../core';
import { Choice } from '../../../ui/Choice';
import { SayField } from '../parts/SayField';
import { NumberSetting } from '../parts/Setting';
import type { BenchStore } from '../store';

const EVENTS: readonly (readonly [WhenEvent['on'], string])[] = [
  ['taking', 'a zone has taken'],
  ['holds', 'a zone holds at least'],
  ['full', 'a zone is full'],
  ['putAway', 'an item is put away'],
  ['right', 'the check says right'],
  ['partly', 'the check says partly right'],
  ['wrong', 'the check says wrong'],
];
const MOST_COPIES = 10_000;

type Does = 'always' | When['does'];

/** An event that can hold: of the first zone that there is. */
function firstEvent({ zones }: Question): WhenEvent {
  const zone = zones.find(({ hidden }) => !hidden) ?? zones[0];
  return zone ? { on: 'taking', zone: zone.id, item: undefined, count: undefined } : ofKind({ zones }, 'right', null);
}

/** The event as one of another kind, with as much of what it was about as that kind has. */
function ofKind(
  { zones }: Pick<Question, 'zones'>,
  on: WhenEvent['on'],
  before: WhenEvent | null,
  item?: ItemId,
): WhenEvent {
  const zone = before?.zone ?? (isOfZone(on) ? zones[0]?.id : undefined);
  return {
    on,
    zone: on === 'putAway' ? undefined : zone,
    item: on === 'full' || on === 'partly' ? undefined : (before?.item ?? (on === 'putAway' ? item : undefined)),
    count: on === 'holds' ? (before?.count ?? 2) : undefined,
  };
}

/** When a fixture is there: always, or as an answer to what happens. Each event can be tried on the scene. */
export function WhenFields({ store, fixture }: { store: BenchStore; fixture: Fixture }) {
  const question = store((s) => s.question);
  const { when } = fixture;
  const set = (to: When | null) => store.getState().do(setFixture(store.getState().question, fixture.id, 'when', to));
  const choose = (does: Does) => {
    store.setState({ tried: null });
    if (does === 'always') return set(null);
    const content = does === 'shows' ? (when?.content ?? { text: null, picture: null, sound: null }) : null;
    set({ events: when?.events ?? [firstEvent(question)], until: when?.until ?? 'next', does, content });
  };
  return (
    <div className="mt-1">
      <Choice<Does>
        label="Is there"
        options={[
          ['always', 'always'],
          ['appears', 'from an event on'],
          ['disappears', 'until an event'],
          ['shows', 'and changes with an event'],
        ]}
        value={when?.does ?? 'always'}
        onChoose={choose}
      />
      {when && (
        <>
          <ol className="py-1.5 flex flex-col gap-2 border-b border-rule">
            {when.events.map((event, i) => (
              <EventRow
                // biome-ignore lint/suspicious/noArrayIndexKey: an event has no name but its place
                key={i}
                store={store}
                fixture={fixture}
                event={event}
                index={i}
                onSet={(to) => set({ ...when, events: when.events.map((one, j) => (j === i ? to : one)) })}
                onRemove={
                  when.events.length > 1 ? () => set({ ...when, events: when.events.filter((_, j) => j !== i) }) : null
                }
              />
            ))}
            <li>
              <button
                type="button"
                className="btn btn-quiet btn-sm"
                onClick={() => set({ ...when, events: [...when.events, firstEvent(question)] })}
              >
                <Plus size={15} aria-hidden /> or another event
              </button>
            </li>
          </ol>
          <Choice
            label="Lasts"
            options={[
              ['next', 'as long as it is so'],
              ['reset', 'until everything is put back'],
            ]}
            value={when.until}
            onChoose={(until) => set({ ...when, until })}
          />
          {when.does === 'shows' && (
            <SayField
              store={store}
              label="What it shows then"
              value={when.content}
              onChange={(content) => set({ ...when, content: content ?? { text: null, picture: null, sound: null } })}
            />
          )}
        </>
      )}
    </div>
  );
}

interface RowProps {
  store: BenchStore;
  fixture: Fixture;
  event: WhenEvent;
  index: number;
  onSet: (event: WhenEvent) => void;
  onRemove: (() => void) | null;
}

function EventRow({ store, fixture, event, index, onSet, onRemove }: RowProps) {
  const question = store((s) => s.question);
  const tried = store((s) => s.tried?.fixture === fixture.id && s.tried.event === index);
  const { on, zone, item, count } = event;
  const named = ({ id, label }: { id: string; label: string }) => (
    <option key={id} value={id}>
      {label || id}
    </option>
  );
  const ofVerdict = on === 'right' || on === 'partly' || on === 'wrong';
  return (
    <li className="flex flex-wrap items-center gap-1.5">
      <select
        aria-label={`Event ${index + 1}`}
        className="select select-sm w-44"
        value={on}
        onChange={({ target }) =>
          onSet(ofKind(question, target.value as WhenEvent['on'], event, question.items[0]?.id))
        }
      >
        {EVENTS.map(([name, words]) => (
          <option key={name} value={name} disabled={name === 'putAway' && question.items.length === 0}>
            {words}
          </option>
        ))}
      </select>
      {on === 'holds' && (
        <NumberSetting
          label={`How many it holds, event ${index + 1}`}
          value={count}
          least={1}
          most={MOST_COPIES}
          whole
          onSet={(to) => to !== null && onSet({ ...event, count: to })}
        />
      )}
      {on !== 'putAway' && (
        <select
          aria-label={`Zone of event ${index + 1}`}
          className="select select-sm w-36"
          value={zone ?? ''}
          onChange={({ target }) => onSet({ ...event, zone: (target.value || undefined) as ZoneId | undefined })}
        >
          {ofVerdict && <option value="">{item === undefined ? 'of the whole answer' : 'wherever it is'}</option>}
          {question.zones.map(named)}
        </select>
      )}
      {on !== 'full' && on !== 'partly' && (
        <select
          aria-label={`Item of event ${index + 1}`}
          className="select select-sm w-36"
          value={item ?? ''}
          onChange={({ target }) => onSet({ ...event, item: (target.value || undefined) as ItemId | undefined })}
        >
          {on !== 'putAway' && <option value="">{ofVerdict ? 'no single item' : 'any item'}</option>}
          {question.items.map(named)}
        </select>
      )}
      <button
        type="button"
        className={`bench-tool ${tried ? 'bench-tool-on' : ''}`}
        aria-pressed={tried}
        title="Show on the scene what happens then"
        onClick={() => store.setState({ tried: tried ? null : { fixture: fixture.id, event: index } })}
      >
        Try it
      </button>
      {onRemove && (
        <button type="button" className="bench-tool" aria-label={`Remove event ${index + 1}`} onClick={onRemove}>
          <X size={14} aria-hidden />
        </button>
      )}
    </li>
  );
}
