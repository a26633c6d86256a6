import { RotateCcw, Shuffle } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { JsonText, WholeSet } from '../../../contract';
import { fromJson } from '../../../ui/wire';
import { Header } from '../../player/place/Header';
import { Sources } from '../../player/place/Sources';
import { SummaryPage } from '../../player/place/SummaryPage';
import { Sitting } from '../../player/Sitting';
import type { SittingView } from '../../player/types';
import { ownSource } from '../../shared/ownMedia';
import { useModelAnswers } from '../../shared/useModelAnswers';
import { type SetRehearsal, setRehearsal } from './setRehearsal';

type Ended = Awaited<ReturnType<SetRehearsal['summary']>>;

/** A whole set as a learner has it, judged on the page. `id`: the set's. Another draw is as another learner has it. */
export function RehearseSet({ json, id }: { json: JsonText<WholeSet>; id: string }) {
  const [set] = useState(() => fromJson(json) as WholeSet);
  const [draw, setDraw] = useState(1);
  const [run, setRun] = useState(0);
  const answers = useModelAnswers(set.questions);
  const latest = useRef(answers);
  latest.current = answers;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new run begins anew
  const rehearsal = useMemo(
    () => setRehearsal(set, { seed: `${id}/${draw}`, answers: () => latest.current }),
    [set, id, draw, run],
  );
  return (
    <Rehearsal
      key={`${draw} ${run}`}
      {...{ set, id, draw, rehearsal }}
      onDraw={() => setDraw(draw + 1)}
      onAgain={() => setRun(run + 1)}
    />
  );
}

interface Props {
  set: WholeSet;
  id: string;
  draw: number;
  rehearsal: SetRehearsal;
  onDraw: () => void;
  onAgain: () => void;
}

function Rehearsal({ set, id, draw, rehearsal, onDraw, onAgain }: Props) {
  const [now, setNow] = useState<SittingView>(() => rehearsal.open(0));
  const [came, setCame] = useState(false);
  const [ended, setEnded] = useState<Ended | null>(null);
  const isDrawn = set.sections.some(({ draw: some, shuffled }) => some || shuffled);
  const back = { href: `/sets/${id}`, words: 'Back to the set' };
  useEffect(() => {
    if (ended) document.getElementById('summary')?.focus();
  }, [ended]);
  const buttons = (
    <>
      {isDrawn && (
        <button type="button" className="btn btn-edge btn-sm" onClick={onDraw} aria-label={`Another draw than ${draw}`}>
          <Shuffle aria-hidden size={16} /> <span className="max-lg:hidden">Draw {draw}: another</span>
        </button>
      )}
      <button type="button" className="btn btn-edge btn-sm" onClick={onAgain} aria-label="Start over">
        <RotateCcw aria-hidden size={16} /> <span className="max-lg:hidden">Start over</span>
      </button>
    </>
  );
  if (ended)
    return (
      <>
        <Header titles={now} back={back}>
          {buttons}
        </Header>
        <main id="content" className="mx-auto w-full px-4 py-5" style={{ maxWidth: '56rem' }}>
          <SummaryPage title={set.title} summary={ended}>
            <p className="mt-6 text-mute">This was a rehearsal: nothing is recorded.</p>
            <div className="flex flex-wrap gap-3 mt-4">
              <a className="btn btn-primary" href={back.href}>
                {back.words}
              </a>
              <button type="button" className="btn btn-edge" onClick={onAgain}>
                Start over
              </button>
            </div>
          </SummaryPage>
        </main>
      </>
    );
  const question = (
    <Sitting
      key={now.place.at}
      sitting={now}
      judge={rehearsal.judge}
      came={came}
      back={back}
      onMove={(next) => {
        setCame(true);
        setNow(next);
        scrollTo({ top: 0 });
      }}
      onFinished={() => void rehearsal.summary().then(setEnded)}
    >
      {buttons}
    </Sitting>
  );
  if (now.sources.length === 0) return question;
  return (
    <div className="with-sources">
      <Sources sources={now.sources} address={(n) => ownSource(set.sources[n])} />
      <div>{question}</div>
    </div>
  );
}
