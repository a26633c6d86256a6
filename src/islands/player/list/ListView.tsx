import { useContext, useEffect, useMemo, useRef, useState } from 'react';
import { type Board, type Copy, copyNamed, keepsOrder, type LearnerQuestion } from '../../../core';
import { FixtureFace } from '../../../scene/FixtureFace';
import { Picture } from '../../../scene/media';
import { RichText } from '../../../scene/RichText';
import { Slots } from '../../../scene/slots';
import { Written } from '../../../scene/written';
import { phrase, shownNumber } from '../../../words';
import { Heard } from '../Heard';
import { Saying } from '../Saying';
import type { Shown } from '../scene/board';
import { MenuPart, TypedPart } from '../scene/Slot';
import { totalIn, useDisplayed, useShown } from '../shown';
import { isOneOf, isOnlyChosen, nextPick, placesFor, stateOf } from '../states';
import { nameOf, type PlayerStore } from '../store';
import { useFixtures } from '../useFixtures';
import { useMoving } from '../useMoving';
import { itemName, namedPlace, shortfallInWords, shortfallOf, verdictInWords, zoneName } from '../words';
import { MoveMenu, type Way } from './MoveMenu';
import './list.css';

/** The same question as plain lists and menus: the same items, zones, rules and moves, without a scene. */
export function ListView({ store, say }: { store: PlayerStore; say: (words: string) => void }) {
  const state = store();
  const written = useContext(Written);
  const { view, model, shut } = state;
  const { question } = view;
  const { board, locked } = useDisplayed(store);
  const shown = useShown(store, board, model);
  const { make, put } = useMoving(store, say);
  // At most one menu is open.
  const [open, setOpen] = useState<Copy | null>(null);
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
      ...(shown.home ? [] : [{ name: phrase('player.backToOthers'), go: () => go(shown.copy, null) }]),
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
              ways={ways.map((way) => ({
                ...way,
                go: () => {
                  setOpen(null);
                  way.go();
                },
              }))}
              open={open === shown.copy}
              onOpen={(opened) => setOpen(opened ? shown.copy : null)}
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
      ...(at > 0 ? [{ name: phrase('player.earlier'), go: () => go(copy, zone, at - 1) }] : []),
      ...(at < held.length - 1 ? [{ name: phrase('player.later'), go: () => go(copy, zone, at + 1) }] : []),
    ];
  };
  const stays = ({ item }: Shown) => question.items[item]?.stays === true;
  const waiting = shown.filter(
    (shown) => shown.zone === null && !shown.beneath && !stays(shown) && !isOnlyChosen(model, question, shown.item),
  );
  const picks = shown.filter((shown) => !shown.beneath && stays(shown));
  const isOne = picks.some(({ copy }) => isOneOf(model, board, copy, question));
  /** A zone into which everything is picked in its place is no list of its own. */
  const isForPicks = ({ family }: LearnerQuestion['zones'][number]) =>
    picks.length > 0 && question.items.every((item) => item.stays || (family !== null && item.family !== family));
  return (
    <div className="as-a-list" data-told={state.told !== null || undefined}>
      <h2 id="list-heading" tabIndex={-1} className="sr-only">
        {phrase('player.asListHeading')}
      </h2>
      <Slots value={(name) => <span className="list-slot">{zoneName(state, model.zoneAt.get(name) ?? -1)}</span>}>
        <Around store={store} />
      </Slots>
      {picks.length > 0 && (
        <fieldset className="list-zone">
          <legend className="font-semibold">{phrase(isOne ? 'player.chooseOne' : 'player.choose')}</legend>
          <ul>{picks.map((shown) => row(shown, []))}</ul>
        </fieldset>
      )}
      {(waiting.length > 0 || picks.length === 0) && (
        <section className="list-zone list-tray" aria-labelledby="list-tray">
          <h3 id="list-tray">{phrase('player.notPlacedHeading')}</h3>
          {waiting.length === 0 ? (
            <p className="text-mute">{phrase('player.allPlaced')}</p>
          ) : (
            <ul>{waiting.map((shown) => row(shown, []))}</ul>
          )}
        </section>
      )}
      <div className="list-columns">
        {question.zones.map((zone, i) => {
          const held = board.zones[i] ?? [];
          return isForPicks(zone) ? null : (
            <section
              key={zone.id}
              className="list-zone"
              data-state={state.states.zones[i]}
              data-lacks={shortfallOf(state, i) === 'lacks' || undefined}
              aria-labelledby={`zone-${zone.id}`}
            >
              <h3 id={`zone-${zone.id}`} dir="auto">
                <span lang={zone.lang ?? written ?? undefined}>{zoneName(state, i)}</span>
                <Total board={board} question={question} zone={i} />
                <Short store={store} zone={i} />
              </h3>
              {zone.lid && (
                <button
                  type="button"
                  className="btn btn-quiet btn-sm"
                  aria-expanded={!shut.has(i)}
                  onClick={() => state.turnLid(i)}
                >
                  {phrase(shut.has(i) ? 'player.openLid' : 'player.shutLid')}{' '}
                  {zone.lid.label || phrase('player.theLid')}
                </button>
              )}
              {zone.typed ? (
                <TypedPart store={store} index={i} locked={locked} />
              ) : zone.menu ? (
                <MenuPart store={store} index={i} locked={locked} onPut={put} />
              ) : shut.has(i) ? (
                <p className="text-mute">
                  {phrase('player.isShut')}
                  {question.show.count && held.length > 0 ? `, ${phrase('player.inside', { n: held.length })}` : ''}
                </p>
              ) : held.length === 0 ? (
                <p className="text-mute">{phrase('player.nothingYet')}</p>
              ) : (
                <ol>
                  {held.flatMap((copy) => (byCopy.has(copy) ? [row(byCopy.get(copy) as Shown, inOrder(i, copy))] : []))}
                </ol>
              )}
            </section>
          );
        })}
      </div>
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
  const { model, board, view } = store.getState();
  if (isOneOf(model, board, shown.copy, view.question))
    return (
      <label className="list-radio">
        <input
          type="radio"
          className="radio"
          id={`move-${shown.copy}`}
          name={`pick-${view.question.title}`}
          aria-label={phrase('player.pickItem', { item: name })}
          checked={shown.zone !== null}
          disabled={locked}
          onChange={() => onPut(shown.copy, nextPick(store.getState(), shown.copy, null))}
        />
      </label>
    );
  return (
    <button
      type="button"
      id={`move-${shown.copy}`}
      className="btn btn-edge btn-sm"
      aria-pressed={shown.zone !== null}
      aria-label={phrase('player.pickItem', { item: name })}
      disabled={locked}
      onClick={() => onPut(shown.copy, nextPick(store.getState(), shown.copy, shown.zone))}
    >
      {phrase(shown.zone === null ? 'player.pick' : 'player.pickedHere')}
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
  const written = useContext(Written);
  const state = store();
  const verdict = state.showsModel ? 'none' : (state.verdicts.get(shown.copy) ?? 'none');
  const waits = state.waiting.has(shown.copy) && !state.showsModel;
  const said = state.showsModel
    ? undefined
    : state.told?.says.find(({ of: namedCopy }) => namedCopy && copyNamed(state.model, namedCopy) === shown.copy);
  const { text = null, picture = null, sound = null } = item.content ?? {};
  const spot = namedPlace(state, shown.item, shown.at);
  return (
    <li className="list-entry" data-verdict={verdict}>
      <span className="grow" dir="auto">
        {picture && (
          <span className="list-picture">
            <Picture id={picture} width={96} />
          </span>
        )}
        <span className="font-semibold" lang={item.lang ?? written ?? undefined}>
          {text ? <RichText rich={text} /> : item.label || (picture ? '' : name)}
        </span>
        {shown.heap === null && <span className="text-mute"> {phrase('player.endless')}</span>}
        {shown.heap !== null && shown.heap > 1 && (
          <span className="text-mute figures"> {phrase('player.left', { n: shown.heap })}</span>
        )}
        {verdict !== 'none' && <span className={`list-verdict list-${verdict}`}>{verdictInWords(verdict)}</span>}
        {shown.zone === null && !shown.home && (
          <span className="text-mute">
            {' '}
            {spot ? phrase('player.saidAt', { place: spot }) : waits ? '' : phrase('player.outside')}
          </span>
        )}
        {waits && <span className="text-mute"> {phrase('player.waiting')}</span>}
        <Heard id={sound} otherwise={phrase('player.soundOf', { item: name })} />
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
  return total === null ? null : (
    <span className="figures font-normal"> {phrase('player.total', { total: shownNumber(total) })}</span>
  );
}

/** That a zone is not all right, and how. */
function Short({ store, zone }: { store: PlayerStore; zone: number }) {
  const shortfall = store((s) => (s.showsModel ? null : shortfallOf(s, zone)));
  return shortfall && <span className={`list-verdict list-${shortfall}`}>{shortfallInWords(shortfall)}</span>;
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
