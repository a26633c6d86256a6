import { type CSSProperties, useLayoutEffect, useRef, useState } from 'react';
import type { LearnerQuestion } from '../../core';
import { useWidths } from '../../scene/letters';
import { MediaFrom } from '../../scene/media';
import { RichText } from '../../scene/RichText';
import { Written } from '../../scene/written';
import { directionOf } from '../../words/languages';
import { Words } from '../player/Actions';
import { SceneFrame } from '../player/scene/SceneFrame';
import { PLAYER } from '../player/scene/useHands';
import { EDGES, ROOM } from '../player/scene/usePageScene';
import { useSaid } from '../player/useSaid';
import { useStateSounds } from '../player/useStateSounds';
import type { BoardQuestion } from './boardQuestion';
import { dockHeight, fillScene } from './fillScene';

/** A question as a class has it before it: the parts of the learner's page, in all of the room. */
export function BoardStage({ question, isHeaded = true }: { question: BoardQuestion; isHeaded?: boolean }) {
  const player = question.state((s) => s.player);
  const shown = player((s) => s.view.question);
  const { lang } = shown;
  const [heard, say] = useSaid();
  const [tray, setTray] = useState<HTMLElement | null>(null);
  const room = useRef<HTMLDivElement>(null);
  const dock = useDockHeight(room, question, shown);
  useStateSounds(player, question.media);
  return (
    <MediaFrom source={question.media}>
      <Written value={lang}>
        <section
          className="board-question"
          aria-label={shown.title}
          dir={lang ? directionOf(lang) : undefined}
          {...{ [PLAYER]: '' }}
        >
          {isHeaded && <Heading shown={shown} />}
          <div ref={room} className="board-room" style={{ '--dock': `${dock}px` } as CSSProperties} {...{ [ROOM]: '' }}>
            <SceneFrame store={player} say={say} tray={tray} fill={fillScene} />
            <div ref={setTray} className="board-dock" />
          </div>
          <div className="board-said">
            <Words store={player} />
          </div>
          <p role="status" aria-live="assertive" className="sr-only">
            {heard.words && <span key={heard.number}>{heard.words}</span>}
          </p>
        </section>
      </Written>
    </MediaFrom>
  );
}

/** The title and the words of a question, once for both halves of a race. */
export function BoardHeading({ question }: { question: BoardQuestion }) {
  const player = question.state((s) => s.player);
  const shown = player((s) => s.view.question);
  const { lang } = shown;
  return (
    <MediaFrom source={question.media}>
      <Written value={lang}>
        <div className="board-heading" dir={lang ? directionOf(lang) : undefined}>
          <Heading shown={shown} />
        </div>
      </Written>
    </MediaFrom>
  );
}

const Heading = ({ shown: { title, titleLang, lang, prompt } }: { shown: LearnerQuestion }) => (
  <>
    <h1 lang={titleLang ?? lang ?? undefined} dir="auto">
      {title}
    </h1>
    {prompt && (
      <div className="board-prompt">
        <RichText rich={prompt} />
      </div>
    )}
  </>
);

/** The height of a tray beneath the scene: it stays when the tray empties, so that nothing moves under a hand. */
function useDockHeight(
  room: React.RefObject<HTMLElement | null>,
  { state, media }: BoardQuestion,
  question: LearnerQuestion,
): number {
  const [height, setHeight] = useState(0);
  const model = state((s) => s.player)((s) => s.model);
  const widthIn = useWidths(media);
  useLayoutEffect(() => {
    const watched = room.current;
    if (!watched) return;
    const measure = () => {
      const { clientWidth: width, clientHeight: high } = watched;
      setHeight(dockHeight(question, model, { width: width - EDGES, height: high - EDGES, widthIn }));
    };
    const observer = new ResizeObserver(measure);
    observer.observe(watched);
    measure();
    return () => observer.disconnect();
  }, [room, question, model, widthIn]);
  return height;
}
