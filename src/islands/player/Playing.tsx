import { lazy, type ReactNode, Suspense, useEffect, useMemo, useState } from 'react';
import type { LearnerQuestion } from '../../core';
import { useMediaSource } from '../../scene/media';
import { RichText } from '../../scene/RichText';
import { Written } from '../../scene/written';
import { phrase } from '../../words';
import { Actions, Words } from './Actions';
import { Heard } from './Heard';
import { ListView } from './list/ListView';
import { SceneFrame } from './scene/SceneFrame';
import { readableScale } from './scene/usePageScene';
import './place/frame.css';
import { directionOf } from '../../words/languages';
import { type PlayerStore, playerStore } from './store';
import type { SittingView } from './types';
import { useSaid } from './useSaid';
import { useStateSounds } from './useStateSounds';

const Aids = lazy(() => import('./aids/Aids').then((m) => ({ default: m.Aids })));

/**
 * The most width of the scene as a CSS length: as wide as possible with the whole scene, its prompt and the actions in
 * view, but not below the size at which it can be read.
 */
function pageWidth(question: LearnerQuestion): string {
  const { width, height } = question.scene;
  return `max(${Math.ceil(width * readableScale(question)) + 40}px, calc((100dvh - 16.5rem) * ${width / height} + 2.25rem))`;
}

/** The heading of the question, which has the focus when a learner comes to it. */
export const QUESTION = 'question';

export interface ListChoice {
  readonly asList: boolean;
  readonly choose: (asList: boolean) => void;
}

/**
 * One question: its title, the prompt, the scene with its tray, and one line of actions. `onward` is the button to the
 * next question.
 */
export function Playing({ store, list, onward }: { store: PlayerStore; list: ListChoice; onward: ReactNode }) {
  const view = store((s) => s.view);
  const { question } = view;
  const lang = question.lang ?? view.courseLang;
  // Whoever looks back sees both at once.
  const besides = view.place.finished && view.modelAnswer !== null && !list.asList;
  const [heard, say] = useSaid();
  const [tray, setTray] = useState<HTMLElement | null>(null);
  const media = useMediaSource();
  // Aids come after the page, in the browser alone.
  const [aided, setAided] = useState(false);
  useEffect(() => setAided(question.show.aids.length > 0), [question]);
  useStateSounds(store, media);
  return (
    <Written value={lang}>
      <div className="frame-question" dir={lang ? directionOf(lang) : undefined}>
        <h1
          id={QUESTION}
          tabIndex={-1}
          lang={question.titleLang ?? lang ?? undefined}
          className="text-[1.65rem] leading-tight"
          dir="auto"
        >
          {question.title}
        </h1>
        {question.prompt && (
          <div className="text-lg mt-1">
            <RichText rich={question.prompt} />
          </div>
        )}
        {view.place.struck && <p className="mt-1 font-semibold">{phrase('player.struck')}</p>}
        <Heard id={question.promptSound} otherwise={phrase('player.promptSpoken')} className="h-9 mt-1" />
        {aided && (
          <Suspense fallback={null}>
            <Aids key={question.title} question={question} />
          </Suspense>
        )}
        <div
          className={`mt-4 ${besides ? 'frame-own' : ''}`}
          style={{ maxWidth: list.asList ? '66rem' : pageWidth(question) }}
        >
          {list.asList ? <ListView store={store} say={say} /> : <SceneFrame store={store} say={say} tray={tray} />}
        </div>
        {besides && <ModelBeside view={view} />}
        <Credits media={question.media} />
      </div>
      <div className="frame-foot">
        <div ref={setTray} />
        <Words store={store} />
        <Actions store={store} onward={onward} say={say} />
      </div>
      <p role="status" aria-live="assertive" className="sr-only">
        {/* The same words twice are two messages. */}
        {heard.words && <span key={heard.number}>{heard.words}</span>}
      </p>
    </Written>
  );
}

const NOTHING = { send: () => new Promise<never>(() => undefined), stored: false, reopen: () => undefined };

/** The model answer as it stands beside the learner's. The button that shows it in its place is for listeners. */
function ModelBeside({ view }: { view: SittingView }) {
  const store = useMemo(() => {
    const beside = playerStore({ ...view, told: null }, NOTHING);
    beside.getState().showModel(true);
    return beside;
  }, [view]);
  return (
    <figure className="frame-model" inert>
      <figcaption className="font-heading font-semibold text-lg">{phrase('player.modelBeside')}</figcaption>
      <SceneFrame store={store} say={() => undefined} tray={null} />
    </figure>
  );
}

/** Where pictures, sounds and films of the question are from. */
function Credits({ media }: Pick<LearnerQuestion, 'media'>) {
  const credits = [...new Set(Object.values(media).flatMap(({ credit }) => credit ?? []))];
  if (credits.length === 0) return null;
  return (
    <details className="mt-6 text-sm text-mute">
      <summary className="cursor-pointer w-fit">{phrase('player.credits')}</summary>
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
