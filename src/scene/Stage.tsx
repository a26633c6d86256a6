import type { CSSProperties, ReactNode, Ref } from 'react';
import { type Box, type Tray, trayBox } from '../core';
import { px } from './px';
import './scene.css';

interface Props {
  scene: { readonly width: number; readonly height: number };
  tray: Tray | null;
  scale: number;
  /** The part that is shown; null: all of it. */
  crop?: Box | null;
  ref?: Ref<HTMLDivElement>;
  children: ReactNode;
}

/** The rectangle that holds everything, at a scale, with its tray. Children are placed in stage pixels. */
export function Stage({ scene, tray, scale, crop = null, ref, children }: Props) {
  const band = tray && trayBox(tray, scene);
  const stage = (
    <div
      ref={ref}
      className="stage"
      style={
        {
          width: scene.width * scale,
          height: scene.height * scale,
          '--scale': scale,
          ...(crop ? { left: -crop.x * scale, top: -crop.y * scale } : {}),
        } as CSSProperties
      }
    >
      {band && <div className="stage-tray" data-side={tray.side} style={px(band, scale)} />}
      {children}
    </div>
  );
  if (!crop) return stage;
  return (
    <div className="stage-crop" style={{ width: crop.w * scale, height: crop.h * scale }}>
      {stage}
    </div>
  );
}
