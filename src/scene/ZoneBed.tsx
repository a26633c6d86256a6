import { type CSSProperties, type HTMLAttributes, type ReactNode, type Ref, useContext } from 'react';
import { type Look, outlineOf, type Rich, type Shape, styleIn, type ZoneState } from '../core';
import { cssColour, dress, motionIn } from './dress';
import { useMediaSource } from './media';
import { px } from './px';
import { RichText } from './RichText';
import { Written } from './written';

export type { ZoneState } from '../core';

interface Props {
  zone: {
    readonly id: string;
    readonly label: string;
    /** The language of its label, where it is another than the question's. */
    readonly lang?: string | null;
    readonly title?: Rich | null;
    readonly shape: Shape;
    readonly rotation: number;
  };
  scale: number;
  state?: ZoneState;
  look?: Look | undefined;
  className?: string;
  /** Attributes and listeners of the page that shows it. */
  extra?: HTMLAttributes<HTMLDivElement> & { [data: `data-${string}`]: unknown };
  ref?: Ref<HTMLDivElement>;
  children?: ReactNode;
}

/** A hatched bed with its title set into the upper edge. */
export function ZoneBed({ zone, scale, state = 'rest', look, className = '', extra, ref, children }: Props) {
  const media = useMediaSource();
  const { shape, rotation, label, title, id } = zone;
  const written = useContext(Written);
  const outline = outlineOf(shape, 0);
  if (!outline) return null;
  const dressed = dress(look, state, scale, media);
  const { backgroundColor: _, borderColor: __, ...worn } = dressed;
  return (
    <div
      ref={ref}
      className={`bed ${motionIn(look, state)} ${className}`}
      data-zone={id}
      data-shape={shape.type}
      data-state={state}
      style={
        {
          ...px(outline.box, scale),
          ...(shape.type === 'polygon' ? worn : dressed),
          ...(rotation === 0 ? {} : { transform: `rotate(${rotation}deg)` }),
        } as CSSProperties
      }
      {...extra}
    >
      {outline.type === 'polygon' && shape.type === 'polygon' && (
        <svg
          className="bed-outline"
          viewBox={`${outline.box.x} ${outline.box.y} ${outline.box.w} ${outline.box.h}`}
          preserveAspectRatio="none"
          aria-hidden
        >
          <polygon points={outline.corners.map(([x, y]) => `${x},${y}`).join(' ')} style={polygonStyle(look, state)} />
        </svg>
      )}
      {label && (
        <span className="bed-title" lang={zone.lang ?? written ?? undefined} dir="auto">
          {title ? <RichText rich={title} /> : label}
        </span>
      )}
      {children}
    </div>
  );
}

function polygonStyle(look: Look | undefined, state: string): CSSProperties {
  const { fill, edge, edgeWidth } = look ? styleIn(look, state) : {};
  return {
    ...(fill ? { fill: cssColour(fill) } : {}),
    ...(edge ? { stroke: cssColour(edge) } : {}),
    ...(edgeWidth === undefined ? {} : { strokeWidth: edgeWidth }),
  };
}
