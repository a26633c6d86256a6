import { type ReactNode, useContext, useEffect, useState } from 'react';
import { type Copy, copyOf, itemOf, type LearnerQuestion, type Verdict } from '../../../core';
import { Written } from '../../../scene/written';
import { locale, phrase } from '../../../words';
import { placesFor } from '../states';
import type { PlayerStore } from '../store';
import { itemName, listed, verdictInWords, zoneName } from '../words';

/** The pause after which a typed text is sent, in milliseconds. */
const TYPING_MS = 1000;
const MIN_CHARS = 8;
const MAX_CHARS = 26;

/**
 * The width of slots in characters: all alike, because different widths would tell the answer; the author may set
 * others.
 */
export function slotChars({ items, zones }: LearnerQuestion, zone: number): number {
  // Beside what a menu shows stands its arrow.
  const beside = zones.some(({ menu }) => menu) ? 5 : 2;
  const longest = Math.max(MIN_CHARS, ...items.map(({ label }) => label.length + beside));
  return zones[zone]?.chars ?? Math.min(MAX_CHARS, longest);
}

interface Props {
  store: PlayerStore;
  index: number;
  locked: boolean;
  /** Draws what lies in it. */
  draw: (copy: Copy) => ReactNode;
  onPut: (copy: Copy, zone: number | null) => void;
}

/**
 * A place in a text: it takes an item that is moved or pressed into it, or one chosen from its menu, or what is typed.
 */
export function Slot({ store, index, locked, draw, onPut }: Props) {
  const zone = store((s) => s.view.question.zones[index]);
  const state = store((s) => s.states.zones[index] ?? 'rest');
  const held = store((s) => s.held);
  const board = store((s) => s.board);
  const source = store.getState();
  const name = zoneName(source, index);
  const chars = `${slotChars(source.view.question, index)}ch`;
  const width = { minWidth: chars };
  // What is typed into or chosen from is as wide as the others, whatever it holds.
  const fixed = { minWidth: chars, width: chars };
  if (!zone) return null;
  if (zone.typed) return <TypedPart store={store} index={index} locked={locked} style={fixed} />;
  const inside = board.zones[index] ?? [];
  if (zone.menu) return <MenuPart store={store} index={index} locked={locked} onPut={onPut} style={fixed} />;
  return (
    <span
      className="slot"
      data-state={state}
      data-family={zone.family ?? undefined}
      data-zone-index={index}
      data-slot={index}
      style={width}
    >
      {inside.map(draw)}
      {inside.length === 0 && <span className="sr-only">{phrase('player.empty', { zone: name })}</span>}
      {held !== null && placesFor(source, held).includes(index) && (
        <button
          type="button"
          className="put-here"
          onClick={() => onPut(held, index)}
          aria-label={phrase('player.putInto', { item: itemName(source, itemOf(held)), zone: name })}
        />
      )}
    </span>
  );
}

type PartProps = Pick<Props, 'store' | 'index' | 'locked'> & { style?: { minWidth: string; width: string } };

/** The input of a typed zone. The text is sent with Enter, on leaving, and after a pause. */
export function TypedPart({ store, index, locked, style }: PartProps) {
  const written = useContext(Written);
  const kept = store((s) => s.board.texts.get(index) ?? '');
  const zone = store((s) => s.view.question.zones[index]);
  const verdict = store((s) =>
    s.showsModel ? 'none' : (s.told?.typed.find((candidate) => candidate.zone === zone?.id)?.verdict ?? 'none'),
  );
  const spelling = store((s) =>
    s.showsModel ? undefined : s.told?.typed.find((candidate) => candidate.zone === zone?.id)?.spelling,
  );
  const [draft, setDraft] = useState<string | null>(null);
  const keep = () => {
    if (draft !== null && draft !== kept && zone) store.getState().move({ kind: 'put', zone: zone.id, text: draft });
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: from the last key on
  useEffect(() => {
    const timer = setTimeout(keep, TYPING_MS);
    return () => clearTimeout(timer);
  }, [draft]);
  const input = (
    <span className="slot slot-typed" data-verdict={verdict} data-zone-index={index} style={style}>
      <input
        type="text"
        aria-label={listed(
          zoneName(store.getState(), index),
          verdictInWords(verdict),
          spelling ? phrase('player.spelledSo', { spelling }) : '',
        )}
        lang={zone?.lang ?? written ?? undefined}
        dir="auto"
        autoComplete="off"
        autoCapitalize="none"
        spellCheck={false}
        maxLength={200}
        disabled={locked}
        value={draft ?? kept}
        onChange={(event) => setDraft(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && keep()}
        onBlur={() => {
          keep();
          setDraft(null);
        }}
      />
      <Seal verdict={verdict} />
    </span>
  );
  if (!spelling) return input;
  return (
    <>
      {input}
      <span className="slot-spelling" title={phrase('player.howSpelled')}>
        {spelling}
      </span>
    </>
  );
}

/** A slot answered from a menu of the remaining items it could take. */
export function MenuPart({ store, index, locked, onPut, style }: PartProps & Pick<Props, 'onPut'>) {
  const state = store();
  const { model, board, verdicts } = state;
  const inside = board.zones[index]?.[0] ?? null;
  const verdict = inside === null || state.showsModel ? 'none' : (verdicts.get(inside) ?? 'none');
  const choices = model.items.flatMap(({ copies }, item): Copy[] => {
    if (inside !== null && itemOf(inside) === item) return [inside];
    for (let n = 0; n < copies; n++) {
      const copy = copyOf(item, n);
      if (!board.zoneOf.has(copy)) return placesFor(state, copy).includes(index) ? [copy] : [];
    }
    return [];
  });
  // Sorted by the alphabet: the author's order could give the answer away.
  const named = choices
    .map((copy) => ({ copy, name: itemName(state, itemOf(copy)) }))
    .sort((a, b) => a.name.localeCompare(b.name, locale()));
  return (
    <span className="slot slot-menu" data-verdict={verdict} data-zone-index={index} style={style}>
      <select
        aria-label={listed(zoneName(state, index), verdictInWords(verdict))}
        disabled={locked}
        value={inside ?? ''}
        onChange={({ target }) =>
          target.value === '' ? inside !== null && onPut(inside, null) : onPut(Number(target.value) as Copy, index)
        }
      >
        <option value="">…</option>
        {named.map(({ copy, name }) => (
          <option key={copy} value={copy}>
            {name}
          </option>
        ))}
      </select>
      <Seal verdict={verdict} />
    </span>
  );
}

/** The mark of a verdict, beside what was typed or chosen. */
const Seal = ({ verdict }: { verdict: Verdict }) =>
  verdict !== 'none' && (
    <span className="slot-seal" aria-hidden>
      {verdict === 'right' ? '✓' : '↩'}
    </span>
  );
