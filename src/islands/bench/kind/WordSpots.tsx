import { useEffect, useState } from 'react';
import { type Box, type Fixture, type Question, refTo, setQuestion } from '../../../core';
import { withoutSpot, withSpotOver } from '../../../core/kinds';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { become } from './become';

type TextFixture = Extract<Fixture, { type: 'text' }>;

/** A word of a text on the scene, and where it is drawn: in scene units. */
interface Word {
  readonly words: string;
  readonly box: Box;
}

/**
 * The words of a text as they are drawn on the scene at the Bench, by the browser that draws them; those that are
 * turned are left out.
 */
function wordsDrawn(fixture: TextFixture): Word[] {
  const shown = document.querySelector<HTMLElement>(
    `[data-bench-scene] [data-ref="${CSS.escape(refTo('fixture', fixture.id))}"]`,
  );
  if (!shown || fixture.rotation !== 0) return [];
  const frame = shown.getBoundingClientRect();
  const scale = frame.width / fixture.w;
  const found: Word[] = [];
  const walker = document.createTreeWalker(shown, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode())
    for (const { 0: words, index } of (node.textContent ?? '').matchAll(/[\p{L}\p{N}\p{M}'’°%+−-]+/gu)) {
      const range = document.createRange();
      range.setStart(node, index);
      range.setEnd(node, index + words.length);
      const at = range.getBoundingClientRect();
      found.push({
        words,
        box: {
          x: fixture.x + (at.left - frame.left) / scale,
          y: fixture.y + (at.top - frame.top) / scale,
          w: at.width / scale,
          h: at.height / scale,
        },
      });
    }
  return found;
}

const isText = (one: Fixture): one is TextFixture => one.type === 'text';
const drawn = ({ fixtures }: Question): Word[] => fixtures.filter(isText).flatMap(wordsDrawn);
const spotOn = ({ zones }: Question, box: Box) =>
  zones.find(({ hidden, shape }) => hidden && shape.type === 'rect' && covers(shape, middle(box)));
const spottedIn = (question: Question): Set<number> =>
  new Set(drawn(question).flatMap(({ box }, i) => (spotOn(question, box) ? [i] : [])));

const middle = ({ x, y, w, h }: Box) => ({ x: Math.round(x + w / 2), y: Math.round(y + h / 2) });

/** Spots in a text: a press on a word makes it one, and another press takes it away. */
export function WordSpots({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const texts = question.fixtures.filter(isText);
  const [spotted, setSpotted] = useState<ReadonlySet<number>>(new Set());
  useEffect(() => setSpotted(spottedIn(question)), [question]);
  if (texts.length === 0) return null;
  // As the words are named, one after another; where they are is looked up when one is pressed.
  const words = texts.flatMap(({ text: { blocks } }) =>
    blocks
      .flatMap((block) => (block.type === 'paragraph' ? [block.runs] : block.entries))
      .flatMap((runs) => [
        ...runs
          .map((run) => run.text ?? ' ')
          .join('')
          .matchAll(/[\p{L}\p{N}\p{M}'’°%+−-]+/gu),
      ]),
  );
  const toggle = (index: number) => {
    const word = drawn(question)[index];
    if (!word) return;
    const spot = spotOn(question, word.box);
    become(
      store,
      (now) => (spot ? withoutSpot(now, spot.id) : withSpotOver(now, word.words, word.box)),
      spot ? `${word.words} is no spot` : `${word.words} is a spot`,
    );
  };
  const named = () => {
    const { show } = store.getState().question;
    const places = drawn(question).map(({ words: label, box }) => ({ label, ...middle(box) }));
    store
      .getState()
      .do(
        setQuestion(store.getState().question, 'show', { ...show, places: places.slice(0, 500) }),
        'Every word is a place by name',
      );
  };
  return (
    <Section title="Spots in the text">
      <p className="leading-8 border border-rule bg-paper px-3 py-1">
        {words.map(({ 0: word }, i) => (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: a word is its place in the text
            key={i}
            type="button"
            className={`rounded px-0.5 me-1 min-w-6 cursor-pointer ${spotted.has(i) ? 'bg-brass-wash font-semibold' : 'hover:bg-brass-wash'}`}
            aria-pressed={spotted.has(i)}
            onClick={() => toggle(i)}
          >
            {word}
          </button>
        ))}
      </p>
      <p className="text-sm text-mute mt-1">
        A press makes a word a spot, or takes it away. Where it stands is measured on the scene: move the text first.
      </p>
      <button type="button" className="btn btn-edge btn-xs mt-1" onClick={named}>
        Name every word as a place
      </button>
    </Section>
  );
}

const covers = (shape: { x: number; y: number; w: number; h: number }, at: { x: number; y: number }) =>
  at.x >= shape.x && at.x <= shape.x + shape.w && at.y >= shape.y && at.y <= shape.y + shape.h;
