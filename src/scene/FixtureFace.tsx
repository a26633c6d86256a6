import { type CSSProperties, useState } from 'react';
import { type Fixture, outlineOf, type Said } from '../core';
import { phrase } from '../words';
import { cssColour } from './dress';
import { lettersCss } from './letters';
import { Picture, useMediaSource } from './media';
import { RichText } from './RichText';

interface Props {
  fixture: Fixture;
  scale: number;
  /** Sound and film can be played (not at the Bench, where a press selects). */
  live: boolean;
  /** What it shows instead of itself. */
  instead?: Said | null;
  /** A sound or film begins by itself: it has just come. */
  begins?: boolean;
}

/** What a fixture shows inside its box. */
export function FixtureFace({ fixture, scale, live, instead = null, begins = false }: Props) {
  const media = useMediaSource();
  if (instead)
    return (
      <div className="fixture-instead" style={{ '--scale': scale } as CSSProperties}>
        {instead.picture && <Picture id={instead.picture} width={fixture.w * scale} />}
        {instead.text && <RichText rich={instead.text} />}
      </div>
    );
  switch (fixture.type) {
    case 'text':
      return (
        <div
          className="fixture-text"
          style={{ '--scale': scale, ...lettersCss(fixture.letters, media) } as CSSProperties}
        >
          <RichText rich={fixture.text} />
        </div>
      );
    case 'picture':
      return <Picture id={fixture.media} width={fixture.w * scale} />;
    case 'shape':
      return <ShapeFace fixture={fixture} />;
    default:
      return <PlayedFace fixture={fixture} live={live} begins={begins} />;
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

function PlayedFace({
  fixture,
  live,
  begins,
}: {
  fixture: Extract<Fixture, { type: 'sound' | 'film' }>;
  live: boolean;
  begins: boolean;
}) {
  // Whether it begins is decided when it comes: a later render does not begin it again.
  const [autoPlay] = useState(begins);
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
      autoPlay={autoPlay}
      preload={film ? 'metadata' : 'none'}
      src={shown.url}
      aria-label={shown.description || fixture.label || phrase(film ? 'shared.film' : 'shared.sound')}
    >
      {shown.captions && <track kind="captions" src={shown.captions} default />}
    </Played>
  );
}
