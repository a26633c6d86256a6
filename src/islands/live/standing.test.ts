import { describe, expect, it } from 'vitest';
import type { LiveLearner, LiveView, Wire } from '../../contract';
import { sinceInWords, standingOf } from './standing';
import { withChange } from './useLive';

const AT = Date.parse('2026-12-01T10:00:00.000Z');
const ago = (minutes: number) => new Date(AT - minutes * 60_000).toISOString();
const learner = (learnerId: string, placed = 0): LiveLearner => ({
  ...{
    learnerId,
    name: learnerId,
    sittingId: null,
    number: 1,
    question: null,
    place: null,
    tries: 0,
    placed,
    of: null,
  },
  ...{ startedAt: null, movedAt: null, finishedAt: null },
});

describe('A learner, live', () => {
  it('has not begun, is at work, has not moved for three minutes, or has finished', () => {
    const stands = (startedAt: string | null, movedAt: string | null, finishedAt: string | null = null) =>
      standingOf({ startedAt, movedAt, finishedAt }, AT);
    expect(stands(null, null)).toBe('notBegun');
    expect(stands(ago(2), null)).toBe('begun');
    expect(stands(ago(3), null)).toBe('quiet');
    expect(stands(ago(20), ago(2.9))).toBe('begun');
    expect(stands(ago(20), ago(3))).toBe('quiet');
    expect(stands(ago(20), ago(10), ago(9))).toBe('finished');
  });

  it('moved so long ago, coarsely', () => {
    expect([3, 25, 59, 60, 185, 3700].map(sinceInWords)).toEqual(['now', '20 s', '50 s', '1 min', '3 min', '1 h']);
  });

  it('stays in their row when something changes, and new ones come last', () => {
    const view = {
      learners: [learner('clover'), learner('sorrel'), learner('wren')],
      counts: { 0: [[1]], 1: [[2]] },
    } as unknown as Wire<LiveView>;
    const next = withChange(view, { learners: [learner('yarrow'), learner('sorrel', 3)], counts: { 1: [[5]] } });
    expect(next.learners.map(({ name, placed }) => `${name} ${placed}`)).toEqual([
      'clover 0',
      'sorrel 3',
      'wren 0',
      'yarrow 0',
    ]);
    expect(next.counts).toEqual({ 0: [[1]], 1: [[5]] });
  });
});
