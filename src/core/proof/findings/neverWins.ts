import { couldBelong } from '../../judge/belong';
import type { FindingRule } from './finding';
import { isTrap, zoneId, zoneNamed } from './named';

/** Keyed items reach the zone, but wherever they do another zone wins. */
export const neverWins: FindingRule = ({ model, reachable }) =>
  model.entries.flatMap((entry) => {
    if (isTrap(entry)) return [];
    const found = couldBelong(model, entry).map((item) => reachable(item, entry.zone));
    const lost = found.find((match) => match.can === 'loses');
    if (lost?.can !== 'loses' || found.some(({ can }) => can === 'wins')) return [];
    return [
      {
        where: [zoneId(model, entry.zone), zoneId(model, lost.to)],
        message: `Whatever is let go on ${zoneNamed(model, entry.zone)} goes to ${zoneNamed(model, lost.to)}, which covers it.`,
        mend: 'Move one of the two, or put the covered zone later in the list.',
      },
    ];
  });
