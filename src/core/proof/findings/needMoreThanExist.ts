import type { QuestionModel } from '../../judge/model';
import type { FindingRule } from './finding';
import { listed, zoneId, zoneNamed } from './named';

const inWords = (model: QuestionModel, zones: readonly number[]): string =>
  `${listed(zones.map((zone) => zoneNamed(model, zone)))} ${zones.length > 1 ? 'together need' : 'needs'}`;

/** A zone needs more copies than there are of what belongs in it. */
export const needMoreThanExist: FindingRule = ({ model }) =>
  [...model.entries.map(({ zone, order, lo }) => ({ zones: [zone], order, lo })), ...model.either].flatMap(
    ({ zones, order, lo }) => {
      const exist = order.reduce(
        (sum, i) => sum + (model.question.items[i]?.copies === 'endless' ? Infinity : (model.items[i]?.copies ?? 0)),
        0,
      );
      if (lo <= exist) return [];
      return [
        {
          where: zones.map((zone) => zoneId(model, zone)),
          message: `${inWords(model, zones)} ${lo}, but there are only ${exist} of what belongs there.`,
          mend: 'Lower the number needed, or give the items more copies.',
        },
      ];
    },
  );
