import { type ReactNode, useState } from 'react';
import { useMediaSource } from '../../scene';
import { RichText } from '../../scene/RichText';
import { Actions } from './Actions';
import { SceneFrame } from './SceneFrame';
import type { PlayerStore } from './store';

/** As wide as the room allows while the whole scene, its prompt and the actions stay in view: a CSS length. */
export const pageWidth = ({ width, height }: { width: number; height: number }): string => `max(40rem, min(76rem, calc((100dvh - 20.5rem) * ${width / height} + 2.25rem)))`;

/** One question to answer: its title, the instruction, the scene with its tray, and one line of actions. `onward` is the way on once it has ended. */
export function Playing({ store, onward }: { store: PlayerStore; onward: ReactNode }) {
  const question = store((s) => s.view.question);
  const [said, setSaid] = useState('');
  const spoken = useMediaSource()(question.promptSound ?? '');
  return (
    <>
      <h1 className="text-[1.65rem] leading-tight">{question.title}</h1>
      {question.prompt && (
        <div className="text-lg mt-1">
          <RichText rich={question.prompt} />
        </div>
      )}
      {spoken && (
        // biome-ignore lint/a11y/useMediaCaption: it is the prompt, spoken
        <audio controls preload="none" src={spoken.url} aria-label={spoken.description || 'The prompt, spoken'} className="h-9 mt-1" />
      )}
      <div className="mt-4">
        <SceneFrame store={store} say={setSaid} />
      </div>
      <Actions store={store} onward={onward} />
      <p role="status" aria-live="assertive" className="sr-only">
        {said}
      </p>
    </>
  );
}
