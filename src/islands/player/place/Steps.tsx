import type { Place } from '../types';

/** The progress in a set: a block for each question, a link if the learner may go there. */
export function Steps({ place, busy, onGo }: { place: Place; busy: boolean; onGo: (question: number) => void }) {
  if (place.count === 1) return null;
  const stateOf = (question: number) =>
    place.ended.includes(question)
      ? 'finished'
      : place.tried.includes(question)
        ? 'tried'
        : question <= place.reached
          ? 'open'
          : 'to come';
  return (
    <nav aria-label="Questions" className="flex flex-wrap items-center gap-2">
      <p className="figures text-sm whitespace-nowrap">
        {place.section !== '' && `${place.section}: `}question {place.at + 1} of {place.count}
      </p>
      <ol className="flex flex-wrap">
        {Array.from({ length: place.count }, (_, question) => {
          const state = stateOf(question);
          const here = question === place.at;
          const may = !here && (place.finished || (question <= place.reached && place.goBack));
          const words = `Question ${question + 1}, ${here ? 'you are here' : state}`;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the set
            <li key={question}>
              <button
                type="button"
                className="step"
                data-state={here ? 'here' : state}
                disabled={!may || busy}
                aria-label={words}
                aria-current={here ? 'step' : undefined}
                onClick={() => onGo(question)}
              >
                <span aria-hidden />
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
