import { useCallback, useState } from 'react';

/** What a screen reader is told next. Each message is a new one, so that the same words twice are heard twice. */
export interface Heard {
  readonly words: string;
  readonly number: number;
}

export function useSaid(): [Heard, (words: string) => void] {
  const [heard, setHeard] = useState<Heard>({ words: '', number: 0 });
  const say = useCallback((words: string) => setHeard(({ number }) => ({ words, number: number + 1 })), []);
  return [heard, say];
}
