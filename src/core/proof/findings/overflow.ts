import { fittingOf } from '../../measures/fitting';
import type { FindingRule } from './finding';
import { zoneId, zoneNamed } from './named';

const inWords = (room: number) => (room === 0 ? 'none' : Number.isFinite(room) ? room : 'fewer');

/** The items that a zone needs do not fit it by its settle rule. */
export const overflow: FindingRule = ({ model }) =>
  model.entries.flatMap(({ zone }) => {
    const fitting = fittingOf(model, zone);
    if (!fitting || fitting.fits) return [];
    return [
      {
        where: [zoneId(model, zone)],
        message: `${zoneNamed(model, zone)} needs ${fitting.needed}, but by its settle rule there is room for ${inWords(fitting.room)}.`,
        mend: 'Make the zone larger, the items smaller, or settle them another way.',
      },
    ];
  });
