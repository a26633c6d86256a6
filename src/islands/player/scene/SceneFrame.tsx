import { type CSSProperties, type KeyboardEvent, type MouseEvent, useCallback, useMemo, useRef } from 'react';
import { createPortal, flushSync } from 'react-dom';
import {
  type Box,
  type Copy,
  copyOf,
  itemOf,
  type LearnerQuestion,
  onScene,
  type Point,
  placeInOrder,
  type SceneModel,
  type Shape,
  standsAt,
  toScene,
  trayBox,
} from '../../../core';
import { FixtureFace } from '../../../scene/FixtureFace';
import { ItemFace } from '../../../scene/ItemFace';
import { lettersCss, useLetters } from '../../../scene/letters';
import { useMediaSource } from '../../../scene/media';
import { px, pxTurned } from '../../../scene/px';
import { Stage } from '../../../scene/Stage';
import { Slots } from '../../../scene/slots';
import { phrase } from '../../../words';
import { slotsOf } from '../plain';
import { spokenOf, totalIn, underLids, useDisplayed, useShown } from '../shown';
import { isOneOf, isOnlyChosen, nextPick, placesFor } from '../states';
import { nameOf, type PlayerStore } from '../store';
import { useFixtures } from '../useFixtures';
import { useMoving } from '../useMoving';
import { itemName, pickedUpInWords, zoneName } from '../words';
import { Bubble } from './Bubble';
import type { Shown } from './board';
import { carriedWith, InHand } from './InHand';
import { HOW_TO_MOVE, MovableItem } from './MovableItem';
import { Slot } from './Slot';
import { elementIn, useHands } from './useHands';
import { type FillScene, usePageScene } from './usePageScene';
import { ZonePart } from './ZonePart';
import { Zoom } from './Zoom';
import './player.css';

/** How much larger words are in large print: on the page, its style says so. */
const LARGE_PRINT = 1.25;

/**
 * The scene as the learner handles it. `tray`: where on the page the tray docks, when the scene is not whole. `fill`: it
 * fills its room, for a whole class.
 */
export function SceneFrame({
  store,
  say,
  tray,
  fill = null,
}: {
  store: PlayerStore;
  say: (words: string) => void;
  tray: HTMLElement | null;
  fill?: FillScene | null;
}) {
  const asked = store((s) => s.view.question);
  const ownModel = store((s) => s.model);
  const held = store((s) => s.held);
  const shut = store((s) => s.shut);
  // The feedback and the verdicts change with these.
  const told = store((s) => s.told);
  // It is shown as it happens, not again when the page is opened.
  const toldAtFirst = useRef(told);
  const allRight = told !== toldAtFirst.current && told?.try?.fullMarks === true;
  const { board, locked } = useDisplayed(store);
  const { fixtures: standingFixtures, begins, words } = useFixtures(store, board);
  const frame = useRef<HTMLDivElement>(null);
  const stage = useRef<HTMLDivElement>(null);
  const larger = store((s) => (s.view.appearance === 'largePrint' ? LARGE_PRINT : 1));
  const { page, zoomTo } = usePageScene(frame, asked, ownModel, board, larger, fill);
  const { question, model, scale, crop, anew } = page;
  const docked = page.way !== 'whole';
  const flows = page.way === 'flows';
  const shown = useShown(store, board, model);
  const { make, put } = useMoving(store, say);
  const { gestures, hands } = useHands({
    store,
    stage,
    frame,
    page,
    onMove: (copy, move) => {
      const carried = carriedBy(copy);
      // Between tray and scene there is no path to animate.
      if (make(copy, move) && move.kind === 'drop' && !docked) store.getState().comeToRest(carried, move);
    },
    onStart: (copy, byKey) => {
      if (byKey) say(pickedUpInWords(store.getState(), copy, placesFor(store.getState(), copy), 'keys'));
    },
    onSpot: say,
    onTarget: (copy, zone, at) => {
      const name = itemName(store.getState(), itemOf(copy));
      say(
        zone === null
          ? phrase('player.overHome', { item: name })
          : at === null
            ? phrase('player.overZone', { zone: zoneName(store.getState(), zone) })
            : phrase('player.overPlace', { zone: zoneName(store.getState(), zone), n: at + 1 }),
      );
    },
  });
  const carriedBy = (copy: Copy) => carriedWith(ownModel, store.getState().board, copy).map((carried) => carried.copy);

  const media = useMediaSource();
  useLetters(question, media);

  const latest = useRef({ shown, put });
  latest.current = { shown, put };
  const press = useCallback(
    (copy: Copy) => {
      const state = store.getState();
      const zone = latest.current.shown.find((s) => s.copy === copy)?.zone ?? null;
      state.point(copy);
      if (state.ended || state.checking || state.showsModel) return;
      // While something is held, a press on a tag in a zone means the zone.
      if (state.held !== null && state.held !== copy && zone !== null)
        return latest.current.put(state.held, zone, placeInOrder(state.model, state.board, copy)?.at);
      if (isSettledForGood(state.view.question, copy, zone)) return;
      if (state.view.question.items[itemOf(copy)]?.stays) {
        // One of several is exchanged for another, not taken back.
        if (zone !== null && isOneOf(state.model, state.board, copy, state.view.question)) return;
        return latest.current.put(copy, nextPick(state, copy, zone));
      }
      state.hold(state.held === copy ? null : copy);
      if (state.held !== copy) say(pickedUpInWords(store.getState(), copy, placesFor(store.getState(), copy), 'press'));
    },
    [store, say],
  );
  const putHeld = useCallback(
    (zone: number | null) => {
      const copy = store.getState().held;
      if (copy === null) return;
      const byButton = document.activeElement?.classList.contains('put-here') === true;
      // The button goes with what was in hand.
      flushSync(() => latest.current.put(copy, zone));
      if (byButton) focusCopy(frame.current, copy);
    },
    [store],
  );

  /** Items that may lie loose are put down wherever the scene is pressed. */
  const pressScene = (event: MouseEvent) => {
    const item = held === null ? undefined : asked.items[itemOf(held)];
    const box = stage.current?.getBoundingClientRect();
    if (
      held === null ||
      !item ||
      item.goesHome ||
      !box ||
      anew ||
      (event.target as Element).closest('button, .movable')
    )
      return;
    const at = toScene({ x: event.clientX - box.left, y: event.clientY - box.top }, scale);
    make(held, {
      kind: 'drop',
      ...nameOf(ownModel, held),
      x: at.x - item.size.w / 2,
      y: at.y - item.size.h / 2,
      px: at.x,
      py: at.y,
    });
  };

  const slots = useMemo(
    () => new Set(slotsOf(question).flatMap((name) => model.zoneAt.get(name) ?? [])),
    [question, model],
  );
  const band = question.tray && trayBox(question.tray, question.scene);
  const isInDock = ({ home, at, item }: Shown) =>
    docked && home && band !== null && isWithin(at, asked.items[item]?.size, band);
  const hidden = useMemo(() => underLids(model, board, shut), [model, board, shut]);
  const inHand = new Set(hands.map(({ copy }) => copy));
  const away = new Set(hands.flatMap(({ carried }) => carried.slice(1).map(({ copy }) => copy)));
  /** Where a copy is drawn, in scene units: about the middle of where it lies. */
  const drawnAt = ({ at, item, zone, home }: Shown): Point => {
    // What lies where it was let go has been let go in its own size.
    const isLoose = zone === null ? !home : question.zones[zone]?.settle.rule === 'asDropped';
    const [own, drawn] = [(isLoose ? ownModel : model).items[item], question.items[item]?.size];
    return own && drawn ? { x: at.x + (own.w - drawn.w) / 2, y: at.y + (own.h - drawn.h) / 2 } : at;
  };
  const boxOf = (copy: Copy): Box | null => {
    const one = shown.find((s) => s.copy === copy);
    const size = one && question.items[one.item]?.size;
    if (!one || !size) return null;
    const at = drawnAt(one);
    return { x: (at.x - crop.x) * scale, y: (at.y - crop.y) * scale, w: size.w * scale, h: size.h * scale };
  };

  const drawn = (shown: Shown, where: 'stage' | 'dock' | 'slot') => {
    const inDock = where === 'dock';
    const at = where === 'stage' ? drawnAt(shown) : null;
    const item = question.items[shown.item] as LearnerQuestion['items'][number];
    if (shown.beneath)
      return (
        <div
          key={shown.copy}
          className={`tag beneath ${inDock ? 'beneath-docked' : ''}`}
          style={{
            ...(inDock ? {} : px({ ...drawnAt(shown), ...item.size }, scale)),
            width: item.size.w * scale,
            height: item.size.h * scale,
          }}
          aria-hidden
        >
          <ItemFace
            label={item.label}
            lang={item.lang}
            content={item.content}
            state="rest"
            width={item.size.w * scale}
          />
        </div>
      );
    return (
      <MovableItem
        key={shown.copy}
        store={store}
        copy={shown.copy}
        item={item}
        look={item.look === null ? undefined : question.looks[item.look]}
        left={at ? at.x * scale : null}
        top={at ? at.y * scale : null}
        scale={scale}
        heap={shown.heap}
        spoken={spokenOf(store.getState(), shown)}
        locked={locked || isSettledForGood(question, shown.copy, shown.zone)}
        away={away.has(shown.copy)}
        inHand={inHand.has(shown.copy)}
        inSlot={where === 'slot'}
        picked={item.stays ? shown.zone !== null : null}
        radio={radios.includes(shown.copy) ? (shown.copy === reached ? 'reached' : 'byArrows') : null}
        gestures={gestures}
        onPress={press}
      />
    );
  };
  const zonePart = (index: number) => {
    const zone = question.zones[index] as LearnerQuestion['zones'][number];
    const at = standing(model, board, zone, index);
    return (
      <ZonePart
        key={zone.id}
        store={store}
        index={index}
        zone={zone}
        shape={at.shape}
        rotation={at.rotation}
        inside={board.zones[index]?.length ?? 0}
        total={totalIn(question, board, index)}
        locked={locked}
        scale={scale}
        onPut={putHeld}
      />
    );
  };
  const atSlot = (name: string) => {
    const zone = model.zoneAt.get(name);
    if (zone === undefined) return null;
    const draw = (copy: Copy) => {
      const one = shown.find((s) => s.copy === copy);
      return one ? drawn(one, 'slot') : null;
    };
    return <Slot store={store} index={zone} locked={locked} draw={draw} onPut={put} />;
  };
  // Where the page has laid the scene out anew, fixtures have other places.
  const placed = new Map(
    standingFixtures.flatMap(({ fixture }) => {
      const drawn = anew ? question.fixtures.find(({ id }) => id === fixture.id) : fixture;
      return drawn ? [[fixture.id, drawn] as const] : [];
    }),
  );
  const fixtures = (front: boolean) =>
    standingFixtures
      .flatMap((standing) => {
        const drawn = placed.get(standing.fixture.id);
        return drawn?.front === front ? [{ ...standing, fixture: drawn }] : [];
      })
      .map(({ fixture, content, answers }) => (
        <div
          key={fixture.id}
          className={`fixture ${fixture.type === 'sound' || fixture.type === 'film' ? '' : 'pointer-events-none'}`}
          data-answers={answers || undefined}
          style={pxTurned(fixture, scale)}
        >
          <FixtureFace fixture={fixture} instead={content} scale={scale} live begins={begins && answers} />
        </div>
      ));
  const putBack = held !== null && (
    <button
      type="button"
      className="put-here"
      onClick={() => putHeld(null)}
      aria-label={phrase('player.putBack', { item: itemName(store.getState(), itemOf(held)) })}
    />
  );
  const out = shown.filter(
    (shown) =>
      !hidden.has(shown.copy) &&
      !isOnlyChosen(ownModel, asked, shown.item) &&
      !(shown.zone !== null && slots.has(shown.zone)),
  );
  const waits = ({ zone, item }: Shown) => zone === null && !question.items[item]?.stays;
  const isDocked = (shown: Shown) => (flows || anew ? waits(shown) : isInDock(shown));
  const onStage = out.filter((shown) => !flows && !isDocked(shown));
  // Of what is picked where one alone can be, the Tab key reaches the picked one, else the first; arrows go on.
  const radios = out.flatMap(({ copy, beneath }) => (!beneath && isOneOf(ownModel, board, copy, asked) ? [copy] : []));
  const reached = radios.find((copy) => board.zoneOf.has(copy)) ?? radios[0];
  const pickNext = (event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    const at = radios.indexOf(Number((event.target as HTMLElement).dataset.copy) as Copy);
    if (by === undefined || at < 0) return;
    event.preventDefault();
    const next = radios[(at + by + radios.length) % radios.length] as Copy;
    focusCopy(frame.current, next);
    if (!board.zoneOf.has(next)) press(next);
  };
  const stageParts = (
    <>
      {fixtures(false)}
      {question.zones.map((zone, i) => (zone.ridesOn === null && zone.shape.type !== 'slot' ? zonePart(i) : null))}
      {fixtures(true)}
      {putBack && band && !docked && <div style={{ position: 'absolute', ...px(band, scale) }}>{putBack}</div>}
      {onStage
        .filter(({ copy }) => !radios.includes(copy))
        .map((shown) => [
          drawn(shown, 'stage'),
          ...(shown.beneath || inHand.has(shown.copy) ? [] : (model.items[shown.item]?.carries ?? []).map(zonePart)),
        ])}
      {radios.length > 0 && (
        <div role="radiogroup" aria-label={question.title} onKeyDown={pickNext}>
          {onStage.filter(({ copy }) => radios.includes(copy)).map((shown) => drawn(shown, 'stage'))}
        </div>
      )}
      <Bubble store={store} boxOf={boxOf} width={crop.w * scale} height={crop.h * scale} />
    </>
  );
  const fixturesInLine = standingFixtures.map(({ fixture, content, answers }) => (
    <div
      key={fixture.id}
      className="flowing-part"
      style={fixture.type === 'text' ? {} : { aspectRatio: `${fixture.w} / ${fixture.h}`, maxWidth: fixture.w }}
    >
      <FixtureFace fixture={fixture} instead={content} scale={1} live begins={begins && answers} />
    </div>
  ));
  const scaled = { '--scale': scale } as CSSProperties;
  const dockedItems = docked && (band || flows || anew) && out.some(isDocked) && (
    <section
      className="docked-tray"
      data-many={out.filter(isDocked).length > MOST_WRAPPED || undefined}
      aria-label={phrase('player.itemsToPlace')}
      style={{ ...scaled, ...lettersCss(question.dress?.letters, media) }}
    >
      {putBack}
      {out.filter(isDocked).map((shown) => drawn(shown, 'dock'))}
    </section>
  );
  return (
    <Slots value={atSlot}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: Escape lets go of what is held, wherever the focus is in the scene */}
      <div
        className="playing"
        style={lettersCss(question.dress?.letters, media)}
        data-way={page.way}
        data-told={told !== null || undefined}
        data-all-right={allRight || undefined}
        data-families={model.zones.some(({ isSlot, family }) => isSlot && family !== null) || undefined}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' || held === null) return;
          store.getState().hold(null);
          say(phrase('player.staysThere', { item: itemName(store.getState(), itemOf(held)) }));
        }}
      >
        {!locked && (
          <p id={HOW_TO_MOVE} hidden>
            {phrase('player.howToMove')}
          </p>
        )}
        {page.zoom && <Zoom frame={frame} scale={scale} zoom={page.zoom} onZoom={zoomTo} />}
        {/* biome-ignore lint/a11y/useKeyWithClickEvents: with the keys, places are chosen by name */}
        {/* biome-ignore lint/a11y/noStaticElementInteractions: the same */}
        <div ref={frame} className="scene-frame" onClick={pressScene}>
          {flows ? (
            <div ref={stage} className="flowing" style={scaled}>
              {fixturesInLine}
            </div>
          ) : (
            <Stage
              ref={stage}
              question={question}
              tray={docked ? null : question.tray}
              scale={scale}
              crop={page.way === 'panned' ? crop : null}
            >
              {stageParts}
            </Stage>
          )}
        </div>
        <p role="status" className="sr-only">
          {words}
        </p>
        {dockedItems && tray && createPortal(<div className="playing">{dockedItems}</div>, tray)}
      </div>
      {hands.map(({ copy, carried }) => (
        <div key={copy} data-hand={copy} className="over-all">
          <InHand store={store} page={page} carried={carried} />
        </div>
      ))}
    </Slots>
  );
}

/** More items than these in the tray stand in two rows that are pushed aside. */
const MOST_WRAPPED = 12;

const focusCopy = (frame: HTMLElement | null, copy: Copy) => elementIn(frame, copy)?.focus({ preventScroll: true });

/** An item that may not be moved once it has settled. */
const isSettledForGood = ({ items }: LearnerQuestion, copy: Copy, zone: number | null) =>
  zone !== null && items[itemOf(copy)]?.again === false;

function isWithin(at: Point, size: { w: number; h: number } | undefined, band: Box): boolean {
  const middle = { x: at.x + (size?.w ?? 0) / 2, y: at.y + (size?.h ?? 0) / 2 };
  return middle.x >= band.x && middle.x <= band.x + band.w && middle.y >= band.y && middle.y <= band.y + band.h;
}

/** A zone's shape as it stands on the scene now; one that rides is moved and turned with its carrier. */
function standing(
  model: SceneModel,
  board: Parameters<typeof standsAt>[1],
  { shape, rotation }: LearnerQuestion['zones'][number],
  index: number,
): { shape: Shape; rotation: number } {
  const carrier = model.zones[index]?.ridesOn ?? -1;
  const item = model.items[carrier];
  if (!item) return { shape, rotation };
  const at = standsAt(model, board, copyOf(carrier, 0));
  return onScene(shape, rotation, { at, w: item.w, h: item.h, rotation: item.rotation });
}
