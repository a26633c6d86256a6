import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import type { LearnerQuestion } from '../../core';
import { useMediaSource } from '../../scene/media';
import { RichText } from '../../scene/RichText';
import { Alert } from '../../ui/Alert';
import { Actions, Words } from './Actions';
import { Heard } from './Heard';
import { ListView } from './list/ListView';
import { SceneFrame } from './scene/SceneFrame';
import { leastScale } from './scene/useStageScale';
import type { PlayerStore } from './store';
import { useStateSounds } from './useStateSounds';

const Aids = lazy(() => import('./aids/Aids').then((m) => ({ default: m.Aids })));

/**
 * The width of the scene as a CSS length: as wide as possible with the whole scene, its prompt and the actions in view,
 * but not below the size its smallest item needs.
 */
export function pageWidth(question: LearnerQuestion): string {
  const { width, height } = question.scene;
  return `max(40rem, ${Math.ceil(width * leastScale(question)) + 40}px, calc((100dvh - 20.5rem) * ${width / height} + 2.25rem))`;
}

export interface ListChoice {
  readonly asList: boolean;
  readonly choose: (asList: boolean) => void;
}

/**
 * One question: its title, the prompt, the scene with its tray, and one line of actions. `onward` is the button to the
 * next question.
 */
export function Playing({ store, list, onward }: { store: PlayerStore; list: ListChoice; onward: ReactNode }) {
  const question = store((s) => s.view.question);
  const [said, setSaid] = useState('');
  const [narrow, setNarrow] = useState(false);
  const media = useMediaSource();
  // Aids come after the page, in the browser alone.
  const [aided, setAided] = useState(false);
  useEffect(() => setAided(question.show.aids.length > 0), [question]);
  useStateSounds(store, media);
  return (
    <>
      <h1 className="text-[1.65rem] leading-tight" dir="auto">
        {question.title}
      </h1>
      {question.prompt && (
        <div className="text-lg mt-1">
          <RichText rich={question.prompt} />
        </div>
      )}
      <Heard id={question.promptSound} otherwise="The prompt, spoken" className="h-9 mt-1" />
      {aided && (
        <Suspense fallback={null}>
          <Aids key={question.title} question={question} />
        </Suspense>
      )}
      {narrow && !list.asList && (
        <Alert tone="notice" className="flex flex-wrap items-center gap-x-3 gap-y-2 mt-3">
          This scene is wider than your screen: push it aside to see the rest.
          <button type="button" className="btn btn-primary btn-sm" onClick={() => list.choose(true)}>
            Answer as a list
          </button>
        </Alert>
      )}
      <div className="mt-4">
        {list.asList ? (
          <ListView store={store} say={setSaid} />
        ) : (
          <SceneFrame store={store} say={setSaid} onNarrow={setNarrow} />
        )}
      </div>
      <Actions store={store} onward={onward} />
      <Words store={store} />
      <Credits media={question.media} />
      <p role="status" aria-live="assertive" className="sr-only">
        {said}
      </p>
    </>
  );
}

/** Where pictures, sounds and films of the question are from. */
function Credits({ media }: Pick<LearnerQuestion, 'media'>) {
  const credits = [...new Set(Object.values(media).flatMap(({ credit }) => credit ?? []))];
  if (credits.length === 0) return null;
  return (
    <details className="mt-6 text-sm text-mute">
      <summary className="cursor-pointer w-fit">Pictures and sounds: where they are from</summary>
      <ul>
        {credits.map((credit) => (
          <li key={credit} dir="auto">
            {credit}
          </li>
        ))}
      </ul>
    </details>
  );
}

const KEPT = 'vault-drop.asList';

/** Whether this browser last used the list view. Read after the first render, because the server cannot know it. */
export function useListChoice(): ListChoice {
  const [asList, setAsList] = useState(false);
  useEffect(() => {
    try {
      setAsList(localStorage.getItem(KEPT) === 'yes');
    } catch {
      // Then it is the scene.
    }
  }, []);
  return {
    asList,
    choose: (next) => {
      setAsList(next);
      try {
        localStorage.setItem(KEPT, next ? 'yes' : 'no');
      } catch {
        // Storage is full or forbidden: the choice lasts as long as the page.
      }
    },
  };
}
