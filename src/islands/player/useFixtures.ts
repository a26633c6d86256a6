import { useEffect, useMemo, useRef, useState } from 'react';
import type { Board } from '../../core';
import { useMediaSource } from '../../scene/media';
import { changesInWords, type FixtureNow, fixturesNow } from './answering';
import { play } from './sounds';
import type { PlayerStore } from './store';

/**
 * The fixtures as they stand with an arrangement. What comes, goes or changes sounds if it has a sound; `words`
 * say it to screen readers. `begins`: a film that appears now begins; not one that was there when the page was opened.
 */
export function useFixtures(
  store: PlayerStore,
  board: Board,
): { readonly fixtures: readonly FixtureNow[]; readonly begins: boolean; readonly words: string } {
  const model = store((s) => s.model);
  const view = store((s) => s.view);
  const answered = store((s) => s.answered);
  const source = useMediaSource();
  const fixtures = useMemo(() => fixturesNow({ model, view, answered, board }), [model, view, answered, board]);
  const [words, setWords] = useState('');
  const before = useRef<{ view: unknown; fixtures: readonly FixtureNow[] }>(null);
  const begins = before.current !== null && before.current.view === view;
  useEffect(() => {
    const last = before.current;
    before.current = { view, fixtures };
    if (!last || last.view !== view || last.fixtures === fixtures) return;
    const changes = changesInWords(last.fixtures, fixtures, store.getState().media);
    if (changes) setWords(changes);
    for (const { fixture, content } of fixtures) {
      const sound = content?.sound;
      if (!sound || last.fixtures.some((old) => old.fixture.id === fixture.id && old.content === content)) continue;
      const shown = source(sound);
      if (shown) void play(shown.url);
    }
  }, [store, view, fixtures, source]);
  return { fixtures, begins, words };
}
