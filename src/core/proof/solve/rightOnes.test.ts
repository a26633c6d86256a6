import { describe, expect, it } from 'vitest';
import { randomQuestion } from '../../../../tests/support/randomQuestion';
import { questionModel } from '../../judge/model';
import { boardFromPlacements } from '../../judge/placements';
import { judge } from '../../marks/mark';
import { unlimited } from '../budget';
import { reachability } from '../reachable';
import { rightOnes } from './rightOnes';
import { puzzleOf } from './rules';
import { solveUpright } from './solve';

/** Every way to deal copies out to zones, by brute force: as sorted lists of item and zone that earn full marks. */
function byListing(model: ReturnType<typeof questionModel>): Set<string> | null {
  const copies = model.items.flatMap((item, i) =>
    Array.from({ length: item.copies }, (_, copy) => ({ item: i, copy })),
  );
  if (copies.length > 6 || (model.zones.length + 1) ** copies.length > 20_000) return null;
  const found = new Set<string>();
  const go = (at: number, placed: { item: string; copy: number; zone: string }[]) => {
    const copy = copies[at];
    if (!copy) {
      const placing = boardFromPlacements(model, placed);
      if (!placing.ok || !judge(model, placing.board, 1).fullMarks) return;
      const keyed = placed.filter(({ zone }) => model.entryOf[model.zoneAt.get(zone) ?? -1]);
      found.add(
        keyed
          .map(({ item, zone }) => `${item} ${zone}`)
          .toSorted()
          .join(),
      );
      return;
    }
    go(at + 1, placed);
    const id = model.items[copy.item]?.id ?? '';
    for (const { id: zone } of model.zones) go(at + 1, [...placed, { item: id, copy: copy.copy, zone }]);
  };
  go(0, []);
  return found;
}

describe('the right arrangements of a question', () => {
  it('are all that listing finds: 600 random questions', () => {
    let compared = 0;
    let several = 0;
    for (let i = 0; i < 600; i++) {
      const model = questionModel(randomQuestion(`right-${i}`));
      const ordered = model.entries.some(({ sequence }) => sequence);
      const endless = model.question.items.some((item) => item.copies === 'endless');
      if (model.entries.length === 0 || ordered || endless || model.zones.some(({ ridesOn }) => ridesOn >= 0)) continue;
      const listed = byListing(model);
      if (!listed) continue;
      compared++;
      const { found, all } = rightOnes(model, 5000);
      expect(all).toBe(true);
      const written = found.map((right) =>
        right
          .flatMap((held, z) => held.map((item) => `${model.items[item]?.id} ${model.zones[z]?.id}`))
          .toSorted()
          .join(),
      );
      expect(new Set(written).size).toBe(written.length);
      expect(new Set(written)).toEqual(listed);
      if (listed.size > 1) several++;
    }
    expect(compared).toBeGreaterThan(40);
    expect(several).toBeGreaterThan(10);
  });

  it('exist where the solver finds one, endless items and sequences too', () => {
    let solved = 0;
    for (let i = 0; i < 300; i++) {
      const model = questionModel(randomQuestion(`some-${i}`));
      if (model.entries.length === 0) continue;
      const puzzle = puzzleOf(model, reachability(model), ({ kind }) => kind !== 'reach');
      const answer = solveUpright(puzzle, unlimited);
      const { found, all } = rightOnes(model, 20);
      if (answer && all) expect(found.length).toBeGreaterThan(0);
      if (found.length > 0) solved++;
      if (!answer) expect(found).toEqual([]);
    }
    expect(solved).toBeGreaterThan(50);
  });

  it('stop at the number that is asked for', () => {
    const model = questionModel(randomQuestion('right-3'));
    expect(rightOnes(model, 0).found).toEqual([]);
  });
});
