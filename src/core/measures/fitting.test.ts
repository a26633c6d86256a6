import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import type { ZoneId } from '../document/ids';
import { applyAll } from '../edit/edit';
import { fitsAll } from '../geometry/fit';
import { questionModel } from '../judge/model';
import { boxToHold, coversTitle, fittingOf, makeItemsAsWide, makeZoneHold } from './fitting';

const withZone = (zone: Record<string, unknown>) =>
  seeds({
    zones: [
      {
        id: 'dry',
        label: 'Dry',
        shape: { type: 'rect', x: 40, y: 40, w: 130, h: 60 },
        settle: { rule: 'grid', gap: 10 },
        ...zone,
      },
      { id: 'moist', shape: { type: 'rect', x: 500, y: 40, w: 400, h: 300 } },
    ],
  });

describe('fitting', () => {
  it('says how many are needed, and for how many there is room', () => {
    const model = questionModel(withZone({}));
    expect(fittingOf(model, 0)).toEqual({ needed: 2, room: 1, fits: false });
    expect(fittingOf(model, 1)).toMatchObject({ needed: 1, fits: true });
  });

  it.each(['row', 'column', 'grid', 'pile', 'anchor', 'asDropped'] as const)(
    'a zone made to hold them holds them, and not a unit more: %s',
    (rule) => {
      const settle = {
        rule,
        ...(rule === 'pile' || rule === 'asDropped' ? {} : { gap: 10 }),
        ...(rule === 'anchor' ? { at: 'middle' } : {}),
      } as never;
      const boxes = Array.from({ length: 5 }, (_, i) => ({ w: 100 + i, h: 40 }));
      const box = boxToHold(settle, { x: 40, y: 40, w: 130, h: 30 }, boxes);
      if (!box) throw new Error('none');
      expect(fitsAll(settle, box, boxes)).toBe(true);
      const [dw, dh] = rule === 'pile' ? [1, 1] : rule === 'column' ? [1, 0] : [0, 1];
      expect(fitsAll(settle, { ...box, w: box.w - dw, h: box.h - dh }, boxes)).toBe(rule === 'anchor');
    },
  );

  it('the step makes it fit', () => {
    const question = withZone({});
    const after = applyAll(question, makeZoneHold(question, questionModel(question), 'dry' as ZoneId));
    expect(fittingOf(questionModel(after), 0)).toMatchObject({ fits: true });
    expect(after.zones[0]?.shape).toMatchObject({ x: 40, y: 40, w: 130 });
  });

  it('items are as wide as the zone less its gaps', () => {
    const question = withZone({});
    const after = applyAll(question, makeItemsAsWide(question, questionModel(question), 'dry' as ZoneId));
    expect(after.items.map(({ size }) => size.w)).toEqual([110, 110, 100, 100]);
  });

  it('what lies over a title is known by its rule', () => {
    const covers = (settle: Record<string, unknown>, label = 'Dry') =>
      coversTitle(questionModel(withZone({ settle, label })), 0);
    expect(covers({ rule: 'grid', gap: 4 })).toBe(true);
    expect(covers({ rule: 'grid', gap: 14 })).toBe(false);
    expect(covers({ rule: 'anchor', at: 'top', gap: 2 })).toBe(true);
    expect(covers({ rule: 'anchor', at: 'bottom', gap: 8 })).toBe(false);
    expect(covers({ rule: 'asDropped' })).toBe(true);
    expect(covers({ rule: 'grid', gap: 4 }, '')).toBe(false);
  });
});
