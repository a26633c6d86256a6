import { ArrowLeft, Volume2, VolumeX } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type * as contract from '../../contract';
import type { JsonText, Wire } from '../../contract';
import { MediaFrom } from '../../scene/media';
import type { ApiError } from '../../ui/api';
import { errorInWords } from '../../ui/errorInWords';
import { LanguageChoice } from '../../ui/LanguageChoice';
import { fromJson } from '../../ui/wire';
import { phrase } from '../../words';
import { inThisWindow } from './oneWindow';
import { type ListChoice, Playing, QUESTION, useListChoice } from './Playing';
import { BeforeIt } from './place/BeforeIt';
import { Clock } from './place/Clock';
import { Onward } from './place/Onward';
import { Steps } from './place/Steps';
import { SummaryPage } from './place/SummaryPage';
import { recallSounds, useSounds } from './sounds';
import { type PlayerStore, playerStore } from './store';
import { finishSitting, goToQuestion, sittingMedia, toServer } from './transport';
import type { SittingView } from './types';
import { hasSounds } from './useStateSounds';
import './place/place.css';

export type Before = Wire<contract.Before>;
export type Finished = Wire<contract.Finished>;
type Opened = Wire<contract.Opened>;

/**
 * The learner's page: the questions one after another, and the summary. `json`: the opened release as one text (see
 * `ui/wire.ts`).
 */
export function Player({ json }: { json: JsonText<contract.Opened> }) {
  const [now, setNow] = useState<Opened>(() => fromJson(json));
  const [came, setCame] = useState(false);
  if (now.before) return <BeforeIt before={now.before} />;
  if (now.finished) return <TheEnd summary={now.finished} />;
  return (
    <Sitting
      key={now.open.place.at}
      sitting={now.open}
      came={came}
      onMove={(open) => {
        setCame(true);
        setNow({ open, finished: null, before: null });
      }}
    />
  );
}

function TheEnd({ summary }: { summary: Finished }) {
  useEffect(() => document.getElementById('summary')?.focus(), []);
  return (
    <>
      <Header titles={summary} />
      <main id="content" className="mx-auto w-full px-4 py-5" style={{ maxWidth: '56rem' }}>
        <SummaryPage title={summary.release} summary={summary} />
      </main>
    </>
  );
}

function Header({
  titles,
  steps,
  children,
}: {
  titles: contract.Titles;
  steps?: React.ReactNode;
  children?: React.ReactNode;
}) {
  return (
    <header className="frame-header">
      <div>
        <p className="frame-title font-heading font-semibold" dir="auto">
          {titles.release}
        </p>
        <p className="text-mute hidden lg:block" dir="auto">
          {titles.course}
        </p>
        {steps}
        <span className="grow max-sm:hidden" />
        {children}
        <LanguageChoice />
        <a className="frame-back link-brass whitespace-nowrap" href="/sit">
          <span className="max-sm:sr-only">{phrase('player.allAssignments')}</span>
          <ArrowLeft className="sm:hidden rtl:-scale-x-100" aria-hidden size={22} />
        </a>
      </div>
    </header>
  );
}

interface SittingProps {
  sitting: SittingView;
  /** From another question, on this page. */
  came: boolean;
  onMove: (sitting: SittingView) => void;
}

function Sitting({ sitting, came, onMove }: SittingProps) {
  const [store] = useState<PlayerStore>(() =>
    playerStore(sitting, { send: toServer(sitting), stored: true, reopen: () => location.reload() }),
  );
  const list = useListChoice();
  const media = store((s) => s.media);
  const source = useMemo(() => sittingMedia(sitting, media), [sitting, media]);
  const place = usePlace(store);
  const { busy, goTo, finish } = useOnward(store, sitting, onMove);
  const { title } = sitting.question;
  useEffect(() => {
    document.title = `${title} · ${sitting.release}`;
    if (came) document.getElementById(QUESTION)?.focus({ preventScroll: true });
  }, [came, title, sitting.release]);

  useEffect(() => {
    const back = () => void store.getState().flush();
    window.addEventListener('online', back);
    const giveBack = inThisWindow(sitting.id, () => store.getState().stop());
    recallSounds();
    return () => {
      window.removeEventListener('online', back);
      giveBack();
    };
  }, [store, sitting.id]);

  return (
    <MediaFrom source={source}>
      <Header titles={sitting} steps={<Steps place={place} busy={busy} onGo={goTo} />}>
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
function useOnward(store: PlayerStore, sitting: SittingView, onMove: SittingProps['onMove']) {
  const [busy, setBusy] = useState(false);
  const leave = async <T,>(
    ask: () => Promise<{ ok: true; value: T } | { ok: false; error: ApiError }>,
    then: (value: T) => void,
  ) => {
    setBusy(true);
    const all = await store.getState().flush();
    const answer = all ? await ask() : null;
    if (answer?.ok) return then(answer.value);
    if (answer?.error.code === 'sittingFinished') return location.reload();
    const words = answer ? errorInWords(answer.error) : phrase('player.notSavedYet');
    store.setState({ notice: words });
    setBusy(false);
  };
  const goTo = (question: number) =>
    void leave(
      () => goToQuestion(sitting.id, question),
      (next) => {
        // Sources are the page's own, beside this island.
        if (sitting.sources.length + next.sources.length > 0) return location.replace(`?question=${next.place.at + 1}`);
        history.replaceState(null, '', `?question=${next.place.at + 1}`);
        onMove(next);
        scrollTo({ top: 0 });
      },
    );
  // The summary has its own address, so that going back shows it again.
  const finish = () =>
    void leave(
      () => finishSitting(sitting.id),
      () => location.replace(location.pathname),
    );
  return { busy, goTo, finish };
}
