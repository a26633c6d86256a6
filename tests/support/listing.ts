import { type Copy, copyOf, type QuestionModel } from '../../src/core';
import { emptyBoard, settle } from '../../src/core/judge/board';
import { judge } from '../../src/core/marks/mark';
import { standInCopies } from '../../src/core/proof/guess/setting';

/** What guessing earns, by listing every arrangement: slow, and written apart from the counting. */
export interface Listed {
  arrangements: number;
  full: number;
  fraction: number;
  /** By entry: arrangements that satisfy it. */
  satisfied: number[];
}

/** Null: there are more than `most`. */
export function listed(model: QuestionModel, most: number): Listed | null {
  const endless = model.question.items.some(({ copies }) => copies === 'endless');
  const copies = model.items.flatMap((_, item) =>
    Array.from({ length: standInCopies(model, item) }, (_c, n) => copyOf(item, n)),
  );
  const needed = [...model.entries, ...model.either].reduce((sum, { lo }) => sum + lo, 0);
  const free = list(model, copies, endless || copies.length > needed, most);
  return free && free.arrangements === 0 ? list(model, copies, true, most) : free;
}

function list(model: QuestionModel, copies: readonly Copy[], tray: boolean, most: number): Listed | null {
  const result: Listed = { arrangements: 0, full: 0, fraction: 0, satisfied: model.entries.map(() => 0) };
  const zones: Copy[][] = model.zones.map(() => []);
  const openTo = (copy: Copy) => {
    const family = model.items[Math.floor(copy / 10_000)]?.family ?? null;
    return model.zones.flatMap((zone, z) => (zone.family === null || zone.family === family ? [z] : []));
  };
  const visit = (at: number): boolean => {
    if (result.arrangements > most) return false;
    const copy = copies[at];
    if (copy === undefined) return orders(model, zones, result);
    const open = openTo(copy);
    if ((tray || open.length === 0) && !visit(at + 1)) return false;
    for (const z of open) {
      const held = zones[z] as Copy[];
      if (held.length >= (model.zones[z]?.capacity ?? 0)) continue;
      held.push(copy);
      const goOn = visit(at + 1);
      held.pop();
      if (!goOn) return false;
    }
    return true;
  };
  return visit(0) ? result : null;
}

/**
 * Is there any arrangement with full marks whose copies can all be brought where they are? By listing; null: more than
 * `most` to list.
 */
export function solvableByListing(
  model: QuestionModel,
  can: (item: number, zone: number) => boolean,
  most: number,
): boolean | null {
  const copies = model.items.flatMap((item, index) => Array.from({ length: item.copies }, (_c, n) => copyOf(index, n)));
  let seen = 0;
  const zones: Copy[][] = model.zones.map(() => []);
  const visit = (at: number): boolean | null => {
    if (++seen > most) return null;
    const copy = copies[at];
    if (copy === undefined) {
      const result: Listed = { arrangements: 0, full: 0, fraction: 0, satisfied: model.entries.map(() => 0) };
      orders(model, zones, result);
      return result.full > 0;
    }
    const item = Math.floor(copy / 10_000);
    const family = model.items[item]?.family ?? null;
    let unsure = false;
    for (const z of [-1, ...model.zones.keys()]) {
      const zone = model.zones[z];
      if (
        zone &&
        ((zone.family !== null && zone.family !== family) ||
          !can(item, z) ||
          (zones[z] as Copy[]).length >= zone.capacity)
      )
        continue;
      if (zone) (zones[z] as Copy[]).push(copy);
      const found = visit(at + 1);
      if (zone) (zones[z] as Copy[]).pop();
      if (found) return true;
      if (found === null) unsure = true;
    }
    return unsure ? null : false;
  };
  return visit(0);
}

function permutations<T>(values: readonly T[]): T[][] {
  if (values.length < 2) return [[...values]];
  return values.flatMap((value, i) => permutations(values.toSpliced(i, 1)).map((rest) => [value, ...rest]));
}

/** Counts an arrangement once for every order of every sequence zone. */
function orders(model: QuestionModel, zones: readonly Copy[][], result: Listed): boolean {
  const choices = zones.map((held, z) => (model.entryOf[z]?.sequence ? permutations(held) : [held]));
  const visit = (z: number, chosen: readonly (readonly Copy[])[]) => {
    const here = choices[z];
    if (here) {
      for (const one of here) visit(z + 1, [...chosen, one]);
      return;
    }
    const board = emptyBoard(model);
    for (const [zone, held] of chosen.entries()) for (const [i, copy] of held.entries()) settle(board, copy, zone, i);
    const judged = judge(model, board, 1);
    result.arrangements++;
    result.fraction += judged.fraction;
    if (judged.fullMarks) result.full++;
    for (const [e, { satisfied }] of judged.tallies.entries()) if (satisfied) (result.satisfied[e] as number)++;
  };
  visit(0, []);
  return true;
}
