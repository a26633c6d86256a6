import { Volume2, VolumeX } from 'lucide-react';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { MediaFrom, type MediaSource } from '../../scene/media';
import type { ApiResult } from '../../ui/api';
import { errorInWords } from '../../ui/errorInWords';
import { phrase } from '../../words';
import { inThisWindow } from './oneWindow';
import { type ListChoice, Playing, QUESTION, useListChoice } from './Playing';
import { Clock } from './place/Clock';
import { Header } from './place/Header';
import { Onward } from './place/Onward';
import { Steps } from './place/Steps';
import { recallSounds, useSounds } from './sounds';
import { type PlayerState, type PlayerStore, playerStore, type Send } from './store';
import type { SittingView } from './types';
import { hasSounds } from './useStateSounds';
import './place/place.css';

/** Who judges an attempt and keeps it: the server, or the page that rehearses a set. */
export interface Judge {
  /** Moves that could not be sent are stored in the browser, and one window holds the attempt. */
  readonly stored: boolean;
  readonly send: (sitting: SittingView) => Send;
  readonly media: (sitting: SittingView, media: PlayerState['media']) => MediaSource;
  readonly goTo: (sitting: SittingView, question: number) => Promise<ApiResult<SittingView>>;
  readonly finish: (sitting: SittingView) => Promise<ApiResult<unknown>>;
}

interface SittingProps {
  sitting: SittingView;
  judge: Judge;
  /** From another question, on this page. */
  came: boolean;
  onMove: (sitting: SittingView) => void;
  onFinished: () => void;
  back?: { readonly href: string; readonly words: string };
  /** Further buttons of the header. */
  children?: ReactNode;
}

/** One question of an attempt, with its frame. */
export function Sitting({ sitting, judge, came, onMove, onFinished, back, children }: SittingProps) {
  const [store] = useState<PlayerStore>(() =>
    playerStore(sitting, { send: judge.send(sitting), stored: judge.stored, reopen: () => location.reload() }),
  );
  const list = useListChoice();
  const media = store((s) => s.media);
  const source = useMemo(() => judge.media(sitting, media), [judge, sitting, media]);
  const place = usePlace(store);
  const { busy, goTo, finish } = useOnward(store, { sitting, judge, onMove, onFinished });
  const { title } = sitting.question;
  useEffect(() => {
    document.title = `${title} · ${sitting.release}`;
    if (came) document.getElementById(QUESTION)?.focus({ preventScroll: true });
  }, [came, title, sitting.release]);

  useEffect(() => {
    const back = () => void store.getState().flush();
    window.addEventListener('online', back);
    const giveBack = judge.stored ? inThisWindow(sitting.id, () => store.getState().stop()) : () => undefined;
    recallSounds();
    return () => {
      window.removeEventListener('online', back);
      giveBack();
    };
  }, [store, judge, sitting.id]);

  return (
    <MediaFrom source={source}>
      <Header titles={sitting} back={back} steps={<Steps place={place} busy={busy} onGo={goTo} />}>
        {sitting.ends && (
          <Clock
            seconds={sitting.ends.seconds}
            onOver={() =>
              void store
                .getState()
                .flush()
                .then(() => location.reload())
            }
          />
        )}
        <Switches store={store} list={list} />
        {children}
      </Header>
      <main id="content" className="frame-main">
        <Playing
          store={store}
          list={list}
          onward={
            sitting.place.finished ? (
              <Looking sitting={sitting} />
            ) : (
              <Onward store={store} busy={busy} onNext={() => goTo(sitting.place.at + 1)} onFinish={finish} />
            )
          }
        />
      </main>
    </MediaFrom>
  );
}

/** Navigation through finished answers. */
function Looking({ sitting: { place } }: { sitting: SittingView }) {
  return (
    <>
      {place.at + 1 < place.count && (
        <a className="btn btn-edge" href={`?question=${place.at + 2}`}>
          {phrase('player.nextAnswer')}
        </a>
      )}
      <a className="btn btn-primary" href="?">
        {phrase('player.backToMark')}
      </a>
    </>
  );
}

/** Lists or the scene, and sound. */
function Switches({ store, list }: { store: PlayerStore; list: ListChoice }) {
  const sounds = useSounds();
  const sounding = store(hasSounds);
  return (
    <>
      {sounding && (
        <button
          type="button"
          className="btn btn-edge btn-sm"
          aria-pressed={sounds.on}
          aria-label={phrase(sounds.on ? 'player.soundOn' : 'player.soundOff')}
          onClick={() => sounds.turn(!sounds.on)}
        >
          <span className="max-sm:hidden">{phrase(sounds.on ? 'player.soundOn' : 'player.soundOff')}</span>
          <span className="sm:hidden">
            {sounds.on ? <Volume2 aria-hidden size={18} /> : <VolumeX aria-hidden size={18} />}
          </span>
        </button>
      )}
      <button
        type="button"
        className="btn btn-edge btn-sm"
        aria-label={phrase(list.asList ? 'player.onScene' : 'player.asList')}
        onClick={() => list.choose(!list.asList)}
      >
        <span className="max-sm:hidden">{phrase(list.asList ? 'player.onScene' : 'player.asList')}</span>
        <span className="sm:hidden">{phrase(list.asList ? 'player.scene' : 'player.list')}</span>
      </button>
    </>
  );
}

/** The learner's place in the set, as this page has moved it. */
function usePlace(store: PlayerStore): SittingView['place'] {
  const place = store((s) => s.view.place);
  const tries = store((s) => s.tries);
  const ended = store((s) => s.ended);
  return useMemo(
    () => ({
      ...place,
      tried: tries > 0 ? [...place.tried, place.at] : place.tried,
      ended: ended ? [...place.ended, place.at] : place.ended,
    }),
    [place, tries, ended],
  );
}

/** Goes to another question, or to the end, once all moves here are saved. */
function useOnward(
  store: PlayerStore,
  { sitting, judge, onMove, onFinished }: Pick<SittingProps, 'sitting' | 'judge' | 'onMove' | 'onFinished'>,
) {
  const [busy, setBusy] = useState(false);
  const leave = async <T,>(ask: () => Promise<ApiResult<T>>, then: (value: T) => void) => {
    setBusy(true);
    const all = await store.getState().flush();
    const answer = all ? await ask() : null;
    if (answer?.ok) return then(answer.value);
    if (answer?.error.code === 'sittingFinished') return location.reload();
    const words = answer ? errorInWords(answer.error) : phrase('player.notSavedYet');
    store.setState({ notice: words });
    setBusy(false);
  };
  const goTo = (question: number) => void leave(() => judge.goTo(sitting, question), onMove);
  const finish = () => void leave(() => judge.finish(sitting), onFinished);
  return { busy, goTo, finish };
}
