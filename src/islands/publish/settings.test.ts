import { describe, expect, it } from 'vitest';
import { DEFAULT_DRAFT, drafted, sent, wrongIn } from './settings';

describe('how a release runs, as it is typed', () => {
  it('goes out and comes back as it was', () => {
    const draft = {
      ...DEFAULT_DRAFT,
      title: 'Week one',
      opensAt: '2026-11-26T08:00',
      closesAt: '2026-12-01T17:30',
      minutes: '20',
      sittings: '',
    };
    expect(drafted(sent(draft))).toEqual(draft);
    expect(sent(DEFAULT_DRAFT)).toMatchObject({ opensAt: null, minutes: null, sittings: 1 });
    expect(sent(DEFAULT_DRAFT)).not.toHaveProperty('title');
  });

  it('says what cannot be sent, at its field', () => {
    expect(wrongIn(DEFAULT_DRAFT)).toEqual({});
    expect(Object.keys(wrongIn({ ...DEFAULT_DRAFT, minutes: '0', sittings: '2.5' }))).toEqual(['minutes', 'sittings']);
    expect(wrongIn({ ...DEFAULT_DRAFT, opensAt: '2026-11-26T08:00', closesAt: '2026-11-26T07:00' }).closesAt).toContain(
      'before it opens',
    );
    expect(wrongIn({ ...DEFAULT_DRAFT, dueAt: '2026-11-26T08:00', closesAt: '2026-11-26T07:00' }).dueAt).toContain(
      'before it is due',
    );
    expect(wrongIn({ ...DEFAULT_DRAFT, opensAt: '2026-11-26T08:00', dueAt: '2026-11-26T07:00' }).dueAt).toContain(
      'due before it opens',
    );
    expect(wrongIn({ ...DEFAULT_DRAFT, feedbackTime: 'closed' }).closesAt).toContain('has to close');
    expect(wrongIn({ ...DEFAULT_DRAFT, feedbackLevel: 'nothing', feedbackTime: 'closed' })).toEqual({});
    expect(wrongIn({ ...DEFAULT_DRAFT, audience: { groups: [], learners: [] } }).audience).toBeDefined();
  });
});
