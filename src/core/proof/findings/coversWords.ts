import { type Box, meet } from '../../geometry/space';
import type { QuestionModel } from '../../judge/model';
import { textBox } from '../text/texts';
import type { FindingRule } from './finding';
import { itemId, itemNamed } from './named';

/** At its home an item lies over a gap, or over the words of a text that gaps stand in. */
export const coversWords: FindingRule = ({ model }) => {
  const texts = model.question.fixtures.flatMap((fixture) => {
    const box = fixture.type === 'text' ? textBox(model.question, fixture) : null;
    return box ? [{ id: fixture.id, box }] : [];
  });
  if (texts.length === 0) return [];
  const typedOnly = notOnTheScene(model);
  return model.items.flatMap((_, item) => {
    const body = homeBox(model, item);
    const covered = typedOnly.has(item) ? undefined : texts.find(({ box }) => overlaps(body, box));
    if (!covered) return [];
    return [
      {
        where: [itemId(model, item), covered.id],
        message: `${itemNamed(model, item)} lies over the words of a text with gaps.`,
        mend: 'Move it to where nothing has to be read, or let the tray place it.',
      },
    ];
  });
};

function homeBox({ items, homes }: QuestionModel, item: number): Box {
  const { w, h } = items[item] as QuestionModel['items'][number];
  const at = homes[item] as { x: number; y: number };
  return { x: at.x, y: at.y, w, h };
}

const SLACK = 2;
const overlaps = (a: Box, b: Box) =>
  meet({ x: a.x + SLACK, y: a.y + SLACK, w: a.w - 2 * SLACK, h: a.h - 2 * SLACK }, b);

/** Items that are only typed or chosen from a menu are never shown on the scene. */
function notOnTheScene({ question, items, zones, entries }: QuestionModel): Set<number> {
  const typed = new Set(entries.flatMap(({ zone, order }) => (question.zones[zone]?.typed ? order : [])));
  const chosen = items.flatMap(({ family }, item) => {
    const taking = question.zones.filter(
      (zone, z) => !zone.typed && (zone.family === null || zones[z]?.family === family),
    );
    return typed.has(item) || (taking.length > 0 && taking.every(({ menu }) => menu)) ? [item] : [];
  });
  return new Set(chosen);
}
