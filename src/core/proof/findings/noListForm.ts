import type { FindingRule } from './finding';
import { zoneId } from './named';

/** Zones are hidden and no candidate places are named, so that the question cannot be answered as a list. */
export const noListForm: FindingRule = ({ model }) => {
  const { zones, show } = model.question;
  const hidden = zones.flatMap((zone, z) => (zone.hidden ? [zoneId(model, z)] : []));
  if (hidden.length === 0 || show.places.length > 0) return [];
  return [
    {
      where: hidden,
      message: 'Zones are hidden and no places are named, so the question cannot be answered as a list.',
      mend: 'Name candidate places, wrong ones among them.',
    },
  ];
};
