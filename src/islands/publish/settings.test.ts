import { describe, expect, it } from 'vitest';
import { drafted, PLAIN, sent, wrongIn } from './settings';

describe('how a release runs, as it is typed', () => {
  it('goes out and comes back as it was', () => {
    const draft = { ...PLAIN, title: 'Week one', opensAt: '2026-11-26T08:00', closesAt: '2026-12-01T17:30', minutes: '20', sittings: '' };
    expect(drafted(sent(draft))).toEqual(draft);
    expect(sent(PLAIN)).toMatchObject({ opensAt: null, minutes: null, sittings: 1 });
    expect(sent(PLAIN)).not.toHaveProperty('title');
  });

  it('says what cannot be sent, at its field', () => {
    expect(wrongIn(PLAIN)).toEqual({});
    expect(Object.keys(wrongIn({ ...PLAIN, minutes: '0', sittings: '2.5' }))).toEqual(['minutes', 'sittings']);
    expect(wrongIn({ ...PLAIN, opensAt: '2026-11-26T08:00', closesAt: '2026-11-26T07:00' }).closesAt).toContain('before it opens');
    expect(wrongIn({ ...PLAIN, dueAt: '2026-11-26T08:00', closesAt: '2026-11-26T07:00' }).dueAt).toContain('before it is due');
    expect(wrongIn({ ...PLAIN, opensAt: '2026-11-26T08:00', dueAt: '2026-11-26T07:00' }).dueAt).toContain('due before it opens');
    expect(wrongIn({ ...PLAIN, tellsWhen: 'closed' }).closesAt).toContain('has to close');
    expect(wrongIn({ ...PLAIN, tells: 'nothing', tellsWhen: 'closed' })).toEqual({});
    expect(wrongIn({ ...PLAIN, audience: { groups: [], learners: [] } }).audience).toBeDefined();
  });
});
