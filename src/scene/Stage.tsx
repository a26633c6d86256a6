import type { CSSProperties, ReactNode, Ref } from 'react';
import { type Tray, trayBox } from '../core';
import { px } from './px';
import './scene.css';

interface Props {
  scene: { readonly width: number; readonly height: number };
  tray: Tray | null;
  scale: number;
  ref?: Ref<HTMLDivElement>;
  children: ReactNode;
}

/** The rectangle that holds everything, at a scale, with its tray. Children are placed in stage pixels. */
export function Stage({ scene, tray, scale, ref, children }: Props) {
  const band = tray && trayBox(tray, scene);
  return (
    <div ref={ref} className="stage" style={{ width: scene.width * scale, height: scene.height * scale, '--scale': scale } as CSSProperties}>
      {band && <div className="stage-tray" data-side={tray.side} style={px(band, scale)} />}
      {children}
    </div>
  );
}
