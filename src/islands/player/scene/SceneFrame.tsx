import { DndContext, DragOverlay } from '@dnd-kit/core';
import { type CSSProperties, type MouseEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import {
  type Box,
  type Copy,
  copyOf,
  itemOf,
  type LearnerQuestion,
  onScene,
  type Point,
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
import { slotsOf } from '../plain';
import { spokenOf, totalIn, underLids, useDisplayed } from '../shown';
import { isOnlyChosen, nextPick, placesFor } from '../states';
import { nameOf, type PlayerStore } from '../store';
import { useFixtures } from '../useFixtures';
import { useMoving } from '../useMoving';
import { itemName, pickedUpInWords, zoneName } from '../words';
import { Bubble } from './Bubble';
import type { Shown } from './board';
import { type Carried, carriedWith, InHand } from './InHand';
import { MovableItem } from './MovableItem';
import { Slot } from './Slot';
import { useGesture } from './useGesture';
import { useStageScale } from './useStageScale';
import { ZonePart } from './ZonePart';
import './player.css';

const SILENT = {
  onDragStart: () => undefined,
  onDragOver: () => undefined,
  onDragEnd: () => undefined,
  onDragCancel: () => undefined,
};
const HOW = {
  draggable:
    'To move this, press Space, choose a place with the arrow keys, and press Space again. Page up and page down choose its place among others there. Escape leaves it where it was.',
};
/** The scene as the learner handles it. */
export function SceneFrame({
  store,
  say,
  onNarrow,
}: {
  store: PlayerStore;
  say: (words: string) => void;
  onNarrow: (narrow: boolean) => void;
}) {
  const question = store((s) => s.view.question);
  const model = store((s) => s.model);
  const held = store((s) => s.held);
  const shut = store((s) => s.shut);
  // The feedback and the verdicts change with these.
  const told = store((s) => s.told);
  const { board, shown, locked } = useDisplayed(store);
  const { fixtures: standingFixtures, begins, words } = useFixtures(store, board);
  const frame = useRef<HTMLDivElement>(null);
  const stage = useRef<HTMLDivElement>(null);
  const { scale: fitting, docked, crop } = useStageScale(frame, question);
  // If every zone is a slot, a narrow page lays out everything at full size.
  const flows = docked && question.zones.length > 0 && question.zones.every(({ shape }) => shape.type === 'slot');
  const scale = flows ? 1 : fitting;
  const [hand, setHand] = useState<readonly Carried[]>([]);
  const { make, put } = useMoving(store, say);
  useEffect(() => onNarrow(docked && !flows), [docked, flows, onNarrow]);

  const gesture = useGesture({
    store,
    stage,
    scale,
    onMove: (copy, move) => {
      const carried = carriedWith(model, store.getState().board, copy).map((carried) => carried.copy);
      // Between dock and scene there is no path to animate.
      if (make(copy, move) && move.kind === 'drop' && !docked) store.getState().comeToRest(carried, move);
    },
    onStart: (copy, byKey) => {
      setHand(carriedWith(model, board, copy));
      if (byKey) say(pickedUpInWords(store.getState(), copy, placesFor(store.getState(), copy)));
    },
    onEnd: () => setHand([]),
    onSpot: say,
    onTarget: (copy, zone, at) => {
      const name = itemName(store.getState(), itemOf(copy));
      say(
        zone === null
          ? `Back where ${name} came from`
          : `Over ${zoneName(store.getState(), zone)}${at === null ? '' : `, place ${at + 1}`}`,
      );
    },
  });

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
      if (state.held !== null && state.held !== copy && zone !== null) return latest.current.put(state.held, zone);
      if (isSettledForGood(state.view.question, copy, zone)) return;
      if (state.view.question.items[itemOf(copy)]?.stays) return latest.current.put(copy, nextPick(state, copy, zone));
      state.hold(state.held === copy ? null : copy);
      if (state.held !== copy) say(pickedUpInWords(store.getState(), copy, placesFor(store.getState(), copy)));
    },
    [store, say],
  );
  const putHeld = useCallback(
    (zone: number | null) => {
      const copy = store.getState().held;
      if (copy !== null) latest.current.put(copy, zone);
    },
    [store],
  );

  /** Items that may lie loose are put down wherever the scene is pressed. */
  const pressScene = (event: MouseEvent) => {
    const item = held === null ? undefined : question.items[itemOf(held)];
    const box = stage.current?.getBoundingClientRect();
    if (held === null || !item || item.goesHome || !box || (event.target as Element).closest('button, .movable'))
      return;
    const at = toScene({ x: event.clientX - box.left, y: event.clientY - box.top }, scale);
    make(held, {
      kind: 'drop',
      ...nameOf(model, held),
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
    docked && home && band !== null && isWithin(at, question.items[item]?.size, band);
  const hidden = useMemo(() => underLids(model, board, shut), [model, board, shut]);
  const away = new Set(hand.slice(1).map(({ copy }) => copy));
  const boxOf = (copy: Copy): Box | null => {
    const one = shown.find((s) => s.copy === copy);
    const size = one && question.items[one.item]?.size;
    return one && size
      ? { x: (one.at.x - crop.x) * scale, y: (one.at.y - crop.y) * scale, w: size.w * scale, h: size.h * scale }
      : null;
  };

  const drawn = (shown: Shown, where: 'stage' | 'dock' | 'slot') => {
    const inDock = where === 'dock';
    const onStage = where === 'stage';
    const item = question.items[shown.item] as LearnerQuestion['items'][number];
    if (shown.beneath)
      return (
        <div
          key={shown.copy}
          className={`tag beneath ${inDock ? 'beneath-docked' : ''}`}
          style={{
            ...(inDock ? {} : px({ ...shown.at, ...item.size }, scale)),
            width: item.size.w * scale,
            height: item.size.h * scale,
          }}
          aria-hidden
        >
          <ItemFace label={item.label} content={item.content} state="rest" width={item.size.w * scale} />
        </div>
      );
    return (
      <MovableItem
        key={shown.copy}
        store={store}
        copy={shown.copy}
        item={item}
        look={item.look === null ? undefined : question.looks[item.look]}
        left={onStage ? shown.at.x * scale : null}
        top={onStage ? shown.at.y * scale : null}
        scale={scale}
        heap={shown.heap}
        spoken={spokenOf(store.getState(), shown)}
        locked={locked || isSettledForGood(question, shown.copy, shown.zone)}
        away={away.has(shown.copy)}
        inHand={hand[0]?.copy === shown.copy}
        inSlot={where === 'slot'}
        picked={item.stays ? shown.zone !== null : null}
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
  const fixtures = (front: boolean) =>
    standingFixtures
      .filter(({ fixture }) => fixture.front === front)
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
      aria-label={`Put ${itemName(store.getState(), itemOf(held))} back`}
    />
  );
  const out = shown.filter(
    (shown) =>
      !hidden.has(shown.copy) &&
      !isOnlyChosen(model, question, shown.item) &&
      !(shown.zone !== null && slots.has(shown.zone)),
  );
  const isDocked = (shown: Shown) => (flows ? shown.zone === null : isInDock(shown));
  const onStage = out.filter((shown) => (flows ? false : !isDocked(shown)));
  const stageParts = (
    <>
      {fixtures(false)}
      {question.zones.map((zone, i) => (zone.ridesOn === null && zone.shape.type !== 'slot' ? zonePart(i) : null))}
      {fixtures(true)}
      {putBack && band && !docked && <div style={{ position: 'absolute', ...px(band, scale) }}>{putBack}</div>}
      {onStage.map((shown) => [
        drawn(shown, 'stage'),
        ...(shown.beneath || hand.some(({ copy }) => copy === shown.copy)
          ? []
          : (model.items[shown.item]?.carries ?? []).map(zonePart)),
      ])}
      <Bubble store={store} boxOf={boxOf} width={crop.w * scale} height={crop.h * scale} />
    </>
  );
  return (
    <Slots value={atSlot}>
      <DndContext
        // The default id would count up on the server from one learner to the next.
        id="scene"
        sensors={gesture.sensors}
        modifiers={gesture.modifiers}
        onDragStart={gesture.onDragStart}
        onDragMove={gesture.onDragMove}
        onDragEnd={gesture.onDragEnd}
        onDragCancel={gesture.onDragCancel}
        accessibility={{ announcements: SILENT, screenReaderInstructions: HOW }}
      >
        {/* biome-ignore lint/a11y/noStaticElementInteractions: Escape lets go of what is held, wherever the focus is in the scene */}
        <div
          className="playing"
          style={lettersCss(question.dress?.letters, media)}
          data-told={told !== null || undefined}
          data-families={model.zones.some(({ isSlot, family }) => isSlot && family !== null) || undefined}
          onKeyDown={(event) => event.key === 'Escape' && store.getState().hold(null)}
        >
          {/* biome-ignore lint/a11y/useKeyWithClickEvents: with the keys, places are chosen by name */}
          {/* biome-ignore lint/a11y/noStaticElementInteractions: the same */}
          <div ref={frame} className="overflow-auto max-w-full" onClick={pressScene}>
            {flows ? (
              <div ref={stage} className="flowing" style={{ '--scale': scale } as CSSProperties}>
                {standingFixtures.map(({ fixture, content, answers }) => (
                  <div
                    key={fixture.id}
                    className="flowing-part"
                    style={
                      fixture.type === 'text' ? {} : { aspectRatio: `${fixture.w} / ${fixture.h}`, maxWidth: fixture.w }
                    }
                  >
                    <FixtureFace fixture={fixture} instead={content} scale={1} live begins={begins && answers} />
                  </div>
                ))}
              </div>
            ) : (
              <Stage
                ref={stage}
                question={question}
                tray={docked ? null : question.tray}
                scale={scale}
                crop={docked ? crop : null}
              >
                {stageParts}
              </Stage>
            )}
          </div>
          <p role="status" className="sr-only">
            {words}
          </p>
          {docked && (band || flows) && out.some(isDocked) && (
            <section className="docked-tray" aria-label="Items to place" style={{ '--scale': scale } as CSSProperties}>
              {putBack}
              {out.filter(isDocked).map((shown) => drawn(shown, 'dock'))}
            </section>
          )}
        </div>
        <DragOverlay dropAnimation={null} zIndex={40} className="over-all">
          {hand.length > 0 ? <InHand store={store} carried={hand} scale={scale} /> : null}
        </DragOverlay>
      </DndContext>
    </Slots>
  );
}

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
