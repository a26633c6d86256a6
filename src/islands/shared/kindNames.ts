import type { Question } from '../../core';

export const KIND_NAMES: Readonly<Record<Question['kind'], string>> = {
  sort: 'Sort',
  label: 'Label',
  mark: 'Mark',
  gaps: 'Gaps',
  order: 'Order',
  count: 'Count',
  build: 'Build',
  pick: 'Pick',
  free: 'Free',
};

export const KIND_WORDS: Readonly<Record<Question['kind'], string>> = {
  sort: 'items into groups',
  label: 'names or pictures to places',
  mark: 'every spot of a kind found',
  gaps: 'words into a text',
  order: 'a sequence',
  count: 'an amount into containers',
  build: 'pieces fitted together',
  pick: 'the right ones chosen in place',
  free: 'anything, arranged by hand',
};
