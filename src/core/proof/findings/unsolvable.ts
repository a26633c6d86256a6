import type { QuestionModel } from '../../judge/model';
import type { Rule } from '../solve/rules';
import type { FindingRule } from './finding';
import { itemId, itemNamed, listed, zoneId, zoneNamed } from './named';

/** No answer keeps every rule: names the smallest set of rules that contradict one another. */
export const unsolvable: FindingRule = ({ model, solvable, contradiction }) => {
  // An empty key is nothingKeyed's to speak of.
  if (solvable !== false || model.entries.length === 0) return [];
  if (!contradiction)
    return [
      {
        where: [],
        message: 'No answer earns full marks; there was no time to find out which rules are in the way.',
        mend: 'Set rules aside one by one until there is one.',
      },
    ];
  const where = [
    ...new Set(
      contradiction.map(({ kind, of }) =>
        kind === 'copies'
          ? itemId(model, of)
          : zoneId(model, (kind === 'either' ? model.either[of]?.zones[0] : model.entries[of]?.zone) ?? -1),
      ),
    ),
  ];
  return [
    {
      where,
      message: `No answer earns full marks. These cannot all hold: ${contradiction.map((rule) => inWords(model, rule)).join('; ')}.`,
      mend: contradiction.length === 1 ? 'Change it.' : 'Change one of them.',
    },
  ];
};

function inWords(model: QuestionModel, { kind, of }: Rule): string {
  if (kind === 'copies')
    return `there ${model.items[of]?.copies === 1 ? 'is' : 'are'} ${model.items[of]?.copies} of ${itemNamed(model, of)}`;
  if (kind === 'either') {
    const { lo, hi, order, zones } = model.either[of] as QuestionModel['either'][number];
    return `${listed(zones.map((zone) => zoneNamed(model, zone)))} together need ${bounds(lo, hi)} of ${listed(order.map((item) => itemNamed(model, item))) || 'nothing'}`;
  }
  const entry = model.entries[of];
  const name = zoneNamed(model, entry?.zone ?? -1);
  const zone = model.zones[entry?.zone ?? -1];
  switch (kind) {
    case 'need':
      return `${name} needs ${bounds(entry?.lo ?? 0, entry?.hi ?? 0)} of ${listed((entry?.order ?? []).map((item) => itemNamed(model, item))) || 'nothing'}`;
    case 'sequence':
      return `${name} needs ${listed((entry?.order ?? []).map((item) => itemNamed(model, item)))} in this order`;
    case 'sum':
      return `the values in ${name} add up to ${entry?.sum?.target}${entry?.sum?.tolerance ? ` ± ${entry.sum.tolerance}` : ''}`;
    case 'capacity':
      return `${name} holds no more than ${zone?.capacity}`;
    case 'family':
      return `${name} takes only the family "${zone?.family}"`;
    case 'reach':
      return `not everything that belongs in ${name} can be brought there on the scene`;
  }
}

function bounds(lo: number, hi: number): string {
  if (lo === hi) return `exactly ${lo}`;
  return Number.isFinite(hi) ? `${lo} to ${hi}` : `at least ${lo}`;
}
