import { phrase } from '../../../words';
import type { Place } from '../types';

/** The progress in a set: a block for each question, a link if the learner may go there. */
export function Steps({ place, busy, onGo }: { place: Place; busy: boolean; onGo: (question: number) => void }) {
  if (place.count === 1) return null;
  const stateOf = (question: number) =>
    place.ended.includes(question)
      ? 'Finished'
      : place.tried.includes(question)
        ? 'Tried'
        : question <= place.reached
          ? 'Open'
          : 'ToCome';
  const here = (question: number) => question === place.at;
  const may = (question: number) => !here(question) && (place.finished || (question <= place.reached && place.goBack));
  const inWords = (question: number) =>
    phrase('player.step', {
      n: question + 1,
      state: phrase(`player.step${here(question) ? 'Here' : stateOf(question)}`),
    });
  return (
    <nav aria-label={phrase('player.questions')} className="flex items-center gap-2 min-w-0">
      {/* On a phone they have no room beside one another. */}
      <select
        className="select select-sm figures steps-narrow sm:hidden"
        aria-label={phrase('player.question')}
        disabled={busy}
        value={place.at}
        onChange={({ target }) => onGo(Number(target.value))}
      >
        {Array.from({ length: place.count }, (_, question) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the set
          <option key={question} value={question} disabled={!may(question) && !here(question)}>
            {here(question) ? `${question + 1} / ${place.count}` : inWords(question)}
          </option>
        ))}
      </select>
      <ol className="flex flex-wrap max-sm:hidden">
        {Array.from({ length: place.count }, (_, question) => {
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the set
            <li key={question}>
              <button
                type="button"
                className="step"
                data-state={here(question) ? 'here' : stateOf(question)}
                disabled={!may(question) || busy}
                aria-label={inWords(question)}
                aria-current={here(question) ? 'step' : undefined}
                onClick={() => onGo(question)}
              >
                <span aria-hidden />
              </button>
            </li>
          );
        })}
      </ol>
      <p className="figures text-sm whitespace-nowrap max-sm:hidden">
        {place.section !== '' && `${place.section}: `}
        {phrase('player.questionOf', { n: place.at + 1, of: place.count })}
      </p>
    </nav>
  );
}
