import { describe, expect, it } from 'vitest';
import { seeds } from '../../../../tests/support/seeds';
import { newQuestion } from '../../document/make';
import type { Letters, Question } from '../../document/schema';
import { fontOf } from './fonts';
import { textBox } from './texts';

const letters = (changes: Partial<Letters>): Letters => ({ face: null, ownFace: null, size: null, ...changes });
const dressed = (of: Letters | null): Question => ({
  ...newQuestion('dressed', 'Dressed'),
  dress: of && { ground: null, letters: of },
});

describe('the font of a text', () => {
  it('takes from the question what the text does not say itself, as the page draws it', () => {
    const question = dressed(letters({ face: 'joined', size: 30 }));
    const joined = fontOf(question, 18).advances;
    expect(joined?.length).toBeGreaterThan(300);
    expect(fontOf(question, 18)).toEqual({ size: 36, advances: joined });
    expect(fontOf(question, 18, letters({ size: 15 }))).toEqual({ size: 18, advances: joined });
    expect(fontOf(question, 18, letters({ face: 'narrow' })).size).toBe(36);
    expect(fontOf(question, 18, letters({ face: 'narrow' })).advances).not.toEqual(joined);
  });

  it('decides how far down the words of a text with gaps reach', () => {
    const text = { blocks: [{ type: 'paragraph', runs: [{ text: 'A lot is dried to ' }, { slot: 'gap' }] }] };
    const [fixture] = seeds({
      fixtures: [{ id: 'text', type: 'text', x: 0, y: 0, w: 400, h: 900, text }],
      zones: [{ id: 'gap', label: 'Gap', shape: { type: 'slot' } }],
      key: [],
    }).fixtures;
    if (fixture?.type !== 'text') throw new Error('There is no text');
    const deep = (question: Question, own: Letters | null = null) =>
      textBox(question, { ...fixture, letters: own })?.h ?? 0;
    const plain = deep(dressed(null));
    expect(plain).toBeGreaterThan(0);
    expect(deep(dressed(letters({ size: 30 })))).toBeGreaterThanOrEqual(2 * plain);
    expect(deep(dressed(null), letters({ size: 30 }))).toBe(deep(dressed(letters({ size: 30 }))));
  });
});
