import type { Question } from '../document/schema';
import { slotsIn } from '../edit/slots';
import { trayBox } from '../judge/homes';
import { placesCarryMeaning } from '../narrow/meaning';

/**
 * How a question stands on paper: `ticks`: choices with boxes to tick; `text`: a text with gaps to write in; `lists`:
 * what is placed, and a line for each place; `drawing`: the scene, since its places or pictures say something.
 */
export type PaperForm = 'ticks' | 'text' | 'lists' | 'drawing';

export function paperForm(question: Question): PaperForm {
  const { items, zones, fixtures } = question;
  const seen = zones.filter(({ hidden }) => !hidden);
  const gaps = new Set<string>(fixtures.flatMap((fixture) => (fixture.type === 'text' ? slotsIn(fixture.text) : [])));
  const standsNowhere = seen.filter(({ id, shape }) => shape.type === 'slot' && !gaps.has(id));
  if (seen.length < zones.length) return 'drawing';
  // A film cannot be put on paper.
  const hasPicture = fixtures.some(({ type }) => type === 'picture');
  const allStay = items.length > 0 && items.every(({ stays }) => stays);
  if (allStay && seen.length === 1 && standsNowhere.length === 1 && !hasPicture) return 'ticks';
  if (hasPicture) return 'drawing';
  if (seen.length > 0 && seen.every(({ id }) => gaps.has(id))) return 'text';
  return placesCarryMeaning(question) ? 'drawing' : 'lists';
}

/** The items that lie in the tray at the start, by index: on paper they stand beneath the drawing. */
export function inTray(
  { tray, scene, items }: Question,
  homes: readonly { x: number; y: number }[],
): ReadonlySet<number> {
  const band = tray && trayBox(tray, scene);
  return new Set(
    items.flatMap(({ size }, i) => {
      const home = homes[i];
      if (!band || !home) return [];
      const [x, y] = [home.x + size.w / 2, home.y + size.h / 2];
      return x >= band.x && x <= band.x + band.w && y >= band.y && y <= band.y + band.h ? [i] : [];
    }),
  );
}
