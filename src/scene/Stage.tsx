import type { CSSProperties, ReactNode, Ref } from 'react';
import { type Box, type Question, type Tray, trayBox } from '../core';
import { Ground } from './Ground';
import { type Lettered, lettersCss, useLetters } from './letters';
import { useMediaSource } from './media';
import { px } from './px';
import './scene.css';

interface Props {
  question: Lettered & Pick<Question, 'scene' | 'tray'>;
  /** The tray that is drawn, where it is not the question's. */
  tray?: Tray | null;
  scale: number;
  /** The part that is shown; null: all of it. */
  crop?: Box | null;
  ref?: Ref<HTMLDivElement>;
  children: ReactNode;
}

/** The rectangle that holds everything, at a scale, with its ground and tray. Children are placed in stage pixels. */
export function Stage({ question, tray = question.tray, scale, crop = null, ref, children }: Props) {
  const media = useMediaSource();
  useLetters(question, media);
  const { scene, dress } = question;
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
          ...lettersCss(dress?.letters, media),
          ...(crop ? { left: -crop.x * scale, top: -crop.y * scale } : {}),
        } as CSSProperties
      }
    >
      {dress?.ground && <Ground ground={dress.ground} width={scene.width * scale} />}
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
