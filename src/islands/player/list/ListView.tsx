import { useEffect, useMemo, useRef } from 'react';
import { type Board, type Copy, copyNamed, keepsOrder, type LearnerQuestion } from '../../../core';
import { FixtureFace } from '../../../scene/FixtureFace';
import { Picture } from '../../../scene/media';
import { RichText } from '../../../scene/RichText';
import { Slots } from '../../../scene/slots';
import { Heard } from '../Heard';
import { Saying } from '../Saying';
import type { Shown } from '../scene/board';
import { MenuPart, TypedPart } from '../scene/Slot';
import { totalIn, useDisplayed } from '../shown';
import { isOnlyChosen, nextPick, placesFor, stateOf } from '../states';
import { nameOf, type PlayerStore } from '../store';
import { useFixtures } from '../useFixtures';
import { useMoving } from '../useMoving';
import { itemName, zoneName } from '../words';
import { MoveMenu, type Way } from './MoveMenu';
import './list.css';

/** The same question as plain lists and menus: the same items, zones, rules and moves, without a scene. */
export function ListView({ store, say }: { store: PlayerStore; say: (words: string) => void }) {
  const state = store();
  const { view, model, shut } = state;
  const { question } = view;
  const { board, shown, locked } = useDisplayed(store);
  const { make, put } = useMoving(store, say);
  const byCopy = useMemo(() => new Map(shown.map((shown) => [shown.copy, shown])), [shown]);

  // The focus follows what was moved.
  const moved = useRef<Copy | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: when the lists have changed
  useEffect(() => {
    if (moved.current === null) return;
    (document.getElementById(`move-${moved.current}`) ?? document.getElementById('list-heading'))?.focus();
    moved.current = null;
  }, [board]);
  const go = (copy: Copy, zone: number | null, at?: number) => {
    moved.current = copy;
    put(copy, zone, at);
  };

  const row = (shown: Shown, beside: readonly Way[]) => {
    const item = question.items[shown.item] as LearnerQuestion['items'][number];
    const name = itemName(state, shown.item);
    const places = placesFor(state, shown.copy).filter((zone) => zone !== shown.zone);
    const ways: Way[] = [
      ...question.places.map(({ label, x, y }) => ({
        name: label,
        go: () => {
          moved.current = shown.copy;
          make(shown.copy, {
            kind: 'drop',
            ...nameOf(model, shown.copy),
            x: x - item.size.w / 2,
            y: y - item.size.h / 2,
            px: x,
            py: y,
          });
        },
      })),
      ...places.map((zone) => ({ name: zoneName(state, zone), go: () => go(shown.copy, zone) })),
      ...(shown.home ? [] : [{ name: 'Back to the others', go: () => go(shown.copy, null) }]),
      ...beside,
    ];
    return (
      <Entry
        key={shown.copy}
        store={store}
        one={shown}
        item={item}
        name={name}
        menu={
          item.stays ? (
            <Pick store={store} one={shown} name={name} locked={locked} onPut={go} />
          ) : (
            <MoveMenu
              copy={shown.copy}
              name={name}
              ways={ways}
              disabled={
                locked || (shown.zone !== null && !item.again) || stateOf(state.states, shown.copy) === 'putAway'
              }
            />
          )
        }
      />
    );
  };
  const inOrder = (zone: number, copy: Copy): Way[] => {
    const held = board.zones[zone] ?? [];
    const at = held.indexOf(copy);
    const into = model.zones[zone];
    if (!into || !keepsOrder(into)) return [];
    return [
      ...(at > 0 ? [{ name: 'Earlier here', go: () => go(copy, zone, at - 1) }] : []),
      ...(at < held.length - 1 ? [{ name: 'Later here', go: () => go(copy, zone, at + 1) }] : []),
    ];
  };
  const waiting = shown.filter(
    (shown) => shown.zone === null && !shown.beneath && !isOnlyChosen(model, question, shown.item),
  );
  return (
    <div className="as-a-list" data-told={state.told !== null || undefined}>
      <h2 id="list-heading" tabIndex={-1} className="sr-only">
        The question as a list
      </h2>
      <Slots value={(name) => <span className="list-slot">{zoneName(state, model.zoneAt.get(name) ?? -1)}</span>}>
        <Around store={store} />
      </Slots>
      <div className="list-columns">
        {question.zones.map((zone, i) => {
          const held = board.zones[i] ?? [];
          return (
            <section
              key={zone.id}
              className="list-zone"
              data-state={state.states.zones[i]}
              aria-labelledby={`zone-${zone.id}`}
            >
              <h3 id={`zone-${zone.id}`} dir="auto">
                {zoneName(state, i)}
                <Total board={board} question={question} zone={i} />
              </h3>
              {zone.lid && (
                <button
                  type="button"
                  className="btn btn-quiet btn-sm"
                  aria-expanded={!shut.has(i)}
                  onClick={() => state.turnLid(i)}
                >
                  {shut.has(i) ? 'Open' : 'Shut'} {zone.lid.label || 'the lid'}
                </button>
              )}
              {zone.typed ? (
                <TypedPart store={store} index={i} locked={locked} />
              ) : zone.menu ? (
                <MenuPart store={store} index={i} locked={locked} onPut={put} />
              ) : shut.has(i) ? (
                <p className="text-mute">
                  Shut{question.show.count && held.length > 0 ? `, ${held.length} inside` : ''}
                </p>
              ) : held.length === 0 ? (
                <p className="text-mute">Nothing yet</p>
              ) : (
                <ol>
                  {held.flatMap((copy) => (byCopy.has(copy) ? [row(byCopy.get(copy) as Shown, inOrder(i, copy))] : []))}
                </ol>
              )}
            </section>
          );
        })}
      </div>
      <section className="list-zone list-tray" aria-labelledby="list-tray">
        <h3 id="list-tray">Not placed</h3>
        {waiting.length === 0 ? (
          <p className="text-mute">Everything is placed</p>
        ) : (
          <ul>{waiting.map((shown) => row(shown, []))}</ul>
        )}
      </section>
    </div>
  );
}

/** Picks what stays in its place, or takes it out again. */
function Pick({
  store,
  one: shown,
  name,
  locked,
  onPut,
}: {
  store: PlayerStore;
  one: Shown;
  name: string;
  locked: boolean;
  onPut: (copy: Copy, zone: number | null) => void;
}) {
  return (
    <button
      type="button"
      id={`move-${shown.copy}`}
      className="btn btn-edge btn-sm"
      aria-pressed={shown.zone !== null}
      aria-label={`Pick ${name}`}
      disabled={locked}
      onClick={() => onPut(shown.copy, nextPick(store.getState(), shown.copy, shown.zone))}
    >
      {shown.zone === null ? 'Pick' : 'Picked'}
    </button>
  );
}

interface EntryProps {
  store: PlayerStore;
  one: Shown;
  item: LearnerQuestion['items'][number];
  name: string;
  menu: React.ReactNode;
}

function Entry({ store, one: shown, item, name, menu }: EntryProps) {
  const state = store();
  const verdict = state.showsModel ? 'none' : (state.verdicts.get(shown.copy) ?? 'none');
  const waits = state.waiting.has(shown.copy) && !state.showsModel;
  const said = state.showsModel
    ? undefined
    : state.told?.says.find(({ of: namedCopy }) => namedCopy && copyNamed(state.model, namedCopy) === shown.copy);
  const { text = null, picture = null, sound = null } = item.content ?? {};
  return (
    <li className="list-entry" data-verdict={verdict}>
      <span className="grow" dir="auto">
        {picture && (
          <span className="list-picture">
            <Picture id={picture} width={96} />
          </span>
        )}
        <span className="font-semibold">{text ? <RichText rich={text} /> : item.label || (picture ? '' : name)}</span>
        {shown.heap === null && <span className="text-mute"> as many as you like</span>}
        {shown.heap !== null && shown.heap > 1 && <span className="text-mute figures"> {shown.heap} left</span>}
        {verdict !== 'none' && <span className={`list-verdict list-${verdict}`}>{verdict}</span>}
        {waits && <span className="text-mute"> waits to be judged</span>}
        {shown.zone === null && !shown.home && !waits && <span className="text-mute"> lies loose</span>}
        <Heard id={sound} otherwise={`The sound of ${name}`} />
        {said && (
          <span className="list-said saying">
            <Saying said={said.said} width={200} />
          </span>
        )}
      </span>
      {menu}
    </li>
  );
}

function Total({ board, question, zone }: { board: Board; question: LearnerQuestion; zone: number }) {
  const total = totalIn(question, board, zone);
  return total === null ? null : <span className="figures font-normal"> adds up to {total}</span>;
}

/** What stands on the scene beside items and zones: its texts, pictures, sounds and films, in their order. */
function Around({ store }: { store: PlayerStore }) {
  const { board } = useDisplayed(store);
  const { fixtures, begins, words } = useFixtures(store, board);
  const shown = fixtures.filter(({ fixture, content }) => fixture.type !== 'shape' || content);
  if (fixtures.length === 0) return null;
  return (
    <div className="list-around">
      <p role="status" className="sr-only">
        {words}
      </p>
      {shown.map(({ fixture, content, answers }) =>
        fixture.type === 'text' && !content ? (
          <div key={fixture.id}>
            <RichText rich={fixture.text} />
          </div>
        ) : (
          <div
            key={fixture.id}
            className={`list-fixture list-fixture-${fixture.type}`}
            style={fixture.type === 'sound' ? {} : { aspectRatio: `${fixture.w} / ${fixture.h}`, maxWidth: fixture.w }}
          >
            <FixtureFace fixture={fixture} instead={content} scale={1} live begins={begins && answers} />
          </div>
        ),
      )}
    </div>
  );
}
