import { DndContext } from '@dnd-kit/core';
import { useCallback, useMemo, useRef } from 'react';
import { type Copy, itemOf, type Point, trayBox } from '../../core';
import { FixtureFace, type ItemState, px, pxTurned, Stage, ZoneBed, type ZoneState } from '../../scene';
import { type Shown, shownCopies } from './board';
import { MovableItem } from './MovableItem';
import { nameOf, type PlayerState, type PlayerStore } from './store';
import type { LocalMove } from './types';
import { useGesture } from './useGesture';
import { useStageScale } from './useStageScale';
import { outcomeInWords, VERDICTS } from './words';

const SILENT = { onDragStart: () => undefined, onDragOver: () => undefined, onDragEnd: () => undefined, onDragCancel: () => undefined };
const HOW = { draggable: 'To move this, press Space, choose a place with the arrow keys, and press Space again. Escape leaves it where it was.' };

/** The scene as the learner handles it. */
export function SceneFrame({ store, say }: { store: PlayerStore; say: (words: string) => void }) {
  const { model, board, verdicts, ended, held, checking, view } = store();
  const { question } = view;
  const frame = useRef<HTMLDivElement>(null);
  const stage = useRef<HTMLDivElement>(null);
  const scale = useStageScale(frame, question);
  const homes = useMemo<readonly Point[]>(() => question.items.map((item) => item.home), [question]);
  const shown = useMemo(() => shownCopies(model, board, homes), [model, board, homes]);
  const label = (item: number) => question.items[item]?.label || `item ${item + 1}`;
  const zoneLabel = (zone: number) => question.zones[zone]?.label || `zone ${zone + 1}`;

  const make = (copy: Copy, move: LocalMove) => {
    const outcome = store.getState().move(move);
    if (!outcome) return;
    const words = outcomeInWords({ model, label, zoneLabel }, itemOf(copy), outcome);
    say(words);
    if (outcome.to === 'turnedAway') store.setState({ notice: words });
  };
  const put = (copy: Copy, zone: number | null) => make(copy, { kind: 'put', ...nameOf(model, copy), zone: zone === null ? null : (model.zones[zone]?.id ?? null) });

  const gesture = useGesture({
    model,
    board,
    stage,
    scale,
    shown,
    homes,
    onMove: make,
    onStart: (copy) => {
      store.getState().hold(null);
      say(`${label(itemOf(copy))} is in hand. Choose a place with the arrow keys.`);
    },
    onTarget: (copy, zone) => say(zone === null ? `Back where ${label(itemOf(copy))} came from` : `Over ${zoneLabel(zone)}`),
  });
  const { inHand } = gesture;

  const latest = useRef({ shown, put });
  latest.current = { shown, put };
  const press = useCallback(
    (copy: Copy) => {
      const { held: now, ended: over, hold } = store.getState();
      const zone = latest.current.shown.find((s) => s.copy === copy)?.zone ?? null;
      if (over) return;
      // Something is held and a tag that lies in a zone was pressed: the zone is meant.
      if (now !== null && now !== copy && zone !== null) return latest.current.put(now, zone);
      hold(now === copy ? null : copy);
    },
    [store],
  );

  const moving = inHand?.copy ?? held;
  const lookOf = (look: string | null) => (look === null ? undefined : question.looks[look]);
  const fixtures = (front: boolean) =>
    question.fixtures
      .filter((fixture) => fixture.front === front)
      .map((fixture) => (
        <div key={fixture.id} className={`fixture ${fixture.type === 'sound' || fixture.type === 'film' ? '' : 'pointer-events-none'}`} style={pxTurned(fixture, scale)}>
          <FixtureFace fixture={fixture} scale={scale} live />
        </div>
      ));
  return (
    <DndContext
      // Its own would count up on the server from one learner to the next.
      id="scene"
      sensors={gesture.sensors}
      onDragStart={gesture.onDragStart}
      onDragMove={gesture.onDragMove}
      onDragEnd={gesture.onDragEnd}
      onDragCancel={gesture.onDragCancel}
      accessibility={{ announcements: SILENT, screenReaderInstructions: HOW }}
    >
      {/* biome-ignore lint/a11y/noStaticElementInteractions: Escape lets go of what is held, wherever the focus is in the scene */}
      <div ref={frame} className="overflow-auto max-w-full" onKeyDown={(event) => event.key === 'Escape' && store.getState().hold(null)}>
        <Stage ref={stage} scene={question.scene} tray={question.tray} scale={scale}>
          {fixtures(false)}
          {question.zones.map((zone, i) => (
            <ZoneBed key={zone.id} zone={zone} scale={scale} look={lookOf(zone.look)} state={zoneState(i, moving, inHand?.over ?? null, store.getState())}>
              {held !== null && fits(store.getState(), held, i) && (
                <button type="button" className="put-here" onClick={() => put(held, i)} aria-label={`Put ${label(itemOf(held))} into ${zoneLabel(i)}`} />
              )}
            </ZoneBed>
          ))}
          {fixtures(true)}
          {held !== null && question.tray && (
            <div style={{ position: 'absolute', ...px(trayBox(question.tray, question.scene), scale) }}>
              <button type="button" className="put-here" onClick={() => put(held, null)} aria-label={`Put ${label(itemOf(held))} back`} />
            </div>
          )}
          {shown.map((one) => {
            const item = question.items[one.item] as (typeof question.items)[number];
            const verdict = verdicts.get(one.copy) ?? 'none';
            return (
              <MovableItem
                key={one.copy}
                shown={one}
                label={item.label}
                content={item.content}
                look={lookOf(item.look)}
                spoken={`${label(one.item)}, ${where(one, zoneLabel)}${VERDICTS[verdict]}`}
                size={item.size}
                rotation={item.rotation}
                scale={scale}
                state={itemState(one, verdict, inHand, held)}
                locked={ended || checking || (!item.again && one.zone !== null)}
                held={held === one.copy}
                onPress={press}
              />
            );
          })}
        </Stage>
      </div>
    </DndContext>
  );
}

const where = (one: Shown, zoneLabel: (zone: number) => string) => (one.zone === null ? 'not placed' : `in ${zoneLabel(one.zone)}`);

function fits({ model }: PlayerState, copy: Copy, zone: number): boolean {
  const family = model.zones[zone]?.family ?? null;
  return family === null || family === model.items[itemOf(copy)]?.family;
}

function zoneState(zone: number, moving: Copy | null, over: number | null, state: PlayerState): ZoneState {
  if (moving !== null && over === zone) return 'underItem';
  return moving !== null && fits(state, moving, zone) ? 'calling' : 'rest';
}

function itemState(one: Shown, verdict: 'right' | 'wrong' | 'none', inHand: { copy: Copy; over: number | null } | null, held: Copy | null): ItemState {
  if (inHand?.copy === one.copy) return inHand.over === null ? 'inHand' : 'overZone';
  if (held === one.copy) return 'inHand';
  if (verdict !== 'none') return verdict;
  return one.zone === null ? 'rest' : 'settled';
}
