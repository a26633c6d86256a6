import type { FindingRule } from './finding';
import { zoneId, zoneNamed } from './named';

/** A zone lets in only what is keyed to it, and nothing is. */
export const nothingWelcome: FindingRule = ({ model }) =>
  model.zones.flatMap(({ keyedOnly }, zone) => {
    const entry = model.entryOf[zone];
    if (!keyedOnly || (entry && entry.belongs.size + entry.apart.size > 0)) return [];
    return [
      {
        where: [zoneId(model, zone)],
        message: `${zoneNamed(model, zone)} lets in only what belongs there, and nothing does.`,
        mend: 'Let it take anything, or say in the key what belongs there.',
      },
    ];
  });
