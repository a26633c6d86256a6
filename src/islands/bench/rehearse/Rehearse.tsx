import { CornerUpLeft, RotateCcw, X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { nameOf, type Ref, refTo, thingAt } from '../../../core';
import { MediaFrom, type MediaSource } from '../../../scene';
import { Playing } from '../../player/Playing';
import { type PlayerStore, playerStore } from '../../player/store';
import type { SentMove } from '../../player/types';
import { type LocalSitting, localSitting } from '../../shared/localSitting';
import { benchMedia } from '../../shared/ownMedia';
import type { BenchStore } from '../store';
import { FILLS, type Fill, movesFor, needsModelAnswer } from './answers';
import { Strategies } from './Strategies';
import './rehearse.css';

const WIDTHS = [1280, 768, 390] as const;
type Width = (typeof WIDTHS)[number];
type Hand = 'pointer' | 'finger' | 'keyboard';
const HANDS: readonly Hand[] = ['pointer', 'finger', 'keyboard'];

/** The question as a learner sees it. Nothing is recorded. */
export function Rehearse({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const proved = store((s) => s.proved);
  const [run, setRun] = useState(0);
  const [width, setWidth] = useState<Width>(1280);
  const [hand, setHand] = useState<Hand>('pointer');
  const [asList, setAsList] = useState(false);
  const [strategic, setStrategic] = useState(false);
  const [touched, setTouched] = useState<Ref | null>(null);
  const dialog = useRef<HTMLDialogElement>(null);
  const room = useRef<HTMLDivElement>(null);
  const full = proved?.of === question ? (proved.proof.modelAnswer?.placements ?? null) : null;

  const model = useRef(full);
  model.current = full;

  const play = useMemo<{ rehearsal: LocalSitting; player: PlayerStore }>(() => {
    const made = localSitting(question, { seed: `rehearsal ${run}`, full: () => model.current });
    const touch = (moves: readonly SentMove[]) => {
      const moved = moves.findLast((move) => move.kind === 'drop' || move.kind === 'put');
      const id = moved && 'item' in moved ? made.names.itemId.get(moved.item) : undefined;
      if (id !== undefined) setTouched(refTo('item', id));
    };
    const player = playerStore(made.view(), {
      send: (after, moves) => {
        touch(moves);
        return made.send(after, moves);
      },
      stored: false,
      reopen: () => setRun((n) => n + 1),
    });
    return { rehearsal: made, player };
  }, [question, run]);
  const media = useMemo<MediaSource>(() => {
    const source = benchMedia(question.media);
    return (name) => source(play.rehearsal.names.mediumId.get(name) ?? '');
  }, [question.media, play]);

  useEffect(() => {
    const shown = dialog.current;
    shown?.showModal();
    return () => shown?.close();
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new rehearsal is begun with the keyboard where the old one was
  useEffect(() => {
    if (hand === 'keyboard') room.current?.querySelector<HTMLElement>('.movable')?.focus();
  }, [hand, run]);

  const close = () => store.getState().show(null);
  const fill = (which: Fill) => {
    for (const move of movesFor(play.rehearsal, which, full, Date.now() % 2 ** 31)) play.player.getState().move(move);
  };
  const back = () => {
    close();
    if (!touched) return;
    store.getState().select([touched]);
    setTimeout(() =>
      document.querySelector<HTMLElement>(`[data-bench-scene] [data-ref="${CSS.escape(touched)}"]`)?.focus(),
    );
  };
  const spot = touched && thingAt(question, touched);
  const again = () => setRun(run + 1);

  return (
    <dialog
      ref={dialog}
      className="rehearse"
      aria-label="Rehearse"
      onCancel={(event) => {
        event.preventDefault();
        close();
      }}
    >
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-2 border-b border-rule bg-sheet">
        <h2 className="text-lg">
          Rehearse <span className="font-sans font-normal text-base text-mute">nothing is recorded</span>
        </h2>
        <fieldset className="flex items-center gap-1">
          <legend className="sr-only">Fill in an answer</legend>
          {FILLS.map(([which, words]) => (
            <button
              key={which}
              type="button"
              className="btn btn-quiet btn-xs"
              disabled={needsModelAnswer(which) && full === null}
              onClick={() => fill(which)}
            >
              {words}
            </button>
          ))}
        </fieldset>
        <Switch label="With" options={HANDS} value={hand} onChoose={setHand} />
        <Switch
          label="As"
          options={['scene', 'list']}
          value={asList ? 'list' : 'scene'}
          onChoose={(as) => setAsList(as === 'list')}
        />
        <Switch label="Width" options={WIDTHS} value={width} onChoose={setWidth} />
        <span className="grow" />
        <button
          type="button"
          className={`bench-tool ${strategic ? 'bench-tool-on' : ''}`}
          aria-expanded={strategic}
          onClick={() => setStrategic(!strategic)}
        >
          What strategies earn
        </button>
        <button type="button" className="btn btn-quiet btn-xs" onClick={again}>
          <RotateCcw size={14} aria-hidden /> Start over
        </button>
        <button
          type="button"
          className="btn btn-quiet btn-xs max-w-60"
          title="To what was touched last, on the Bench"
          onClick={back}
          disabled={!spot}
        >
          <CornerUpLeft size={14} aria-hidden />{' '}
          <span className="truncate">Back to the spot{spot ? `: ${nameOf(spot)}` : ''}</span>
        </button>
        <button type="button" className="btn btn-primary btn-sm" onClick={close}>
          <X size={15} aria-hidden /> Close
        </button>
      </header>
      {strategic && <Strategies question={question} run={run} />}
      {hand === 'keyboard' && (
        <p className="px-4 py-1 text-sm bg-brass-wash">
          Space takes an item up, the arrow keys choose where, Space puts it down, Escape leaves it where it was.
        </p>
      )}
      <div className="grow overflow-auto bg-paper">
        <div
          ref={room}
          className={`rehearse-page ${hand === 'finger' ? 'rehearse-finger' : ''}`}
          style={{ width, maxWidth: '100%' }}
          data-width={width}
        >
          <MediaFrom source={media}>
            <Playing
              key={run}
              store={play.player}
              list={{ asList, choose: setAsList }}
              onward={<Again store={play.player} onAgain={again} />}
            />
          </MediaFrom>
        </div>
      </div>
    </dialog>
  );
}

/** After the end it can only start over. Where Next waits for a check, it is shown as it would stand in a set. */
function Again({ store, onAgain }: { store: PlayerStore; onAgain: () => void }) {
  const ended = store((s) => s.ended);
  const waits = store((s) => s.view.question.show.nextOnlyAfterCheck);
  const tries = store((s) => s.tries);
  const next = store((s) => s.view.question.buttons.next);
  if (waits && !ended)
    return (
      <button
        type="button"
        className="btn btn-edge"
        disabled={tries === 0}
        title="In a set, this leads to the next question"
        onClick={onAgain}
      >
        {next ?? 'Next'}
      </button>
    );
  return (
    ended && (
      <button type="button" className="btn btn-primary" onClick={onAgain}>
        Start over
      </button>
    )
  );
}

function Switch<Value extends string | number>({
  label,
  options,
  value,
  onChoose,
}: {
  label: string;
  options: readonly Value[];
  value: Value;
  onChoose: (value: Value) => void;
}) {
  return (
    <fieldset className="flex items-center">
      <legend className="sr-only">{label}</legend>
      {options.map((option) => (
        <button
          key={option}
          type="button"
          className={`bench-tool ${option === value ? 'bench-tool-on' : ''}`}
          aria-pressed={option === value}
          onClick={() => onChoose(option)}
        >
          {option}
        </button>
      ))}
    </fieldset>
  );
}
