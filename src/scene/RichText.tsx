import { createElement, type ReactElement, useContext } from 'react';
import type { MathElement, Rich } from '../core';
import { Slots } from './slots';
import { Written } from './written';

type Run = Extract<Rich['blocks'][number], { type: 'paragraph' }>['runs'][number];

const COLOURS = {
  ink: 'text-ink',
  mute: 'text-mute',
  brass: 'text-brass',
  verdigris: 'text-verdigris',
  brick: 'text-brick',
} as const;

/** A formula as MathML. `words`: how it is spoken. */
function mathOf({ is, with: attributes, holds }: MathElement, words?: string): ReactElement {
  const inner = holds.map((part) => (typeof part === 'string' ? part : mathOf(part)));
  return createElement(is, { ...attributes, ...(words ? { 'aria-label': words } : {}) }, ...inner);
}

function Runs({ runs }: { runs: readonly Run[] }) {
  const slots = useContext(Slots);
  return runs.map(({ text, slot, strong, em, mono, colour, lang, formula }, i) => {
    if (slot !== undefined) return <span key={slot}>{slots ? slots(slot) : <span className="slot slot-blank" />}</span>;
    const plain = formula ? mathOf(formula.math, text) : mono ? <code className="code">{text}</code> : text;
    const words = em ? <em>{plain}</em> : plain;
    return (
      // A run has no name of its own; its place is what it is known by.
      // biome-ignore lint/suspicious/noArrayIndexKey: see above
      <span key={i} lang={lang} className={colour ? COLOURS[colour] : undefined}>
        {strong ? <strong>{words}</strong> : words}
      </span>
    );
  });
}

/** Rich text as elements: nothing of it is ever set as markup. */
export function RichText({ rich }: { rich: Rich }) {
  const lang = useContext(Written) ?? undefined;
  return rich.blocks.map((block, i) => {
    const key = `${block.type}-${i}`;
    if (block.type === 'paragraph')
      return (
        <p key={key} lang={lang} dir={block.dir ?? 'auto'}>
          <Runs runs={block.runs} />
        </p>
      );
    const List = block.ordered ? 'ol' : 'ul';
    return (
      <List
        key={key}
        lang={lang}
        dir={block.dir ?? 'auto'}
        className={`${block.ordered ? 'list-decimal' : 'list-disc'} ps-6`}
      >
        {block.entries.map((runs, j) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an entry has no name of its own either
          <li key={`${key}-${runs.map((r) => r.text).join('')}-${j}`}>
            <Runs runs={runs} />
          </li>
        ))}
      </List>
    );
  });
}
