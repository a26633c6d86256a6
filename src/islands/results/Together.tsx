import { memo, useCallback, useEffect, useMemo, useState } from 'react';
import type { JsonText, TogetherView, Wire } from '../../contract';
import { type QuestionModel, questionModel, type RetraceFrame, retrace } from '../../core';
import { BoardSketch, MediaFrom } from '../../scene';
import { duration } from '../../ui';
import { fromJson } from '../../ui/wire';
import { benchMedia } from '../shared/ownMedia';
import { PlayButtons, type Plays, SpeedChoice, usePlayKeys } from './playing';
import { standsInWords } from './retraceInWords';
import './together.css';
import { frameAt, nextTime, timesOf } from './together';

type View = Wire<TogetherView>;
type Attempt = View['attempts'][number];

const SPEEDS = [1, 4, 16, 64] as const;
const TICK_MS = 100;
/** How wide each is drawn, in CSS pixels: the fewer, the wider. */
const WIDTHS = [
  { most: 1, width: 760 },
  { most: 2, width: 540 },
  { most: 6, width: 356 },
  { most: Number.POSITIVE_INFINITY, width: 256 },
] as const;

interface Played {
  readonly attempt: Attempt;
  readonly model: QuestionModel;
  readonly frames: readonly RetraceFrame[];
  readonly times: readonly number[];
}

/** Attempts at one question beside one another, played back together. `beside`: the one that is chosen at first. */
export function Together({ json, beside }: { json: JsonText<TogetherView>; beside: string | null }) {
  const [view] = useState(() => fromJson(json));
  const all = useMemo(() => view.attempts.map((attempt) => played(view, attempt)), [view]);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(beside === null ? [] : [beside]));
  const [wantsAlone, setWantsAlone] = useState(false);
  const isAlone = wantsAlone && chosen.size > 0;
  const shown = isAlone ? all.filter(({ attempt }) => chosen.has(attempt.sittingId)) : all;
  const times = shown.map((one) => one.times);
  const end = Math.max(0, ...times.map((own) => own.at(-1) ?? 0));
  const [time, setTime] = useState(0);
  const [speed, setSpeed] = useState<number>(16);
  const [isPlaying, setIsPlaying] = useState(false);
  const now = Math.min(time, end);

  useEffect(() => {
    if (!isPlaying) return;
    const timer = setInterval(() => setTime((before) => Math.min(end, before + TICK_MS * speed)), TICK_MS);
    return () => clearInterval(timer);
  }, [isPlaying, speed, end]);
  useEffect(() => {
    if (now >= end) setIsPlaying(false);
  }, [now, end]);
  const go = (to: number) => {
    setIsPlaying(false);
    setTime(to);
  };
  const plays: Plays = {
    start: () => go(0),
    back: () => go(nextTime(times, now, -1)),
    play: () => {
      if (!isPlaying && now >= end) setTime(0);
      setIsPlaying(!isPlaying);
    },
    on: () => go(nextTime(times, now, 1)),
    end: () => go(end),
  };
  usePlayKeys(plays);
  // The same function each time, or every tile would be drawn anew with every tick.
  const choose = useCallback(
    (id: string, isChosen: boolean) =>
      setChosen((before) => new Set(isChosen ? [...before, id] : [...before].filter((one) => one !== id))),
    [],
  );
  const width = WIDTHS.find(({ most }) => shown.length <= most)?.width ?? 0;
  return (
    <section aria-label={`${view.document.title}, together`}>
      <p className="flex flex-wrap items-center gap-3 mb-3">
        <button
          type="button"
          className="btn btn-edge btn-sm"
          aria-pressed={isAlone}
          disabled={chosen.size === 0}
          onClick={() => setWantsAlone(!isAlone)}
        >
          {isAlone ? 'Show all' : `Show the chosen alone (${chosen.size})`}
        </button>
        <span className="text-mute">Choose two or more to see them larger, beside one another.</span>
      </p>
      <ul className="together flex flex-wrap gap-x-6 gap-y-4" data-small={width < 300 || undefined}>
        {shown.map(({ attempt, model, frames, times: own }) => (
          <li key={attempt.sittingId} style={{ maxWidth: width + 4 }} className="overflow-x-auto">
            <Tile
              releaseId={view.release.id}
              attempt={attempt}
              model={model}
              frame={frames[frameAt(own, now)] as RetraceFrame}
              hasEnded={now >= (own.at(-1) ?? 0)}
              width={width}
              isChosen={chosen.has(attempt.sittingId)}
              onChoose={choose}
            />
          </li>
        ))}
      </ul>
      <div className="sticky bottom-0 pt-2 pb-3 bg-paper">
        <input
          type="range"
          className="range range-sm w-full"
          min={0}
          max={end}
          step={1}
          value={now}
          aria-label="Time since each began"
          aria-valuetext={duration(Math.round(now / 1000))}
          onChange={(event) => go(Number(event.target.value))}
        />
        <div className="flex flex-wrap items-center gap-2 mt-1">
          <PlayButtons plays={plays} isPlaying={isPlaying} isAtStart={now <= 0} isAtEnd={now >= end} />
          <SpeedChoice speed={speed} speeds={SPEEDS} onChange={setSpeed} />
          <span className="figures text-sm text-mute">
            {duration(Math.round(now / 1000))} of {duration(Math.round(end / 1000))} since each began
          </span>
        </div>
      </div>
    </section>
  );
}

function played(view: View, attempt: Attempt): Played {
  const model = questionModel(attempt.document ?? view.document, attempt.homes);
  const frames = retrace(model, attempt.moves);
  return { attempt, model, frames, times: timesOf(frames) };
}

interface TileProps {
  releaseId: string;
  attempt: Attempt;
  model: QuestionModel;
  frame: RetraceFrame;
  hasEnded: boolean;
  width: number;
  isChosen: boolean;
  onChoose: (id: string, isChosen: boolean) => void;
}

/** One attempt. It is drawn anew only when it moves. */
const Tile = memo(function Tile({ releaseId, attempt, model, frame, hasEnded, width, isChosen, onChoose }: TileProps) {
  const { sittingId, learner, number } = attempt;
  const name = `${learner}${number > 1 ? `, attempt ${number}` : ''}`;
  return (
    <figure>
      <figcaption className="flex flex-wrap items-center gap-x-2 mb-1">
        <label className="grow flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={isChosen}
            onChange={(event) => onChoose(sittingId, event.target.checked)}
          />
          <bdi>{name}</bdi>
        </label>
        <a
          className="link-brass text-sm"
          href={`/releases/${releaseId}/sittings/${sittingId}`}
          aria-label={`Retrace ${name}`}
        >
          Retrace
        </a>
      </figcaption>
      <MediaFrom source={benchMedia(model.question.media)}>
        <BoardSketch
          model={model}
          board={frame.board}
          scale={width / model.question.scene.width}
          verdicts={frame.judged?.verdicts ?? null}
        />
      </MediaFrom>
      <p className="text-sm">
        {standsInWords(frame)}
        {hasEnded && <span className="text-mute"> · no more moves</span>}
      </p>
    </figure>
  );
});
