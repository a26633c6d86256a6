import type { CSSProperties, HTMLAttributes, ReactNode, Ref } from 'react';
import { outlineOf, type Shape } from '../core';
import { px } from './px';

export type ZoneState = 'rest' | 'calling' | 'underItem' | 'taking' | 'refusing' | 'full' | 'right' | 'wrong';

interface Props {
  zone: { readonly id: string; readonly label: string; readonly shape: Shape; readonly rotation: number };
  scale: number;
  state?: ZoneState;
  className?: string;
  /** Attributes and listeners of the page that shows it. */
  extra?: HTMLAttributes<HTMLDivElement>;
  ref?: Ref<HTMLDivElement>;
  children?: ReactNode;
}

/** A hatched bed with its title set into the upper edge. */
export function ZoneBed({ zone, scale, state = 'rest', className = '', extra, ref, children }: Props) {
  const { shape, rotation, label, id } = zone;
  const outline = outlineOf(shape, 0);
  if (!outline) return null;
  const cut: CSSProperties =
    shape.type === 'polygon' ? { clipPath: `polygon(${shape.points.map(([x, y]) => `${(x - outline.box.x) * scale}px ${(y - outline.box.y) * scale}px`).join(',')})` } : {};
  return (
    <div
      ref={ref}
      className={`bed ${className}`}
      data-zone={id}
      data-shape={shape.type}
      data-state={state}
      style={{ ...px(outline.box, scale), ...cut, ...(rotation === 0 ? {} : { transform: `rotate(${rotation}deg)` }) }}
      {...extra}
    >
      {label && <span className="bed-title">{label}</span>}
      {children}
    </div>
  );
}
