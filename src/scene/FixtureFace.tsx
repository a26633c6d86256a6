import type { CSSProperties } from 'react';
import { type Fixture, outlineOf } from '../core';
import { cssColour } from './dress';
import { Picture, useMediaSource } from './media';
import { RichText } from './RichText';

/**
 * What a fixture shows inside its box. `live`: sound and film can be played (not at the Bench, where a press selects).
 */
export function FixtureFace({ fixture, scale, live }: { fixture: Fixture; scale: number; live: boolean }) {
  switch (fixture.type) {
    case 'text':
      return (
        <div className="fixture-text" style={{ '--scale': scale } as CSSProperties}>
          <RichText rich={fixture.text} />
        </div>
      );
    case 'picture':
      return <Picture id={fixture.media} width={fixture.w * scale} />;
    case 'shape':
      return <ShapeFace fixture={fixture} />;
    default:
      return <PlayedFace fixture={fixture} live={live} />;
  }
}

function ShapeFace({
  fixture: { shape, w, h, fill, edge, edgeWidth },
}: {
  fixture: Extract<Fixture, { type: 'shape' }>;
}) {
  const outline = outlineOf(shape, 0);
  if (!outline) return null;
  const drawn = {
    fill: fill ? cssColour(fill) : 'none',
    stroke: edge ? cssColour(edge) : 'none',
    strokeWidth: edgeWidth,
    vectorEffect: 'non-scaling-stroke' as const,
  };
  const box = outline.box;
  return (
    <svg
      className="scene-fill"
      viewBox={`${box.x} ${box.y} ${box.w || w} ${box.h || h}`}
      preserveAspectRatio="none"
      aria-hidden
    >
      {outline.type === 'ellipse' ? (
        <ellipse cx={outline.centre.x} cy={outline.centre.y} rx={outline.rx} ry={outline.ry} {...drawn} />
      ) : (
        <polygon points={outline.corners.map(([x, y]) => `${x},${y}`).join(' ')} {...drawn} />
      )}
    </svg>
  );
}

function PlayedFace({ fixture, live }: { fixture: Extract<Fixture, { type: 'sound' | 'film' }>; live: boolean }) {
  const shown = useMediaSource()(fixture.media);
  const film = fixture.type === 'film';
  if (!live || !shown)
    return (
      <span className="fixture-medium">
        <span aria-hidden>{film ? '▶' : '♪'}</span> {fixture.label || fixture.type}
      </span>
    );
  const Played = film ? 'video' : 'audio';
  return (
    <Played
      className="scene-fill"
      controls
      preload={film ? 'metadata' : 'none'}
      src={shown.url}
      aria-label={shown.description || fixture.label || (film ? 'Film' : 'Sound')}
    >
      {shown.captions && <track kind="captions" src={shown.captions} default />}
    </Played>
  );
}
