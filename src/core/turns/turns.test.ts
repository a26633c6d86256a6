import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type CallBy,
  callOne,
  callUp,
  drawTeams,
  newTurns,
  notNow,
  setAbsent,
  type Turns,
  turnsOf,
  waiting,
  withPeople,
} from './turns';

const NAMES = ['Alder', 'Bracken', 'Clover', 'Dock', 'Elder', 'Fern', 'Gorse'];
const people = (n: number, groups = 0) =>
  Array.from({ length: n }, (_, i) => ({
    id: `p${i}`,
    name: NAMES[i % NAMES.length] as string,
    group: groups === 0 ? null : `Group ${i % groups}`,
  }));

/** Calls up until so many have come; who was up each time. */
function called(turns: Turns, times: number, by: CallBy = 'chance'): { turns: Turns; up: (readonly string[])[] } {
  const up: (readonly string[])[] = [];
  let now = turns;
  for (let i = 0; i < times; i++) {
    now = callUp(now, by);
    up.push(now.up);
  }
  return { turns: now, up };
}

/** Pearson's statistic of observed counts against equal ones. */
const chiSquared = (counts: readonly number[]) => {
  const expected = counts.reduce((sum, count) => sum + count, 0) / counts.length;
  return counts.reduce((sum, count) => sum + (count - expected) ** 2 / expected, 0);
};
/** Critical values of chi-squared at p = 0.001, by degrees of freedom (NIST/SEMATECH e-Handbook, 1.3.6.7.4). */
const CRITICAL: Record<number, number> = { 4: 18.467, 5: 20.515, 6: 22.458 };

describe('Turns', () => {
  it('call everybody once before anybody twice, round by round', () => {
    fc.assert(
      fc.property(fc.string(), fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 4 }), (seed, n, rounds) => {
        const { up, turns } = called(newTurns(seed, people(n)), n * rounds);
        for (let round = 0; round < rounds; round++)
          expect(new Set(up.slice(round * n, (round + 1) * n).flat()).size).toBe(n);
        expect(turns.round).toBe(rounds);
        expect(turns.people.every(({ id }) => turnsOf(turns, id) === rounds)).toBe(true);
      }),
    );
  });

  it('never call the same person at the end of a round and at the beginning of the next', () => {
    fc.assert(
      fc.property(fc.string(), fc.integer({ min: 2, max: 9 }), (seed, n) => {
        const { up } = called(newTurns(seed, people(n)), 5 * n);
        for (let i = 1; i < up.length; i++) expect(up[i]).not.toEqual(up[i - 1]);
      }),
    );
  });

  it('draw everybody as often as anybody else: first, second and last of a round, over a list of seeds', () => {
    const n = 7;
    const seeds = Array.from({ length: 7000 }, (_, i) => `seed ${i}`);
    for (const place of [0, 1, n - 1]) {
      const counts = Array.from({ length: n }, () => 0);
      for (const seed of seeds) {
        const [id] = called(newTurns(seed, people(n)), place + 1).up[place] as string[];
        counts[Number(id?.slice(1))] = (counts[Number(id?.slice(1))] ?? 0) + 1;
      }
      expect(chiSquared(counts)).toBeLessThan(CRITICAL[n - 1] as number);
    }
  });

  it('draw every order of a round as often as any other', () => {
    const orders = new Map<string, number>();
    for (let i = 0; i < 6000; i++) {
      const order = called(newTurns(`order ${i}`, people(3)), 3).up.join(' ');
      orders.set(order, (orders.get(order) ?? 0) + 1);
    }
    expect(orders.size).toBe(6);
    expect(chiSquared([...orders.values()])).toBeLessThan(CRITICAL[5] as number);
  });

  it('go on after a reload where they were', () => {
    fc.assert(
      fc.property(fc.string(), fc.integer({ min: 0, max: 20 }), (seed, before) => {
        const { turns } = called(newTurns(seed, people(6, 2)), before);
        const reloaded = JSON.parse(JSON.stringify(turns)) as Turns;
        expect(called(reloaded, 12).up).toEqual(called(turns, 12).up);
      }),
    );
  });

  it('pass over who is absent; who comes late joins the round as it stands', () => {
    let turns = setAbsent(setAbsent(newTurns('late', people(4)), 'p1', true), 'p2', true);
    turns = called(turns, 6).turns;
    expect(turns.round).toBe(3);
    expect([0, 1, 2, 3].map((i) => turnsOf(turns, `p${i}`))).toEqual([3, 0, 0, 3]);
    turns = setAbsent(turns, 'p1', false);
    expect(callUp(turns, 'chance').up).toEqual(['p1']);
    const next = called(turns, 4);
    expect(new Set(next.up.slice(1).flat())).toEqual(new Set(['p0', 'p1', 'p3']));
    expect(
      callUp(
        people(2).reduce((now, { id }) => setAbsent(now, id, true), newTurns('none', people(2))),
        'order',
      ).up,
    ).toEqual([]);
  });

  it('put back who cannot come now, without a turn', () => {
    const first = callUp(newTurns('not now', people(3)), 'order');
    expect(first.up).toEqual(['p0']);
    const back = notNow(first);
    expect(turnsOf(back, 'p0')).toBe(0);
    expect(waiting(back).map(({ id }) => id)).toEqual(['p0', 'p1', 'p2']);
    const gone = setAbsent(first, 'p0', true);
    expect([gone.up, turnsOf(gone, 'p0'), callUp(gone, 'order').up]).toEqual([[], 0, ['p1']]);
  });

  it('call in the order of the list, a group at a time, or whom the teacher chooses', () => {
    expect(called(newTurns('order', people(3)), 4, 'order').up).toEqual([['p0'], ['p1'], ['p2'], ['p0']]);
    const groups = called(newTurns('groups', [...people(6, 2), { id: 'p6', name: 'Gorse', group: null }]), 3, 'group');
    expect(groups.up.map((up) => up.join(' ')).sort()).toEqual(['p0 p2 p4', 'p1 p3 p5', 'p6']);
    const chosen = callOne(callOne(newTurns('hand', people(3)), 'p2'), 'p2');
    expect([chosen.up, turnsOf(chosen, 'p2'), chosen.came]).toEqual([['p2'], 2, ['p2']]);
    expect(callOne(chosen, 'nobody')).toBe(chosen);
  });

  it('keep what stays when the list of names changes', () => {
    const { turns } = called(newTurns('list', people(4)), 4);
    const fewer = withPeople(turns, [...people(2), { id: 'new', name: 'Hazel', group: null }]);
    expect(fewer.came.every((id) => ['p0', 'p1'].includes(id))).toBe(true);
    expect([turnsOf(fewer, 'p0'), turnsOf(fewer, 'p3')]).toEqual([1, 0]);
    expect(callUp(fewer, 'chance').up).toEqual(['new']);
  });

  it('draw teams of those present that differ by one at most, and other teams the next time', () => {
    fc.assert(
      fc.property(fc.string(), fc.integer({ min: 4, max: 30 }), fc.integer({ min: 2, max: 4 }), (seed, n, count) => {
        const { teams, turns } = drawTeams(setAbsent(newTurns(seed, people(n)), 'p0', true), count);
        const sizes = teams.map(({ length }) => length);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
        expect(
          teams
            .flat()
            .map(({ id }) => id)
            .sort(),
        ).toEqual(
          people(n)
            .slice(1)
            .map(({ id }) => id)
            .sort(),
        );
        expect(turns.draws).toBe(1);
      }),
    );
    const alwaysFirst = Array.from(
      { length: 5000 },
      (_, i) => drawTeams(newTurns(`${i}`, people(5)), 2).teams[1]?.[0]?.id,
    );
    const counts = people(5).map(({ id }) => alwaysFirst.filter((first) => first === id).length);
    expect(chiSquared(counts)).toBeLessThan(CRITICAL[4] as number);
  });
});
