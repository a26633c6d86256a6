import { Command as Palette } from 'cmdk';
import { Search } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { Found, FoundKind } from '../contract';
import { api } from './api';
import { Dialog } from './Dialog';
import { errorInWords } from './errorInWords';
import './palette.css';

const GROUPS: readonly (readonly [FoundKind, string])[] = [
  ['question', 'Questions'],
  ['set', 'Sets'],
  ['course', 'Courses'],
  ['release', 'Releases'],
  ['learner', 'Learners'],
];
/** Until no key is pressed for so long nothing is asked for, in milliseconds. */
const PAUSE_MS = 120;

function addressOf({ kind, id, course }: Found): string {
  switch (kind) {
    case 'question':
      return `/bench/${id}`;
    case 'set':
      return `/sets/${id}`;
    case 'course':
      return `/courses/${id}`;
    case 'release':
      return `/releases/${id}/results`;
    case 'learner':
      return `/courses/${course?.id}/report/${id}`;
  }
}

const keyOf = ({ kind, id }: Found): string => `${kind} ${id}`;

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable], dialog') !== null;

/** One field that finds questions, sets, courses, releases and learners; the / key opens it from every page. */
export function FindAnything() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== '/' || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      event.preventDefault();
      setOpen(true);
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
  return (
    <>
      <button
        type="button"
        className="flex items-center gap-2 min-h-9 px-3 text-mute bg-sheet border border-mute rounded-md cursor-pointer hover:text-ink"
        aria-keyshortcuts="/"
        onClick={() => setOpen(true)}
      >
        <Search size={16} aria-hidden /> <span className="max-sm:sr-only">Find anything</span>
        <kbd className="figures text-sm ms-6 max-sm:hidden" aria-hidden>
          /
        </kbd>
      </button>
      {open && <Finding onClose={() => setOpen(false)} />}
    </>
  );
}

function Finding({ onClose }: { onClose: () => void }) {
  const [words, setWords] = useState('');
  const { found, state } = useFound(words);
  const shown = GROUPS.flatMap(([kind]) => found.filter((one) => one.kind === kind));
  // With other words the first of what is found is at hand.
  const [at, setAt] = useState('');
  const first = shown[0] ? keyOf(shown[0]) : '';
  useEffect(() => setAt(first), [first]);
  return (
    <Dialog title="Find anything" onClose={onClose}>
      <Palette label="Find anything" shouldFilter={false} loop value={at} onValueChange={setAt}>
        <Palette.Input
          data-autofocus
          className="input w-full"
          placeholder="A word of a question, a set, a course, a release, or a learner’s name"
          value={words}
          onValueChange={setWords}
        />
        <p role="status" className="text-sm text-mute mt-2 min-h-5">
          {state}
        </p>
        <Palette.List className="max-h-96 overflow-auto mt-1">
          {GROUPS.map(([kind, title]) => {
            const own = found.filter((one) => one.kind === kind);
            return (
              own.length > 0 && (
                <Palette.Group key={kind} heading={title} className="palette-group">
                  {own.map((one) => (
                    <Palette.Item
                      key={one.id}
                      value={keyOf(one)}
                      className="palette-item"
                      onSelect={() => location.assign(addressOf(one))}
                    >
                      <span className="grow" dir="auto">
                        {one.title || 'Untitled question'}
                      </span>
                      {one.course && one.kind !== 'course' && (
                        <span className="text-sm text-mute" dir="auto">
                          {one.course.title}
                        </span>
                      )}
                    </Palette.Item>
                  ))}
                </Palette.Group>
              )
            );
          })}
        </Palette.List>
      </Palette>
    </Dialog>
  );
}

/** What is found for the words, once typing has paused; an answer that comes late is not shown. */
function useFound(words: string): { found: readonly Found[]; state: string } {
  const [found, setFound] = useState<readonly Found[]>([]);
  const [state, setState] = useState('');
  useEffect(() => {
    if (words.trim() === '') {
      setFound([]);
      setState('');
      return;
    }
    let late = false;
    const timer = setTimeout(async () => {
      const answer = await api('GET /api/search', { query: { words } });
      if (late) return;
      setFound(answer.ok ? answer.value : []);
      setState(
        !answer.ok
          ? errorInWords(answer.error)
          : answer.value.length === 0
            ? 'Nothing of yours has these words.'
            : answer.value.length === 1
              ? 'One is found.'
              : `${answer.value.length} are found.`,
      );
    }, PAUSE_MS);
    return () => {
      late = true;
      clearTimeout(timer);
    };
  }, [words]);
  return { found, state };
}
