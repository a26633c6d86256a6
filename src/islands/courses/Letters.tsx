import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { letterGrades } from '../../contract';
import type { LetterGrade } from '../../core';
import { api, mapped } from '../../ui';
import { numberFrom } from '../../ui/numbers';
import { useSaving } from '../../ui/saving';
import type { Course } from './course';
import { Problem } from './Part';

interface Typed {
  readonly key: number;
  readonly letter: string;
  /** Percent, as it is typed. */
  readonly from: string;
}

const typedFrom = (letters: readonly LetterGrade[]): Typed[] =>
  letters.map(({ letter, from }, key) => ({ key, letter, from: String(Math.round(from * 1e6) / 1e4) }));

/** What is typed as letter grades, or what is wrong with it. */
function read(typed: readonly Typed[]): { letters: LetterGrade[]; problem: string } {
  const letters: LetterGrade[] = [];
  for (const { letter, from } of typed) {
    const { value, problem } = numberFrom(from, 0, 100);
    if (problem !== null) return { letters: [], problem: `${letter || 'A letter'}: ${problem}` };
    letters.push({ letter: letter.trim(), from: value / 100 });
  }
  try {
    letterGrades.validateSync(letters, { strict: true });
  } catch (error) {
    return { letters: [], problem: (error as Error).message };
  }
  return { letters: letters.toSorted((a, b) => b.from - a.from), problem: '' };
}

const inWords = (letters: readonly LetterGrade[]) =>
  letters.length === 0
    ? 'none'
    : letters.map(({ letter, from }) => `${letter} from ${Math.round(from * 1e4) / 100} %`).join(', ');

/** The letter grades of a course, each with the share of the overall mark that it begins at. */
export function Letters({ course }: { course: Course }) {
  const [typed, setTyped] = useState(() => typedFrom(course.letters));
  const [told, setTold] = useState('');
  const { saved, save, problem, dialog } = useSaving<{ letters: readonly LetterGrade[] }>({
    first: { revision: course.revision, content: { letters: course.letters } },
    write: async (content, from) =>
      mapped(
        await api('PATCH /api/courses/{id}', { id: course.id, body: { ...content, from } }),
        ({ letters, revision }) => ({ revision, content: { letters } }),
      ),
    inWords: ({ mine, theirs }) => ({
      where: 'The letter grades of the course',
      mine: inWords((mine ?? []) as LetterGrade[]),
      theirs: inWords((theirs ?? []) as LetterGrade[]),
    }),
  });
  const change = (key: number, to: Partial<Typed>) =>
    setTyped(typed.map((one) => (one.key === key ? { ...one, ...to } : one)));
  const now = read(typed);
  const isSaved = now.problem === '' && inWords(now.letters) === inWords(saved.content.letters);
  return (
    <form
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        setTold(now.problem);
        // The name is saved on the same revision, so the page has to update it.
        if (now.problem === '' && (await save({ letters: now.letters }))) location.reload();
      }}
    >
      <ul className="grid gap-2">
        {typed.map(({ key, letter, from }) => (
          <li key={key} className="flex items-center gap-2">
            <input
              className="input w-24"
              aria-label="Letter"
              maxLength={10}
              value={letter}
              onChange={(event) => change(key, { letter: event.target.value })}
            />
            <span>from</span>
            <input
              className="input figures w-24"
              inputMode="decimal"
              aria-label={`${letter || 'Letter'}: from so many percent`}
              value={from}
              onChange={(event) => change(key, { from: event.target.value })}
            />
            <span>%</span>
            <button
              type="button"
              className="btn btn-quiet btn-square btn-sm"
              aria-label={`Remove ${letter || 'this letter'}`}
              onClick={() => setTyped(typed.filter((one) => one.key !== key))}
            >
              <X size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2 mt-3">
        <button
          type="button"
          className="btn btn-edge"
          onClick={() =>
            setTyped([...typed, { key: Math.max(-1, ...typed.map(({ key }) => key)) + 1, letter: '', from: '' }])
          }
        >
          <Plus size={18} aria-hidden /> Add a letter
        </button>
        <button type="submit" className="btn btn-primary" disabled={isSaved}>
          Keep these letters
        </button>
      </div>
      {(told || problem) && <Problem words={told || problem} />}
      {dialog}
    </form>
  );
}
