import {
  answeringNow,
  type Board,
  type Copy,
  copyOf,
  frames,
  itemOf,
  numberOf,
  onScene,
  type Question,
  type QuestionModel,
  servesTypedOnly,
  standsAt,
  type Verdict,
} from '../core';
import { dress } from './dress';
import { FixtureFace } from './FixtureFace';
import { ItemFace, type ItemState } from './ItemFace';
import { useMediaSource } from './media';
import { pxTurned } from './px';
import { Stage } from './Stage';
import { Slots } from './slots';
import { ZoneBed } from './ZoneBed';

interface Props {
  model: QuestionModel;
  board: Board;
  scale: number;
  /** The verdicts of the copies. */
  verdicts?: ReadonlyMap<Copy, Verdict> | null;
  /** What has just been moved. */
  touched?: Copy | null;
  /** Zones that learners do not know of are left out. */
  hides?: boolean;
}

/** A read-only drawing of a question with an arrangement. */
export function BoardSketch({ model, board, scale, verdicts = null, touched = null, hides = false }: Props) {
  const { question } = model;
  const media = useMediaSource();
  const lookOf = (look: string | null) => (look === null ? undefined : question.looks[look]);
  const labels = (zone: number) =>
    (board.zones[zone] ?? []).map((copy) => question.items[itemOf(copy)]?.label ?? '').join(', ');
  const all = frames(question);
  // What rests on how an answer was judged is not drawn.
  const answering = new Set(answeringNow(model, board, null).seen);
  return (
    <div inert className="sketch" style={{ width: question.scene.width * scale + 4 }}>
      <Slots
        value={(zone) => (
          <span className="slot">
            {board.texts.get(model.zoneAt.get(zone) ?? -1) ?? labels(model.zoneAt.get(zone) ?? -1)}
          </span>
        )}
      >
        <Stage question={question} scale={scale}>
          {question.fixtures.map((fixture, i) => {
            const { when } = fixture;
            const answers = answering.has(i);
            if (when && when.does !== 'shows' && answers !== (when.does === 'appears')) return null;
            const at = all.find(({ ref }) => ref === `fixture:${fixture.id}`);
            return at ? (
              <div key={fixture.id} className="fixture" style={pxTurned(at.frame, scale)}>
                <FixtureFace fixture={fixture} instead={answers ? when?.content : null} scale={scale} live={false} />
              </div>
            ) : null;
          })}
          {question.zones.map((zone, z) => {
            if (zone.shape.type === 'slot' || (hides && (zone.hidden || model.zones[z]?.floor))) return null;
            const carrier = question.items.findIndex(({ id }) => id === zone.ridesOn);
            const item = question.items[carrier];
            const { shape, rotation } = onScene(
              zone.shape,
              zone.rotation,
              item ? { at: standsAt(model, board, copyOf(carrier, 0)), ...item.size, rotation: item.rotation } : null,
            );
            return (
              <ZoneBed
                key={zone.id}
                zone={{ id: zone.id, label: zone.label, shape, rotation }}
                scale={scale}
                look={lookOf(zone.look)}
                state={zoneState(z, touched, board)}
              />
            );
          })}
          {copiesOf(question, board).map((copy) => {
            const item = question.items[itemOf(copy)];
            const zone = board.zoneOf.get(copy);
            if (!item || (zone !== undefined && question.zones[zone]?.shape.type === 'slot')) return null;
            const { x, y } = standsAt(model, board, copy);
            const verdict = verdicts?.get(copy);
            const state: ItemState =
              verdict === 'right' || verdict === 'wrong' ? verdict : zone === undefined ? 'rest' : 'settled';
            return (
              <div
                key={copy}
                className="tag"
                data-state={state}
                data-touched={copy === touched || undefined}
                style={{
                  ...dress(lookOf(item.look), state, scale, media),
                  ...pxTurned({ x, y, ...item.size, rotation: item.rotation }, scale),
                }}
              >
                <ItemFace label={item.label} lang={item.lang} content={item.content} state={state} />
              </div>
            );
          })}
        </Stage>
      </Slots>
    </div>
  );
}

const zoneState = (zone: number, touched: Copy | null, board: Board) =>
  touched !== null && board.zoneOf.get(touched) === zone ? 'taking' : 'rest';

/**
 * Every copy that lies somewhere, and of each item with one at home the first such; in the order in which they were
 * settled. Items that stand for what is typed are nowhere.
 */
function copiesOf(question: Question, board: Board): Copy[] {
  const { items } = question;
  const typed = servesTypedOnly(question);
  const placed = new Set([...board.zoneOf.keys(), ...board.letGo.keys()]);
  const atHome = items.flatMap(({ id, copies }, i) => {
    if (typed.has(id)) return [];
    const many = copies === 'endless' ? Number.POSITIVE_INFINITY : copies;
    for (let n = 0; n < many; n++) if (!placed.has(copyOf(i, n))) return [copyOf(i, n)];
    return [];
  });
  return [
    ...atHome,
    ...[...placed].sort(
      (a, b) => (board.settledAt.get(a) ?? 0) - (board.settledAt.get(b) ?? 0) || numberOf(a) - numberOf(b),
    ),
  ];
}
