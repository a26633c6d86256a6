import { describe, expect, it } from 'vitest';
import { seeds } from '../../../../tests/support/seeds';
import { applyAll, type Ref } from '../../../core';
import { COLUMNS, type LedgerColumn, rowsAsText, takeCells } from './columns';

const column = (id: string) => COLUMNS.find((ledgerColumn) => ledgerColumn.id === id) as LedgerColumn;
const cell = (ref: Ref, id: string, text: string) => ({ ref, column: column(id), text });

describe('cells of the Ledger', () => {
  it('taken together are one step, each on what the one before left', () => {
    const question = seeds();
    const taken = takeCells(question, [
      cell('item:barley', 'x', '+12'),
      cell('item:barley', 'w', '*2'),
      cell('zone:dry', 'capacity', '3'),
      cell('item:acorn', 'name', 'Acorn'),
    ]);
    if (!taken.ok) throw new Error(taken.problem);
    const after = applyAll(question, taken.step);
    expect(after.items[0]).toMatchObject({ home: { x: 32, y: 440 }, size: { w: 200, h: 40 } });
    expect(after.zones[0]).toMatchObject({ capacity: 3 });
    expect(after.items[2]?.label).toBe('Acorn');
  });

  it('of a kind the thing has not are passed over; one that is no number stops all of them, by name', () => {
    expect(takeCells(seeds(), [cell('zone:dry', 'copies', '3')])).toEqual({ ok: true, step: [] });
    expect(takeCells(seeds(), [cell('item:barley', 'x', '10'), cell('item:poppy', 'w', 'wide')])).toEqual({
      ok: false,
      problem: 'poppy, width: Type a number',
    });
    expect(takeCells(seeds(), [cell('item:poppy', 'copies', 'many')])).toEqual({
      ok: false,
      problem: 'poppy, copies: Type a number, or "endless"',
    });
  });

  it('copies can be endless, and then not all of them be needed', () => {
    const taken = takeCells(seeds(), [cell('item:barley', 'copies', 'Endless')]);
    const after = taken.ok ? applyAll(seeds(), taken.step) : null;
    expect(after?.items[0]?.copies).toBe('endless');
    expect(after?.key[0]?.need).toEqual({ rule: 'atLeast', n: 1 });
  });

  it('go out with a heading, tab-separated', () => {
    expect(rowsAsText(seeds(), ['item:barley', 'zone:dry'])).toBe(
      'name\tx\ty\twidth\theight\tturn\tcopies\tvalue\tfamily\tcapacity\nbarley\t20\t440\t100\t40\t0\t1\t\t\t\ndry\t40\t40\t400\t300\t0\t\t\t\t',
    );
  });
});
