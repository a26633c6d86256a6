import type { Row } from './useVault';

export const questionsInWords = (n: number): string => (n === 1 ? '1 question' : `${n} questions`);

const counted = (n: number, word: string) => (n === 0 ? '' : `${n} ${word}${n === 1 ? '' : 's'}`);
export const findingsInWords = ({ error, warning, note }: Row['findings']): string =>
  [counted(error, 'error'), counted(warning, 'warning'), counted(note, 'note')].filter(Boolean).join(', ') || 'none';
