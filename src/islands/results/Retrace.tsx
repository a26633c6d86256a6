import { useEffect, useMemo, useState } from 'react';
import type { JsonText, RetraceView, Wire } from '../../contract';
import { type Copy, copyOf, isTyped, questionModel, type RetraceFrame, retrace } from '../../core';
import { BoardSketch, MediaFrom } from '../../scene';
import { fromJson } from '../../ui/wire';
import { benchMedia } from '../shared/ownMedia';
import { PlayButtons, type Plays, SpeedChoice, usePlayKeys } from './playing';
import { frameInWords, sinceStart } from './retraceInWords';

interface Played {
  /** `who`: whose moves they are, where they are not all the same person's. */
  readonly questions: readonly (RetraceView['questions'][number] & { readonly who?: string })[];
}

const WIDTH = 760;
const SPEEDS = [1, 4, 16] as const;
/** No pause is played longer than this, in milliseconds. */
const LONGEST = 4000;

/**
 * An attempt played back move by move: the core replays the stored moves. `json`: the record, as one text. `now`: the
 * place of a question that is shown first, as it stands after its last move.
 */
export function Retrace({ json, now = null }: { json: JsonText<Played>; now?: number | null }) {
  const [{ questions }] = useState(() => fromJson(json));
  const begun = questions.findIndex(({ moves }) => moves.length > 0);
  const [place, setPlace] = useState(now !== null && questions[now] ? now : Math.max(0, begun));
  const sat = questions[place];
  return (
    <>
      {questions.length > 1 && (
        <nav className="flex flex-wrap gap-1 mb-4" aria-label="Questions">
          {questions.map(({ document, who, moves }, i) => (
            <button
              // biome-ignore lint/suspicious/noArrayIndexKey: a class may have played the same question again
              key={i}
              type="button"
              className={`btn btn-sm ${i === place ? 'btn-primary' : 'btn-edge'}`}
              aria-pressed={i === place}
              onClick={() => setPlace(i)}
            >
              {i + 1}. {document.title || 'Untitled question'}
              {who && `, ${who}`} <span className="figures">{moves.length}</span>
            </button>
          ))}
        </nav>
      )}
      {sat && <OneQuestion key={place} sat={sat} atEnd={place === now} />}
    </>
  );
}

function OneQuestion({
  sat: { document, homes, moves },
  atEnd,
}: {
  sat: Wire<Played>['questions'][number];
  atEnd: boolean;
}) {
  const model = useMemo(() => questionModel(document, homes), [document, homes]);
  const frames = useMemo(() => retrace(model, moves), [model, moves]);
  const [at, setAt] = useState(atEnd ? frames.length - 1 : 0);
  const [speed, setSpeed] = useState<number | null>(null);
  const last = frames.length - 1;
  const frame = frames[at] as RetraceFrame;
  const scale = Math.min(WIDTH, 520 * (document.scene.width / document.scene.height)) / document.scene.width;

  useEffect(() => {
    if (speed === null) return;
    if (at >= last) return setSpeed(null);
    const pause = (frames[at + 1]?.at ?? 0) - (frames[at]?.at ?? 0);
    const timer = setTimeout(() => setAt(at + 1), Math.min(LONGEST, Math.max(150, pause / speed)));
    return () => clearTimeout(timer);
  }, [speed, at, last, frames]);

  const go = (to: number) => {
    setSpeed(null);
    setAt(Math.max(0, Math.min(last, to)));
  };
  const plays: Plays = {
    start: () => go(0),
    back: () => go(at - 1),
    play: () => {
      if (speed === null && at === last) setAt(0);
      setSpeed(speed === null ? 4 : null);
    },
    on: () => go(at + 1),
    end: () => go(last),
  };
  usePlayKeys(plays);
  if (moves.length === 0) return <p className="text-lg">This question was not touched.</p>;
  return (
    <section className="grid gap-8 lg:grid-cols-[auto_1fr]" aria-label={`${document.title}, move by move`}>
      <div>
        <MediaFrom source={benchMedia(document.media)}>
          <BoardSketch
            model={model}
            board={frame.board}
            scale={scale}
            verdicts={frame.judged?.verdicts ?? null}
            touched={touchedBy(model, frame)}
          />
        </MediaFrom>
        <div className="sticky bottom-0 pt-2 pb-3 bg-paper">
          <p role="status" className="min-h-7 font-semibold">
            {frameInWords(document, frame)}
          </p>
          <input
            type="range"
            className="range range-sm w-full"
            min={0}
            max={last}
            value={at}
            aria-label="Move"
            aria-valuetext={`${at} of ${last}, ${sinceStart(frames, at)}: ${frameInWords(document, frame)}`}
            onChange={(event) => go(Number(event.target.value))}
          />
          <div className="relative h-3 mx-3" aria-hidden>
            {frames.map(
              (frame, i) =>
                frame.tried && (
                  <span
                    key={`${frame.at} ${frames.indexOf(frame)}`}
                    className="absolute w-0.5 h-3 bg-brass"
                    style={{ left: `${(i / last) * 100}%` }}
                  />
                ),
            )}
          </div>
          <div className="flex flex-wrap items-center gap-2 mt-1">
            <PlayButtons plays={plays} isPlaying={speed !== null} isAtStart={at === 0} isAtEnd={at === last} />
            {speed !== null && <SpeedChoice speed={speed} speeds={SPEEDS} onChange={setSpeed} />}
            <span className="figures text-sm text-mute">
              move {at} of {last} · {sinceStart(frames, at)} · try {frame.tries}
            </span>
          </div>
        </div>
      </div>
      <ol className="max-h-[36rem] overflow-auto self-start border border-rule bg-sheet min-w-64">
        {frames.map((frame, i) => (
          // A frame is its place in the sitting.
          // biome-ignore lint/suspicious/noArrayIndexKey: see above
          <li key={i}>
            <button
              type="button"
              className={`w-full text-left px-3 py-1.5 border-b border-rule cursor-pointer ${i === at ? 'bg-brass-wash' : ''} ${frame.tried ? 'font-semibold' : ''}`}
              aria-current={i === at ? 'step' : undefined}
              onClick={() => go(i)}
            >
              <span className="figures text-sm text-mute pr-2">{sinceStart(frames, i)}</span>
              {frameInWords(document, frame)}
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

function touchedBy(model: ReturnType<typeof questionModel>, { move }: RetraceFrame): Copy | null {
  if (!move || (move.kind !== 'drop' && move.kind !== 'put') || isTyped(move)) return null;
  const item = model.itemAt.get(move.item);
  return item === undefined ? null : copyOf(item, move.copy ?? 0);
}
