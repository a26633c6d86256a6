import { useRef, useState } from 'react';
import {
  applyAll,
  type Fixture,
  type KeyEntry,
  type Question,
  readTyped,
  refTo,
  remove,
  setItem,
  setZone,
  type Zone,
} from '../../../core';
import { freshId, newItem, richFromPlain } from '../../../core/document';
import {
  type Answering,
  answeredBy,
  answeringOf,
  anyOrder,
  gapsLaidOut,
  gapText,
  liftOut,
  putBack,
  type Stretch,
} from '../../../core/kinds';
import { Choice } from '../../../ui/Choice';
import { Typed } from '../../../ui/Typed';
import { Section } from '../parts/Section';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { become } from './become';
import { ChangeText } from './ChangeText';

type TextFixture = Extract<Fixture, { type: 'text' }>;

/** Words are lifted out of a text by pressing them; each leaves a gap. */
export function GapsEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const text = gapText(question);
  const gaps = question.zones.filter(({ shape }) => shape.type === 'slot');
  return (
    <>
      <Section title="Text">
        {text ? (
          <>
            <Words store={store} text={text} />
            <ChangeText store={store} text={text} />
          </>
        ) : (
          <p className="text-mute">There is no text yet. Write one, or begin with “From a list or text…”.</p>
        )}
        <NewText store={store} text={text} gaps={gaps.length} />
      </Section>
      {gaps.length > 0 && (
        <Section title="Gaps" note={String(gaps.length)}>
          <Gaps store={store} gaps={gaps} />
        </Section>
      )}
      {gaps.length > 0 && (
        <Section title="Words that belong in no gap">
          <Distractors store={store} />
        </Section>
      )}
    </>
  );
}

/**
 * The words from one to another that are selected on the page; null where it is one word or none, or they are of two
 * paragraphs.
 */
function selectedPhrase(): Stretch | null {
  const selection = getSelection();
  const [a, b] = [selection?.anchorNode, selection?.focusNode].map((node) =>
    node?.parentElement?.closest<HTMLElement>('[data-word]')?.dataset.word?.split(' ').map(Number),
  );
  if (!a || !b || a[0] !== b[0] || a[1] === b[1]) return null;
  return {
    block: a[0] as number,
    from: Math.min(a[1] as number, b[1] as number),
    to: Math.max(a[2] as number, b[2] as number),
  };
}

/**
 * The text, word by word: a press lifts a word out; words selected with the pointer, or pressed first and last with
 * Shift, are lifted out as one; a press on a gap puts its words back.
 */
function Words({ store, text }: { store: BenchStore; text: TextFixture }) {
  const question = store((s) => s.question);
  const first = useRef<{ block: number; from: number } | null>(null);
  const lift = (block: number, from: number, to: number, shift: boolean) => {
    const start = shift && first.current?.block === block ? Math.min(first.current.from, from) : from;
    if (shift && first.current === null) {
      first.current = { block, from };
      return;
    }
    first.current = null;
    become(store, (now) => gapsLaidOut(liftOut(now, text.id, { block, from: start, to })), 'Lifted out');
  };
  const answers = (zone: string) => {
    const belongs = question.key.find((entry) => entry.zone === zone)?.belongs ?? [];
    return belongs.map((id) => question.items.find((item) => item.id === id)?.label ?? id).join(' / ');
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: what the pointer selects here, the keys reach word by word
    <div
      className="border border-rule bg-paper px-3 py-2 leading-8"
      data-gap-text
      onMouseUp={() => {
        const phrase = selectedPhrase();
        if (!phrase) return;
        getSelection()?.removeAllRanges();
        first.current = null;
        become(store, (now) => gapsLaidOut(liftOut(now, text.id, phrase)), 'Lifted out');
      }}
    >
      {text.text.blocks.map((block, b) => {
        if (block.type !== 'paragraph') return null;
        let at = 0;
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a paragraph is its place in the text
          <p key={b} dir={block.dir ?? 'auto'}>
            {block.runs.map((run) => {
              const from = at;
              at += run.text === undefined ? 1 : run.text.length;
              if (run.slot !== undefined)
                return (
                  <button
                    key={run.slot}
                    type="button"
                    className="mx-0.5 px-2 rounded border-2 border-brass bg-brass-wash font-semibold cursor-pointer hover:line-through"
                    aria-label={`Put “${answers(run.slot)}” back into the text`}
                    onClick={() =>
                      become(store, (now) => gapsLaidOut(putBack(now, run.slot as Zone['id'])), 'Put back')
                    }
                  >
                    {answers(run.slot)}
                  </button>
                );
              return [...(run.text ?? '').matchAll(/[\p{L}\p{N}\p{M}'’°%+−-]+|[^\p{L}\p{N}\p{M}'’°%+−-]+/gu)].map(
                ({ 0: piece, index }) =>
                  /[\p{L}\p{N}]/u.test(piece) ? (
                    <button
                      key={`${from}-${index}`}
                      type="button"
                      className="rounded px-0.5 cursor-pointer select-text hover:bg-brass-wash"
                      data-word={`${b} ${from + index} ${from + index + piece.length}`}
                      aria-label={`Lift “${piece}” out`}
                      onClick={(event) => {
                        if (event.shiftKey) return lift(b, from + index, from + index + piece.length, true);
                        first.current = null;
                        lift(b, from + index, from + index + piece.length, false);
                      }}
                    >
                      {piece}
                    </button>
                  ) : (
                    <span key={`${from}-${index}`}>{piece}</span>
                  ),
              );
            })}
          </p>
        );
      })}
      <p className="text-sm text-mute leading-normal mt-1">
        Press a word to lift it out, or select several for a phrase. With the keys: Shift and Enter on its first word,
        then on its last.
      </p>
    </div>
  );
}

/** A text to begin with, or another sentence for the same words. */
function NewText({ store, text, gaps }: { store: BenchStore; text: TextFixture | null; gaps: number }) {
  const [words, setWords] = useState('');
  const make = () => {
    const rich = richFromPlain(words.trim());
    if (!rich) return;
    become(
      store,
      (now) => {
        const without = applyAll(
          now,
          remove(
            now,
            new Set(now.zones.flatMap((zone) => (zone.shape.type === 'slot' ? [refTo('zone', zone.id)] : []))),
          ),
        );
        const fixture: TextFixture = {
          ...(text ?? {
            type: 'text',
            label: 'Text',
            x: 28,
            y: 20,
            w: now.scene.width - 56,
            h: 120,
            rotation: 0,
            front: false,
            when: null,
          }),
          id: 'text' as Fixture['id'],
          text: rich,
        } as TextFixture;
        return gapsLaidOut({
          ...without,
          kind: 'gaps',
          fixtures: [fixture, ...without.fixtures.filter(({ id }) => id !== text?.id)],
        });
      },
      'The text is there',
    );
    setWords('');
  };
  return (
    <details className="mt-2" open={text === null}>
      <summary className="cursor-pointer text-mute">{text ? 'Another text' : 'Write or paste a text'}</summary>
      <textarea
        aria-label="Text of the question"
        rows={4}
        className="textarea w-full mt-1"
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      {gaps > 0 && (
        <p className="text-sm text-mute">
          The words that were lifted out stay as items; the gaps go with the old text.
        </p>
      )}
      <button type="button" className="btn btn-edge btn-sm mt-1" disabled={words.trim() === ''} onClick={make}>
        Use this text
      </button>
    </details>
  );
}

function Gaps({ store, gaps }: { store: BenchStore; gaps: readonly Zone[] }) {
  const question = store((s) => s.question);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const act = store.getState().do;
  const now = () => store.getState().question;
  const those = gaps.filter(({ id }) => chosen.size === 0 || chosen.has(id));
  const ids = new Set<string>(those.map(({ id }) => id));
  const ways = new Set(those.map(answeringOf));
  const families = new Set(those.map(({ family }) => family));
  const chars = new Set(those.map((zone) => zone.chars));
  const answers = (zone: Zone) =>
    (question.key.find((entry) => entry.zone === zone.id)?.belongs ?? []).map(
      (id) => question.items.find((item) => item.id === id)?.label ?? id,
    );
  return (
    <>
      <ul className="mb-2">
        {gaps.map((zone) => (
          <li key={zone.id} className="flex items-baseline gap-2 border-b border-rule py-1">
            <label className="flex items-baseline gap-2 grow">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={chosen.has(zone.id)}
                onChange={() =>
                  setChosen(
                    chosen.has(zone.id)
                      ? new Set([...chosen].filter((id) => id !== zone.id))
                      : new Set([...chosen, zone.id]),
                  )
                }
              />
              <span>{zone.label || zone.id}</span>
              <span className="font-semibold">{answers(zone).join(' / ')}</span>
            </label>
            {zone.family && <span className="figures text-sm border border-ink px-1">{zone.family}</span>}
            <span className="text-sm text-mute">{HOW_WORDS[answeringOf(zone)]}</span>
          </li>
        ))}
      </ul>
      <p className="text-sm text-mute mb-1">
        {chosen.size === 0
          ? 'What follows is for all of them; tick some for those alone.'
          : `What follows is for the ${chosen.size} that are ticked.`}
      </p>
      <Choice
        label="Answered"
        options={[
          ['moved', 'by moving words'],
          ['menu', 'from a menu'],
          ['typed', 'by typing'],
        ]}
        value={ways.size === 1 ? ([...ways][0] as Answering) : null}
        onChoose={(how) => become(store, (q) => gapsLaidOut(answeredBy(q, ids, how)), `Answered ${HOW_WORDS[how]}`)}
      />
      <Setting label="Family">
        <Typed
          label="Family of these gaps and their words"
          className="input input-sm w-32"
          value={families.size === 1 ? ([...families][0] ?? '') : ''}
          placeholder={families.size > 1 ? 'they differ' : 'none'}
          onTyped={(name) => act(familyOf(now(), ids, name.trim() || null), 'Family set')}
        />
        <span className="text-sm text-mute">words of a family fit its gaps alone</span>
      </Setting>
      <Setting label="Width">
        <NumberSetting
          label="Width of these gaps, in characters"
          value={chars.size === 1 ? ([...chars][0] ?? null) : undefined}
          least={1}
          most={80}
          whole
          empty="all alike"
          onSet={(n) => act(those.flatMap(({ id }) => setZone(now(), id, 'chars', n)))}
        />
        {new Set(gaps.map((zone) => zone.chars)).size > 1 && (
          <span className="text-sm text-brick">Widths that differ give the words away.</span>
        )}
      </Setting>
      {those.length > 1 && (
        <button
          type="button"
          className="btn btn-edge btn-xs mt-2"
          onClick={() => become(store, (q) => anyOrder(q, ids), 'Each of their words is right in each')}
        >
          Take each other’s words, in any order
        </button>
      )}
      {those
        .filter(({ typed }) => typed)
        .map((zone) => (
          <Spellings key={zone.id} store={store} zone={zone} />
        ))}
    </>
  );
}

const HOW_WORDS: Readonly<Record<Answering, string>> = { moved: 'by moving', menu: 'from a menu', typed: 'by typing' };

/** Gaps and what belongs in them, as a block of choices of their own. */
const familyOf = (question: Question, zones: ReadonlySet<string>, family: string | null) => {
  const words = new Set<string>(
    question.key.filter(({ zone }) => zones.has(zone)).flatMap(({ belongs }) => belongs ?? []),
  );
  return [
    ...question.zones.filter(({ id }) => zones.has(id)).flatMap(({ id }) => setZone(question, id, 'family', family)),
    ...question.items.filter(({ id }) => words.has(id)).flatMap(({ id }) => setItem(question, id, 'family', family)),
  ];
};

/** What is accepted in a typed gap, and how a text would be read. */
function Spellings({ store, zone }: { store: BenchStore; zone: Zone }) {
  const question = store((s) => s.question);
  const [tried, setTried] = useState('');
  const { typed } = zone;
  if (!typed) return null;
  const set = (next: Partial<NonNullable<Zone['typed']>>) =>
    store.getState().do(setZone(store.getState().question, zone.id, 'typed', { ...typed, ...next }));
  const read = tried.trim() === '' ? null : readTyped(question, zone.id, tried);
  const entry: KeyEntry | undefined = question.key.find((entry) => entry.zone === zone.id);
  const right = read !== null && read !== undefined && entry?.belongs?.includes(read as never);
  return (
    <fieldset className="border border-rule px-3 py-2 mt-2">
      <legend className="font-semibold px-1">{zone.label}</legend>
      {Object.entries(typed.accept).map(([id, spellings]) => (
        <div key={id} className="mb-1">
          <span className="text-mute">
            Accepted for “{question.items.find((item) => item.id === id)?.label ?? id}”, with commas between
          </span>
          <Typed
            label={`Accepted spellings for ${question.items.find((item) => item.id === id)?.label ?? id} in ${zone.label}`}
            className="input input-sm w-full"
            value={spellings.join(', ')}
            onTyped={(words) =>
              set({
                accept: {
                  ...typed.accept,
                  [id]: words
                    .split(',')
                    .map((word) => word.trim())
                    .filter(Boolean),
                },
              })
            }
          />
        </div>
      ))}
      <div className="flex flex-wrap gap-x-4 gap-y-1 items-center">
        {(
          [
            ['case', 'capitals matter'],
            ['accents', 'accents matter'],
          ] as const
        ).map(([field, words]) => (
          <label key={field} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={typed[field]}
              onChange={(event) => set({ [field]: event.target.checked })}
            />{' '}
            {words}
          </label>
        ))}
        <label className="flex items-center gap-2">
          slips forgiven
          <select
            aria-label={`Slips forgiven in ${zone.label}`}
            className="select select-xs w-14"
            value={typed.slips}
            onChange={(event) => set({ slips: Number(event.target.value) })}
          >
            {[0, 1, 2].map((n) => (
              <option key={n}>{n}</option>
            ))}
          </select>
        </label>
      </div>
      <label className="flex items-center gap-2 mt-1">
        <span className="text-mute">Try a text</span>
        <input
          aria-label={`Try a text in ${zone.label}`}
          className="input input-sm w-36"
          value={tried}
          onChange={(event) => setTried(event.target.value)}
        />
        <span role="status">{tried.trim() === '' ? '' : right ? 'counts as right' : 'counts as wrong'}</span>
      </label>
    </fieldset>
  );
}

function Distractors({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const [words, setWords] = useState('');
  const gaps = question.zones.filter(({ shape }) => shape.type === 'slot');
  const families = [...new Set(gaps.flatMap(({ family }) => family ?? []))];
  const [chosen, setFamily] = useState('');
  // A word of no family fits no gap where every gap takes one.
  const family = gaps.some((gap) => gap.family === null) || chosen !== '' ? chosen : (families[0] ?? '');
  const used = new Set<string>(question.key.flatMap(({ belongs }) => belongs ?? []));
  const others = question.items.filter(({ id }) => !used.has(id));
  const add = () => {
    const labels = words
      .split(/[\n,\t]/)
      .map((word) => word.trim())
      .filter(Boolean);
    become(
      store,
      (now) => {
        const taken = new Set<string>(now.items.map(({ id }) => id));
        const made = labels.map((label) => {
          const id = freshId('word', taken);
          taken.add(id);
          return newItem({ id: id as Question['items'][number]['id'], label, family: family || null });
        });
        return gapsLaidOut({ ...now, items: [...now.items, ...made] });
      },
      'Added',
    );
    setWords('');
  };
  return (
    <>
      <p>
        {others.length === 0 ? (
          <span className="text-mute">None: the last gap can be filled by what is left over.</span>
        ) : (
          others.map(({ label }) => label).join(', ')
        )}
      </p>
      <div className="flex gap-2 mt-1">
        <input
          aria-label="Words that belong in no gap"
          className="input input-sm grow"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && words.trim() !== '' && add()}
        />
        {families.length > 0 && (
          <select
            aria-label="Family of the words that belong in no gap"
            className="select select-sm w-32"
            value={family}
            onChange={(event) => setFamily(event.target.value)}
          >
            {gaps.some((gap) => gap.family === null) && <option value="">no family</option>}
            {families.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </select>
        )}
        <button type="button" className="btn btn-edge btn-sm" disabled={words.trim() === ''} onClick={add}>
          Add
        </button>
      </div>
    </>
  );
}
