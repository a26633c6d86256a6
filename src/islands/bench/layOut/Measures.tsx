import {
  CLEAR_OF_TITLE,
  coversTitle,
  edgeDistance,
  fittingOf,
  makeItemsAsWide,
  makeZoneHold,
  type Question,
  type Ref,
  refTo,
  type Step,
  setZone,
  type Zone,
} from '../../../core';
import { modelOf } from '../key/ghosts';
import { Section } from '../parts/Section';
import { type BenchStore, framesOf } from '../store';

/** Nearer to the edge of the scene than this, in scene units, a thing is easily cut off or pressed by mistake. */
const SAFE = 12;

/**
 * Measures that authors would otherwise judge by eye: whether the needed items fit each zone, whether titles stay
 * readable, whether anything is too near the edge.
 */
export function Measures({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const chosen = question.zones.filter(({ id }) => selection.has(refTo('zone', id)));
  const zones = chosen.length > 0 ? chosen : question.zones;
  const model = modelOf(question);
  const near = nearEdge(question, selection);
  const act = (step: Step, said: string) => store.getState().do(step, said);
  const rows = zones.flatMap((zone) => {
    const index = question.zones.indexOf(zone);
    const fitting = fittingOf(model, index);
    const covered = coversTitle(model, index);
    return fitting || covered ? [{ zone, fitting, covered }] : [];
  });
  const tight = rows.filter(({ fitting }) => fitting && !fitting.fits).length;
  if (rows.length === 0 && near.length === 0) return null;
  return (
    <Section title="Measures" note={tight > 0 ? `${tight} too tight` : ''} open={tight > 0 || chosen.length > 0}>
      <ul className="divide-y divide-rule">
        {rows.map(({ zone, fitting, covered }) => (
          <li key={zone.id} className="py-1">
            <p className="flex justify-between gap-2">
              <span className="truncate">{zone.label || zone.id}</span>
              {fitting && (
                <span className={`figures whitespace-nowrap ${fitting.fits ? '' : 'text-brick font-semibold'}`}>
                  needs {fitting.needed} · room for {Number.isFinite(fitting.room) ? fitting.room : 'any'}
                </span>
              )}
            </p>
            {covered && <p className="text-sm text-mute">Items can come to lie over its title.</p>}
            <p className="flex flex-wrap gap-1">
              {fitting && !fitting.fits && (
                <button
                  type="button"
                  className="btn btn-quiet btn-xs"
                  onClick={() => act(makeZoneHold(question, model, zone.id), `${zone.label} holds them`)}
                >
                  Make it hold them
                </button>
              )}
              {fitting && chosen.length > 0 && (
                <button
                  type="button"
                  className="btn btn-quiet btn-xs"
                  onClick={() => act(makeItemsAsWide(question, model, zone.id), 'Items are as wide as the zone')}
                >
                  Make its items as wide as it is
                </button>
              )}
              {covered && 'gap' in zone.settle && (
                <button
                  type="button"
                  className="btn btn-quiet btn-xs"
                  onClick={() => act(clearTitle(question, zone), 'The title stays clear')}
                >
                  Keep the title clear
                </button>
              )}
            </p>
          </li>
        ))}
        {near.length > 0 && (
          <li className="py-1 text-sm">
            {near.length === 1 ? 'One thing is' : `${near.length} things are`} nearer than {SAFE} to the edge of the
            scene, or past it.{' '}
            <button type="button" className="link-brass cursor-pointer" onClick={() => store.getState().select(near)}>
              Select {near.length === 1 ? 'it' : 'them'}
            </button>
          </li>
        )}
      </ul>
    </Section>
  );
}

function clearTitle(question: Question, zone: Zone): Step {
  return 'gap' in zone.settle ? setZone(question, zone.id, 'settle', { ...zone.settle, gap: CLEAR_OF_TITLE }) : [];
}

/** Zones and items (fixtures often fill the scene on purpose) too near the edge: of those selected, or of all. */
function nearEdge(question: Question, selection: ReadonlySet<Ref>): Ref[] {
  const scene = { x: 0, y: 0, w: question.scene.width, h: question.scene.height };
  return [...framesOf(question)].flatMap(([ref, frame]) =>
    !ref.startsWith('fixture:') &&
    (selection.size === 0 || selection.has(ref)) &&
    edgeDistance(frame, scene) < SAFE &&
    !inTray(question, ref)
      ? [ref]
      : [],
  );
}

const inTray = (question: Question, ref: Ref) =>
  question.tray !== null && question.items.some(({ id, home }) => home === null && ref === refTo('item', id));
