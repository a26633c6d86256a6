import type { KeyEntry, Question } from '../../core';

const named = (list: readonly { readonly id: string; readonly label: string }[], id: string) =>
  list.find((candidate) => candidate.id === id)?.label || id;
const belongsIn = ({ items, key, either }: Question, zone: string): readonly string[] => {
  const entry = key.find((entry) => entry.zone === zone);
  const own = entry ? (entry.belongs ?? items.filter(({ value }) => value !== null).map(({ id }) => id)) : [];
  return [...own, ...either.flatMap(({ zones, belongs }) => ((zones as string[]).includes(zone) ? belongs : []))];
};

function needed(need: KeyEntry['need'] | undefined): string {
  switch (need?.rule) {
    case 'exactly':
      return `exactly ${need.n}`;
    case 'atLeast':
      return `at least ${need.n}`;
    case 'between':
      return `${need.min} to ${need.max}`;
    case 'all':
      return 'all';
    case undefined:
      return 'any number';
  }
}

/** What a correction changes of the key, zone by zone. */
export function keyInWords(before: Question, after: Question): string[] {
  return after.zones.flatMap(({ id }) => {
    const zone = named(after.zones, id);
    const [was, is] = [belongsIn(before, id), belongsIn(after, id)];
    const needOf = ({ key }: Question) => needed(key.find((entry) => entry.zone === id)?.need);
    return [
      ...is.filter((item) => !was.includes(item)).map((item) => `${named(after.items, item)} is right in ${zone} too`),
      ...was
        .filter((item) => !is.includes(item))
        .map((item) => `${named(after.items, item)} is not right in ${zone} any more`),
      ...(needOf(before) !== needOf(after) ? [`${zone} needs ${needOf(after)}, not ${needOf(before)}`] : []),
    ];
  });
}
