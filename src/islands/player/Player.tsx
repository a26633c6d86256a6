import { useEffect, useMemo, useState } from 'react';
import type * as contract from '../../contract';
import type { JsonText, Wire } from '../../contract';
import { MediaFrom } from '../../scene/media';
import { fromJson } from '../../ui/wire';
import { inThisWindow } from './oneWindow';
import { type ListChoice, Playing, pageWidth, useListChoice } from './Playing';
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
  if (now.before) return <BeforeIt before={now.before} />;
  if (now.finished) return <TheEnd summary={now.finished} />;
  return (
    <Sitting
      key={now.open.place.at}
      sitting={now.open}
      onMove={(open) => setNow({ open, finished: null, before: null })}
    />
  );
}

function TheEnd({ summary }: { summary: Finished }) {
  useEffect(() => document.getElementById('summary')?.focus(), []);
  return (
    <>
      <Header titles={summary} maxWidth="56rem" />
      <main className="mx-auto w-full px-4 py-5" style={{ maxWidth: '56rem' }}>
        <SummaryPage title={summary.release} summary={summary} />
      </main>
    </>
  );
}

function Header({
  titles,
  maxWidth,
  children,
}: {
  titles: contract.Titles;
  maxWidth: string;
  children?: React.ReactNode;
}) {
  return (
    <header className="bg-sheet border-b border-rule">
      <div
        className="mx-auto px-4 py-2 min-h-[56px] flex flex-wrap items-center gap-x-4 gap-y-1"
        style={{ maxWidth: `max(66rem, ${maxWidth})` }}
      >
        <p className="font-heading font-semibold text-lg" dir="auto">
          {titles.release}
        </p>
        <p className="text-mute hidden sm:block" dir="auto">
          {titles.course}
        </p>
        <span className="grow" />
        {children}
        <a className="link-brass" href="/sit">
          All assignments
        </a>
      </div>
    </header>
  );
}

interface SittingProps {
  sitting: SittingView;
  onMove: (sitting: SittingView) => void;
}

function Sitting({ sitting, onMove }: SittingProps) {
  const [store] = useState<PlayerStore>(() =>
    playerStore(sitting, { send: toServer(sitting), stored: true, reopen: () => location.reload() }),
  );
  const list = useListChoice();
  const media = store((s) => s.media);
  const source = useMemo(() => sittingMedia(sitting, media), [sitting, media]);
  const place = usePlace(store);
  const { busy, goTo, finish } = useOnward(store, sitting, onMove);
  const maxWidth = pageWidth(sitting.question);

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
      <Header titles={sitting} maxWidth={maxWidth}>
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
        <Steps place={place} busy={busy} onGo={goTo} />
        <Switches store={store} list={list} />
      </Header>
      <main className="mx-auto w-full px-4 py-5" style={{ maxWidth }}>
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
          Next answer
        </a>
      )}
      <a className="btn btn-primary" href="?">
        Back to your mark
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
          onClick={() => sounds.turn(!sounds.on)}
        >
          {sounds.on ? 'Sound is on' : 'Sound is off'}
        </button>
      )}
      <button type="button" className="btn btn-edge btn-sm" onClick={() => list.choose(!list.asList)}>
        {list.asList ? 'On the scene' : 'As a list'}
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
    ask: () => Promise<
      { ok: true; value: T } | { ok: false; error: { code: string; message: string; nextStep: string } }
    >,
    then: (value: T) => void,
  ) => {
    setBusy(true);
    const all = await store.getState().flush();
    const answer = all ? await ask() : null;
    if (answer?.ok) return then(answer.value);
    if (answer?.error.code === 'sittingFinished') return location.reload();
    const words = answer
      ? `${answer.error.message}. ${answer.error.nextStep}`
      : 'Not all of your moves are saved yet: continue when you are online again.';
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
