import type { ReactNode } from 'react';
import type { Question } from '../../core';
import { MediaFrom, Sketch } from '../../scene';
import { benchMedia } from './ownMedia';

const WIDTH = 460;

/** A question's scene, faint, with something drawn over it in scene units. `label`: what that shows. */
export function OnSketch({ document, label, children }: { document: Question; label: string; children: ReactNode }) {
  const { width, height } = document.scene;
  return (
    <div className="relative" style={{ width: WIDTH + 4 }}>
      <div className="opacity-50">
        <MediaFrom source={benchMedia(document.media)}>
          <Sketch question={document} width={WIDTH} />
        </MediaFrom>
      </div>
      <svg
        className="absolute inset-0"
        width={WIDTH}
        height={(height * WIDTH) / width}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={label}
      >
        {children}
      </svg>
    </div>
  );
}
