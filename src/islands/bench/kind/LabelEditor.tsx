import { Pipette, Slash } from 'lucide-react';
import { toast } from 'sonner';
import { add, type Box, type Fixture, middleOf, outlineOf, type Question, refTo, type Zone } from '../../../core';
import { freshId } from '../../../core/document';
import { mediumUrl } from '../../shared/ownMedia';
import { lineFixture } from '../layOut/makings';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { PictureFirst } from './PictureFirst';
import { groundAt, type PictureFixture } from './pictures';

type ShapeFixture = Extract<Fixture, { type: 'shape' }>;

/**
 * Places on a picture: a printed word is covered with the picture's own ground, and a line leads from a zone to its
 * place.
 */
export function LabelEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const tool = store((s) => s.tool);
  const zones = question.zones.filter(({ id }) => selection.has(refTo('zone', id)));
  const picture = question.fixtures.find((fixture): fixture is PictureFixture => fixture.type === 'picture');
  const cover = async () => {
    if (!picture) return;
    const shapes: ShapeFixture[] = [];
    for (const zone of zones) {
      const box = boundsOf(zone);
      const medium = question.media[picture.media];
      const fill = box && medium ? await groundAt(mediumUrl(medium.hash), picture, box).catch(() => null) : null;
      if (box && fill)
        shapes.push(
          coverOf(store.getState().question, shapes, { ...box, fill, label: `Cover of ${zone.label || zone.id}` }),
        );
    }
    if (shapes.length === 0)
      return void toast.error('The colour could not be taken from the picture', {
        description: 'A zone has to lie on it.',
      });
    store.getState().do(add(store.getState().question, 'fixtures', shapes), 'Covered with the picture’s own ground');
  };
  const lead = () => {
    let now = store.getState().question;
    const lines: Fixture[] = [];
    for (const zone of zones) {
      const box = boundsOf(zone);
      if (!box || !picture) continue;
      const line = lineFixture(now, middleOf(box), middleOf(picture));
      lines.push(line);
      now = { ...now, fixtures: [...now.fixtures, line] };
    }
    store.getState().do(add(store.getState().question, 'fixtures', lines), 'Lines lead to the middle of the picture');
    store.getState().select(lines.map(({ id }) => refTo('fixture', id)));
  };
  return (
    <Section title="On the picture">
      <PictureFirst store={store} words="Name places" />
      <p className="text-mute mt-2">
        {!picture
          ? 'A picture is wanted first.'
          : zones.length === 0
            ? 'Select the zones that are meant.'
            : `${zones.length} selected: ${named(zones)}`}
      </p>
      <div className="flex flex-wrap gap-2 mt-2">
        <button
          type="button"
          className="btn btn-edge btn-xs"
          disabled={!picture || zones.length === 0}
          onClick={() => void cover()}
        >
          <Pipette size={13} aria-hidden /> Cover what is printed there
        </button>
        <button
          type="button"
          className="btn btn-edge btn-xs"
          disabled={!picture}
          aria-pressed={tool === 'line'}
          onClick={() => store.setState({ tool: tool === 'line' ? 'select' : 'line' })}
        >
          <Slash size={13} aria-hidden /> Draw leader lines
        </button>
        <button type="button" className="btn btn-quiet btn-xs" disabled={!picture || zones.length === 0} onClick={lead}>
          A line from each selected zone
        </button>
      </div>
      <p className="text-sm text-mute mt-1">
        {tool === 'line'
          ? 'Press on a zone, then on its place. Escape, or Select above the scene, ends it.'
          : 'A line from each zone leads to the middle of the picture; give it its end with the handles.'}
      </p>
    </Section>
  );
}

const boundsOf = ({ shape, rotation }: Zone) => outlineOf(shape, rotation)?.box ?? null;
const named = (zones: readonly Zone[]) => zones.map(({ label, id }) => label || id).join(', ');

function coverOf(
  question: Question,
  made: readonly ShapeFixture[],
  { x, y, w, h, fill, label }: Box & { fill: string; label: string },
): ShapeFixture {
  const taken = new Set<string>([...question.fixtures, ...made].map(({ id }) => id));
  return {
    type: 'shape',
    id: freshId('shape', taken) as ShapeFixture['id'],
    label,
    x,
    y,
    w,
    h,
    rotation: 0,
    front: false,
    when: null,
    shape: { type: 'rect', x: 0, y: 0, w, h },
    fill,
    edge: null,
    edgeWidth: 0,
  };
}
