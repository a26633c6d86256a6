import type { FindingRule } from './finding';
import { isTrap, zoneId, zoneNamed } from './named';

/** Every arrangement satisfies a zone's entry (traps aside), so that it tells nobody apart. */
export const cannotBeMissed: FindingRule = ({ model, guessing }) =>
  (guessing?.neverMissed ?? []).flatMap((e) => {
    const entry = model.entries[e];
    if (!entry || isTrap(entry)) return [];
    return [
      {
        where: [zoneId(model, entry.zone)],
        message: `${zoneNamed(model, entry.zone)} is right whatever is put there.`,
        mend: 'Ask for more, key less to it, or take it out of the key.',
      },
    ];
  });
