import type { FindingRule } from './finding';
import { zoneId } from './named';

/** Whoever tries everything gets there: wrong ones are shown up at once, at no cost and without limit. */
export const tryingWins: FindingRule = ({ model }) => {
  const { tries, judging, afterMiss, marks } = model.question;
  if (tries !== null || marks.tryCosts > 0 || model.entries.length === 0) return [];
  const turning = model.entries
    .filter(({ zone }) => model.zones[zone]?.keyedOnly)
    .map(({ zone }) => zoneId(model, zone));
  const sentHome = judging === 'onLand' && afterMiss !== 'leave';
  if (turning.length === 0 && !sentHome) return [];
  return [
    {
      where: turning,
      message: sentHome
        ? 'Wrong items go home as they land, without cost and without limit: trying everything wins.'
        : 'Wrong items are turned away, without cost and without limit: trying everything wins.',
      mend: 'Limit the tries, let each cost something, or judge only on Check.',
    },
  ];
};
