import { CircleAlert, CircleCheck, TriangleAlert } from 'lucide-react';
import { useEffect } from 'react';
import { defersFeedback } from '../../contract/defaults';
import type { Finding } from '../../core';
import type { Draft } from './settings';
import { useProofs } from './useProofs';

interface Props {
  questions: readonly string[];
  draft: Draft;
  /** The number of its errors; null while it is being proved. */
  onKnown: (errors: number | null) => void;
}

interface Line {
  readonly id: string;
  readonly title: string;
  readonly found: readonly Pick<Finding, 'severity' | 'message'>[];
}

/** The check list before publishing: Proof's findings of each question, and what contradicts the settings. */
export function CheckList({ questions, draft, onKnown }: Props) {
  const proofs = useProofs(questions);
  const done = questions.every((id) => proofs.has(id));
  const deferred = defersFeedback(draft);
  const lines = questions.flatMap((id): Line[] => {
    const proved = proofs.get(id);
    if (proved === undefined) return [];
    if (proved === null)
      return [{ id, title: 'A question', found: [{ severity: 'error', message: 'It could not be looked at.' }] }];
    const { question, proof } = proved;
    const own: Line['found'][number][] = [];
    if (deferred && question.zones.some(({ welcome }) => welcome === 'keyed'))
      own.push({
        severity: 'note',
        message:
          'Its zones turn nothing away here, because that would show what belongs there: it is checked at the end.',
      });
    if (deferred && question.hints.length > 0)
      own.push({ severity: 'note', message: 'Its hints are not given: there is one try, at the end.' });
    return [
      {
        id,
        title: question.title || 'Untitled question',
        found: [...own, ...proof.findings.filter(({ severity }) => severity !== 'note')],
      },
    ];
  });
  const errors = lines.reduce((sum, { found }) => sum + found.filter(({ severity }) => severity === 'error').length, 0);
  useEffect(() => onKnown(done ? errors : null), [done, errors, onKnown]);
  const clear = lines.filter(({ found }) => found.length === 0).length;
  return (
    <section aria-labelledby="check-list" className="mt-4">
      <h3 id="check-list" className="font-semibold">
        Check list
      </h3>
      <div role="status">
        {!done && <p className="text-mute">Proving what goes out…</p>}
        {done && clear > 0 && (
          <p className="flex items-center gap-2 text-verdigris">
            <CircleCheck size={16} aria-hidden />{' '}
            {clear === lines.length
              ? lines.length === 1
                ? 'Nothing is in the way.'
                : 'Nothing is in the way of any question.'
              : `Nothing is in the way of ${clear} of ${lines.length}.`}
          </p>
        )}
      </div>
      <ul className="max-h-48 overflow-auto">
        {lines
          .filter(({ found }) => found.length > 0)
          .map(({ id, title, found }) => (
            <li key={id} className="border-b border-rule py-1.5">
              <a className="link-brass font-semibold" href={`/bench/${id}`}>
                {title}
              </a>
              {found.map(({ severity, message }, i) => (
                // Two findings of one question may say the same.
                // biome-ignore lint/suspicious/noArrayIndexKey: see above
                <p key={i} className={`flex items-start gap-2 ${severity === 'error' ? 'text-brick' : ''}`}>
                  {severity === 'error' ? (
                    <CircleAlert size={16} className="mt-0.5 shrink-0" aria-label="Error" />
                  ) : (
                    <TriangleAlert size={16} className="mt-0.5 shrink-0 text-brass" aria-label="Warning" />
                  )}
                  {message}
                </p>
              ))}
            </li>
          ))}
      </ul>
    </section>
  );
}
