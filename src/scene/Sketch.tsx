import { carrierOf, type Frame, frames, onScene, type Question, type Thing, thingAt } from '../core';
import { dress } from './dress';
import { FixtureFace } from './FixtureFace';
import { ItemFace } from './ItemFace';
import { useMediaSource } from './media';
import { pxTurned } from './px';
import { Stage } from './Stage';
import { ZoneBed } from './ZoneBed';

/** A small read-only drawing of a question at its start, skipped by the keyboard. */
export function Sketch({ question, width }: { question: Question; width: number }) {
  const scale = width / question.scene.width;
  return (
    <div inert className="sketch" style={{ width: width + 4 }}>
      <Stage question={question} scale={scale}>
        {frames(question).map(({ ref, frame }) => (
          <SketchThing key={ref} question={question} thing={thingAt(question, ref)} frame={frame} scale={scale} />
        ))}
      </Stage>
    </div>
  );
}

function SketchThing({
  question,
  thing,
  frame,
  scale,
}: {
  question: Question;
  thing: Thing | undefined;
  frame: Frame;
  scale: number;
}) {
  const media = useMediaSource();
  const lookOf = (look: string | null) => (look === null ? undefined : question.looks[look]);
  const place = pxTurned(frame, scale);
  switch (thing?.kind) {
    case 'fixture':
      return (
        <div className="fixture" style={place}>
          <FixtureFace fixture={thing.is} scale={scale} live={false} />
        </div>
      );
    case 'zone': {
      const { shape } = onScene(thing.is.shape, thing.is.rotation, carrierOf(question, thing.is));
      return (
        <ZoneBed
          zone={{ id: thing.is.id, label: thing.is.label, shape, rotation: frame.rotation }}
          scale={scale}
          look={lookOf(thing.is.look)}
        />
      );
    }
    case 'item':
      return (
        <div className="tag" style={{ ...dress(lookOf(thing.is.look), 'rest', scale, media), ...place }}>
          <ItemFace label={thing.is.label} lang={thing.is.lang} content={thing.is.content} state="rest" />
        </div>
      );
    case undefined:
      return null;
  }
}
