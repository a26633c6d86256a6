import type { EntryModel, QuestionModel } from '../../judge/model';

/** How sentences speak of things: by their label, or by their id where they have none. */
export const itemNamed = ({ question }: QuestionModel, item: number): string =>
  `"${question.items[item]?.label || question.items[item]?.id}"`;
export const zoneNamed = ({ question }: QuestionModel, zone: number): string =>
  `"${question.zones[zone]?.label || question.zones[zone]?.id}"`;
export const itemId = ({ items }: QuestionModel, item: number): string => items[item]?.id ?? '';
export const zoneId = ({ zones }: QuestionModel, zone: number): string => zones[zone]?.id ?? '';

/** A few names in a sentence, and how many more there are. */
export function listed(names: readonly string[], most = 4): string {
  const shown = names.slice(0, most).join(', ');
  return names.length > most ? `${shown} and ${names.length - most} more` : shown;
}

export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A trap: nothing may be in it. */
export const isTrap = ({ hi }: EntryModel): boolean => hi === 0;
