import { type ReactNode, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { Revised } from '../contract';
import { type Collision, merge } from '../core';
import { type ApiResult, conflictIn } from './api';
import { Dialog } from './Dialog';
import { failureInWords } from './failureInWords';

interface Options<Content> {
  readonly first: Revised<Content>;
  readonly write: (content: Content, from: number) => Promise<ApiResult<Revised<Content>>>;
  /** A collision in words: where it is, and the values. */
  readonly inWords: (collision: Collision) => {
    readonly where: string;
    readonly mine: string;
    readonly theirs: string;
  };
}

type Choices = ReadonlyMap<Collision, 'mine' | 'theirs'>;

/**
 * Saves something whole with the revision it came from. If somebody else has saved it meanwhile, changes that do not
 * collide are merged and saved; for the others the person is asked, one by one. `save` returns what is saved; null:
 * nothing, and `problem` says why.
 */
export function useSaving<Content>({ first, write, inWords }: Options<Content>) {
  const [saved, setSaved] = useState(first);
  const [problem, setProblem] = useState('');
  const [asking, setAsking] = useState<{
    collisions: readonly Collision[];
    answer: (choices: Choices | null) => void;
  } | null>(null);
  const base = useRef(first);

  /** Changes are sent one after another, each with the revision of the one before. */
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const save = (content: Content): Promise<Content | null> => {
    const mine = line.current.then(() => saveNow(content));
    line.current = mine.catch(() => undefined);
    return mine;
  };
  const saveNow = async (content: Content): Promise<Content | null> => {
    let mine = content;
    let merged = false;
    for (;;) {
      const answer = await write(mine, base.current.revision);
      if (answer.ok) {
        base.current = answer.value;
        setSaved(answer.value);
        setProblem('');
        if (merged) toast('Somebody else changed this meanwhile', { description: 'Both changes are saved.' });
        return answer.value.content;
      }
      const theirs = conflictIn<Content>(answer.error);
      if (!theirs) {
        setProblem(failureInWords(answer.error));
        return null;
      }
      const { collisions } = merge(base.current.content, mine, theirs.content);
      const choices =
        collisions.length === 0
          ? new Map<Collision, 'mine' | 'theirs'>()
          : await new Promise<Choices | null>((done) => setAsking({ collisions, answer: done }));
      setAsking(null);
      if (choices === null) {
        base.current = theirs;
        setSaved(theirs);
        return theirs.content;
      }
      const chosen = new Map([...choices].map(([{ path }, choice]) => [JSON.stringify(path), choice]));
      mine = merge(
        base.current.content,
        mine,
        theirs.content,
        ({ path }) => chosen.get(JSON.stringify(path)) ?? 'theirs',
      ).value;
      base.current = theirs;
      merged = true;
    }
  };

  const dialog = asking && (
    <CollisionDialog collisions={asking.collisions} inWords={inWords} onAnswer={asking.answer} />
  );
  /** Later edits are made on the new revision. */
  const adopt = (now: Revised<Content>) => {
    base.current = now;
    setSaved(now);
  };
  return { saved, save, adopt, problem, dialog };
}

interface DialogProps {
  collisions: readonly Collision[];
  inWords: Options<unknown>['inWords'];
  onAnswer: (choices: Choices | null) => void;
}

/** The dialog for collisions: which of two people's changes to save. */
function CollisionDialog({ collisions, inWords, onAnswer }: DialogProps): ReactNode {
  const [choices, setChoices] = useState<Choices>(new Map(collisions.map((collision) => [collision, 'mine'] as const)));
  return (
    <Dialog title="Somebody else changed this meanwhile" onClose={() => onAnswer(null)}>
      <p className="mb-3">What you both changed is below. Everything else of yours and of theirs is saved.</p>
      <ul className="grid gap-3">
        {collisions.map((collision, i) => {
          const { where, mine, theirs } = inWords(collision);
          return (
            <li key={where}>
              <fieldset>
                <legend className="font-semibold">{where}</legend>
                {[['mine', 'Yours', mine] as const, ['theirs', 'Theirs', theirs] as const].map(
                  ([choice, whose, words]) => (
                    <label key={choice} className="flex items-center gap-2 py-0.5">
                      <input
                        type="radio"
                        className="radio radio-sm"
                        name={`collision-${i}`}
                        checked={choices.get(collision) === choice}
                        onChange={() => setChoices(new Map(choices).set(collision, choice))}
                      />
                      {whose}: {words}
                    </label>
                  ),
                )}
              </fieldset>
            </li>
          );
        })}
      </ul>
      <div className="flex justify-end gap-2 mt-4">
        <button type="button" className="btn btn-quiet" onClick={() => onAnswer(null)}>
          Discard mine
        </button>
        <button type="button" className="btn btn-primary" data-autofocus onClick={() => onAnswer(choices)}>
          Save this
        </button>
      </div>
    </Dialog>
  );
}
