import { useState } from 'react';
import type { LearnerQuestion } from '../../../core';
import { phrase } from '../../../words';
import { Calculator } from './Calculator';
import { ReadAloud } from './ReadAloud';

/** The aids that the author allows. They are loaded where one is allowed, and nowhere else. */
export function Aids({ question }: { question: LearnerQuestion }) {
  const { aids } = question.show;
  const [calculating, setCalculating] = useState(false);
  return (
    <section aria-label={phrase('player.aids')} className="mt-2 flex flex-wrap items-start gap-2">
      {aids.includes('readAloud') && <ReadAloud question={question} />}
      {aids.includes('calculator') && (
        <div className="relative">
          <button
            type="button"
            className="btn btn-edge btn-sm h-11"
            aria-expanded={calculating}
            onClick={() => setCalculating(!calculating)}
          >
            {phrase(calculating ? 'player.closeCalculator' : 'player.calculator')}
          </button>
          {calculating && (
            <div className="absolute z-30 mt-1 p-3 bg-sheet border border-ink">
              <Calculator />
            </div>
          )}
        </div>
      )}
    </section>
  );
}
