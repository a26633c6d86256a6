import { describe, expect, it } from 'vitest';
import { newItem, newQuestion, newZone } from '../document/make';
import type { Question } from '../document/schema';
import { questionSchema } from '../document/schema';
import { dressLike } from './dress';
import { applyAll } from './edit';

const hash = (digit: string) => digit.repeat(64);
const shape = { type: 'rect', x: 0, y: 0, w: 90, h: 90 } as const;
const whole = (question: unknown) => questionSchema.cast(question) as Question;

const other = whole({
  ...newQuestion('shown', 'The one that is copied'),
  dress: {
    ground: { texture: 'linen', picture: 'bench' },
    letters: { ownFace: 'hand', size: 18 },
  },
  media: {
    bench: { hash: hash('a'), kind: 'picture' },
    hand: { hash: hash('b'), kind: 'font' },
    unused: { hash: hash('c'), kind: 'picture' },
  },
  looks: {
    ticket: { of: 'item', states: { rest: { picture: 'bench', fill: 'paper' } } },
    lone: { of: 'item' },
  },
  items: [
    newItem({ id: 'a' as never, label: 'A', look: 'ticket' }),
    newItem({ id: 'b' as never, label: 'B', look: 'ticket' }),
    newItem({ id: 'c' as never, label: 'C', look: 'lone' }),
  ],
  zones: [newZone({ id: 'z' as never, label: 'Z', shape })],
});

const plain = whole({
  ...newQuestion('plain', 'The one that is dressed'),
  media: { bench: { hash: hash('d'), kind: 'picture' } },
  looks: { own: { of: 'zone', states: { rest: { fill: 'brassWash' } } } },
  items: [newItem({ id: 'x' as never, label: 'X' })],
  zones: [newZone({ id: 'y' as never, label: 'Y', shape, look: 'own' })],
});

describe('dressing a question like another', () => {
  const dressed = applyAll(plain, dressLike(plain, other));

  it('takes ground, letters and what most items wear, with their media under free names', () => {
    expect(dressed.dress?.ground).toMatchObject({ texture: 'linen', picture: 'bench-1' });
    expect(dressed.dress?.letters).toMatchObject({ ownFace: 'hand', size: 18 });
    expect(Object.keys(dressed.media).sort()).toEqual(['bench', 'bench-1', 'hand']);
    expect(dressed.media['bench-1']?.hash).toBe(hash('a'));
    expect(dressed.items[0]?.look).toBe('ticket');
    expect(dressed.looks.ticket?.states).toMatchObject({ rest: { picture: 'bench-1', fill: 'paper' } });
  });

  it('leaves on what the other wears nothing instead of', () => {
    expect(dressed.zones[0]?.look).toBe('own');
  });

  it('changes nothing the second time', () => {
    expect(dressLike(dressed, other)).toEqual([]);
  });
});
