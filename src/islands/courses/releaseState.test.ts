import { describe, expect, it } from 'vitest';
import { releaseState } from './releaseState';

const NEVER = { opensAt: null, dueAt: null, closesAt: null, withdrawnAt: null } as const;
const NOW = new Date('2031-01-15T12:00:00Z');
const before = '2031-01-15T11:00:00.000Z';
const after = '2031-01-15T13:00:00.000Z';

describe('the state of a release', () => {
  it.each([
    ['open', {}],
    ['open', { opensAt: before, dueAt: after, closesAt: after }],
    ['early', { opensAt: after }],
    ['late', { dueAt: before }],
    ['late', { opensAt: before, dueAt: before, closesAt: after }],
    ['closed', { dueAt: before, closesAt: before }],
    // At the moment itself it is closed: no move is taken any more.
    ['closed', { closesAt: '2031-01-15T12:00:00.000Z' }],
    ['withdrawn', { withdrawnAt: before, closesAt: before }],
  ] as const)('%s', (state, dates) => {
    expect(releaseState({ ...NEVER, ...dates }, NOW)).toBe(state);
  });
});
