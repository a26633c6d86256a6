import { slotsIn } from '../edit/slots';
import { isOfZone } from './events';
import type { Problem } from './problem';
import type { Question } from './schema';

/** The events that fixtures answer name what exists, and what each of them is about. */
export function whenProblems({ fixtures, items, zones }: Question): Problem[] {
  const itemIds = new Set<string>(items.map(({ id }) => id));
  const zoneIds = new Set<string>(zones.map(({ id }) => id));
  return fixtures.flatMap((fixture, i) => {
    const { when } = fixture;
    if (!when) return [];
    const problems: Problem[] = [];
    const say = (path: string, message: string) => problems.push({ path: `fixtures[${i}].when${path}`, message });
    if (fixture.type === 'text' && slotsIn(fixture.text).length > 0) say('', 'A text with gaps in it is always there.');
    if (when.events.length === 0) say('.events', 'It names no event.');
    if (when.does === 'shows' && !when.content) say('.content', 'What is shown is missing.');
    if (when.does !== 'shows' && when.content) say('.content', 'Content is for what shows something else.');
    for (const [j, { on, zone, item, count }] of when.events.entries()) {
      const at = `.events[${j}]`;
      if (zone === undefined && isOfZone(on)) say(`${at}.zone`, `"${on}" is said of a zone.`);
      if (zone !== undefined && !zoneIds.has(zone)) say(`${at}.zone`, `There is no zone "${zone}".`);
      if (item === undefined && on === 'putAway') say(`${at}.item`, 'Put away is said of an item.');
      if (item !== undefined && !itemIds.has(item)) say(`${at}.item`, `There is no item "${item}".`);
      if (item !== undefined && on === 'full') say(`${at}.item`, 'A zone is full, whatever it holds.');
      if (item !== undefined && on === 'partly') say(`${at}.item`, 'An item is right or wrong, not partly right.');
      if (zone !== undefined && on === 'putAway') say(`${at}.zone`, 'Put away is said of an item alone.');
      if (count === undefined && on === 'holds') say(`${at}.count`, 'How many it holds is missing.');
      if (count !== undefined && on !== 'holds') say(`${at}.count`, 'A count is for "holds" alone.');
    }
    return problems;
  });
}
