import { useEffect, useState } from 'react';
import type * as contract from '../../contract';
import type { JsonText, Wire } from '../../contract';
import { errorInWords } from '../../ui/errorInWords';
import { fromJson } from '../../ui/wire';
import { phrase } from '../../words';
import { BeforeIt } from './place/BeforeIt';
import { Header } from './place/Header';
import { SummaryPage } from './place/SummaryPage';
import { Sitting } from './Sitting';
import { beginSitting, SERVER } from './transport';

export type Before = Wire<contract.Before>;
export type Finished = Wire<contract.Finished>;
type Opened = Wire<contract.Opened>;

const COUNTS = {
  best: 'player.countsBest',
  last: 'player.countsLast',
  first: 'player.countsFirst',
  average: 'player.countsAverage',
} as const;

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
      judge={SERVER}
      came={came}
      onMove={(open) => {
        // Sources are the page's own, beside this island.
        if (now.open.sources.length + open.sources.length > 0)
          return location.replace(`?question=${open.place.at + 1}`);
        history.replaceState(null, '', `?question=${open.place.at + 1}`);
        setCame(true);
        setNow({ open, finished: null, before: null });
        scrollTo({ top: 0 });
      }}
      // The summary has its own address, so that going back shows it again.
      onFinished={() => location.replace(location.pathname)}
    />
  );
}

function TheEnd({ summary }: { summary: Finished }) {
  useEffect(() => document.getElementById('summary')?.focus(), []);
  return (
    <>
      <Header titles={summary} />
      <main id="content" className="mx-auto w-full px-4 py-5" style={{ maxWidth: '56rem' }}>
        <SummaryPage title={summary.release} summary={summary}>
          <Onwards summary={summary} />
        </SummaryPage>
      </main>
    </>
  );
}

/** To what else is assigned, or to another attempt. */
function Onwards({ summary: { releaseId, another, counts } }: { summary: Finished }) {
  const [problem, setProblem] = useState('');
  const again = async () => {
    const begun = await beginSitting(releaseId);
    if (begun.ok) location.replace(location.pathname);
    else setProblem(errorInWords(begun.error));
  };
  return (
    <>
      {problem && (
        <p role="alert" className="text-brick mt-4">
          {problem}
        </p>
      )}
      {another && (
        <p className="mt-6">
          {phrase('player.mayTryAgain')} {phrase(COUNTS[counts])}
        </p>
      )}
      <div className="flex flex-wrap gap-3 mt-4">
        <a className="btn btn-primary" href="/sit">
          {phrase('player.backToAssignments')}
        </a>
        {another && (
          <button type="button" className="btn btn-edge" onClick={() => void again()}>
            {phrase('player.anotherAttempt')}
          </button>
        )}
      </div>
    </>
  );
}
