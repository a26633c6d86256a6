import type { Budget } from '../budget';
import { type Class, classesOf } from './classes';
import { choose } from './numbers';
import type { Setting } from './setting';

/** Ways by how many placements are right and how many are wrong or too many: `ways[c][w]`. */
export type Table = readonly (readonly bigint[])[];

/**
 * Where no zone is ever full, no order counts, nothing is added up and no item belongs to two entries, copies do not
 * get in one another's way: what each entry scores with the copies that belong to it, wherever they lie, is a table of
 * its own, and the tables multiply. Null: it is not so here.
 */
export function scoresApart(setting: Setting, budget: Budget): Table | null {
  const { model, open, room, ordered, counts } = setting;
  const all = counts.reduce((sum, n) => sum + n, 0);
  const classes = classesOf(setting);
  if (
    ordered.some(Boolean) ||
    room.some((n) => n < all) ||
    model.entries.some(({ sum }) => sum) ||
    classes.some(({ entries }) => entries.length > 1)
  )
    return null;

  const keyed = model.entries.map(({ zone }) => zone);
  const rest = (one: Class) => {
    const zones = model.zones.map((_, z) => z).filter((z) => open[z]?.[one.type]);
    const wrong = zones.filter((z) => keyed.includes(z) && !one.entries.some((e) => keyed[e] === z)).length;
    const nowhere = zones.filter((z) => !keyed.includes(z)).length + (setting.tray ? 1 : 0);
    return { wrong: BigInt(wrong), nowhere: BigInt(nowhere) };
  };

  let table: Table = [[1n]];
  for (const one of classes.filter(({ entries }) => entries.length === 0))
    table = times(table, [astray(one.n, rest(one))], budget);
  model.entries.forEach(({ lo, hi }, e) => {
    let held: Table = [[1n]];
    for (const one of classes.filter(({ entries }) => entries.includes(e)))
      held = times(
        held,
        Array.from({ length: one.n + 1 }, (_, r) =>
          astray(one.n - r, rest(one)).map((ways) => ways * choose(one.n, r)),
        ),
        budget,
      );
    // From how many are there to how many count as right and how many are too many.
    const scored: bigint[][] = [];
    for (const [r, row] of held.entries())
      for (const [w, ways] of row.entries()) {
        const [c, wrong] = [Math.min(r, lo), w + Math.max(0, r - hi)];
        while (scored.length <= c) scored.push([]);
        const into = scored[c] as bigint[];
        while (into.length <= wrong) into.push(0n);
        into[wrong] = (into[wrong] as bigint) + ways;
      }
    table = times(table, scored, budget);
  });
  return table;
}

/** n copies that are not where they belong: ways by how many of them are wrong somewhere. */
const astray = (n: number, { wrong, nowhere }: { wrong: bigint; nowhere: bigint }): bigint[] =>
  Array.from({ length: n + 1 }, (_, w) => choose(n, w) * wrong ** BigInt(w) * nowhere ** BigInt(n - w));

function times(a: Table, b: Table, budget: Budget): Table {
  const width = Math.max(...a.map((row) => row.length)) + Math.max(...b.map((row) => row.length)) - 1;
  const product = Array.from({ length: a.length + b.length - 1 }, () => new Array<bigint>(width).fill(0n));
  for (const [i, rowA] of a.entries())
    for (const [j, rowB] of b.entries()) {
      const into = product[i + j] as bigint[];
      for (const [k, x] of rowA.entries()) {
        if (x === 0n) continue;
        for (let l = 0; l < rowB.length; l++) into[k + l] = (into[k + l] as bigint) + x * (rowB[l] as bigint);
        budget.spend(4 * rowB.length);
      }
    }
  return product;
}
