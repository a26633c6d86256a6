import { useState } from 'react';
import { type Question, refTo, setQuestion } from '../../../core';
import { Choice } from '../../../ui/Choice';
import { QuestionOutcomes } from '../../shared/outcomes/QuestionOutcomes';
import { LookBook } from '../looks/LookBook';
import { Wears } from '../looks/Wears';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { ItemBehaviour } from './ItemBehaviour';
import { ZoneBehaviour } from './ZoneBehaviour';

const MAX_TRIES = 100;

/** The rules of zones, of items and of the question, for one or for many at once, and how all of them look. */
export function Behaviour({ store }: { store: BenchStore }) {
  const book = store((s) => s.book);
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const zones = question.zones.filter(({ id }) => selection.has(refTo('zone', id)));
  const items = question.items.filter(({ id }) => selection.has(refTo('item', id)));
  return (
    <>
      <div className="flex items-baseline gap-3 mb-2">
        <h2 className="text-lg">Behaviour</h2>
        <span className="grow" />
        {(
          [
            [false, 'What happens'],
            [true, 'Look book'],
          ] as const
        ).map(([shows, words]) => (
          <button
            key={words}
            type="button"
            className={`bench-tool ${book === shows ? 'bench-tool-on' : ''}`}
            aria-pressed={book === shows}
            onClick={() => store.setState({ book: shows })}
          >
            {words}
          </button>
        ))}
      </div>
      {book ? (
        <LookBook store={store} />
      ) : (
        <>
          {zones.length === 0 && items.length === 0 && (
            <p className="text-mute mb-3">Select zones or items, on the scene or in the Ledger, to say what they do.</p>
          )}
          {zones.length > 0 && <ZoneBehaviour store={store} zones={zones} />}
          {items.length > 0 && <ItemBehaviour store={store} items={items} />}
          {(zones.length > 0 || items.length > 0) && (
            <Wears store={store} zones={zones} items={items} onBook={() => store.setState({ book: true })} />
          )}
          <WholeQuestion store={store} question={question} />
          <Outcomes question={question} />
        </>
      )}
    </>
  );
}

/** What a learner shows who answers it: not a part of the document, so that it can change after publishing. */
function Outcomes({ question: { id, title } }: { question: Question }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <h3 className="mt-4 font-semibold">Outcomes</h3>
      <p className="text-mute text-sm mb-1">What a learner shows who answers it.</p>
      <button type="button" className="btn btn-edge btn-sm" onClick={() => setOpen(true)}>
        Outcomes…
      </button>
      {open && <QuestionOutcomes id={id} title={title || 'this question'} onClose={() => setOpen(false)} />}
    </>
  );
}

/** When it is judged, what goes back after a miss, the number of tries, and the start order. */
function WholeQuestion({ store, question }: { store: BenchStore; question: Question }) {
  const act = store.getState().do;
  const { tray } = question;
  return (
    <section className="mt-4">
      <h3 className="font-semibold">The question</h3>
      <Choice
        label="Judged"
        options={[
          ['onCheck', 'when the learner asks'],
          ['onLand', 'as each item lands'],
        ]}
        value={question.judging}
        onChoose={(judging) => act(setQuestion(question, 'judging', judging))}
      />
      <Choice
        label="After a miss"
        options={[
          ['leave', 'everything stays'],
          ['sendWrongHome', 'the wrong ones go back'],
          ['sendAllHome', 'everything goes back'],
        ]}
        value={question.afterMiss}
        onChoose={(afterMiss) => act(setQuestion(question, 'afterMiss', afterMiss))}
      />
      <Setting label="Tries">
        <NumberSetting
          label="Tries, empty for no limit"
          value={question.tries}
          least={1}
          most={MAX_TRIES}
          whole
          empty="no limit"
          onSet={(tries) => act(setQuestion(question, 'tries', tries))}
        />
      </Setting>
      {tray && (
        <Choice
          label="Start order"
          options={[
            ['shuffled', 'shuffled'],
            ['asListed', 'as listed'],
          ]}
          value={tray.order}
          onChoose={(order) => act(setQuestion(question, 'tray', { ...tray, order }))}
        />
      )}
    </section>
  );
}
