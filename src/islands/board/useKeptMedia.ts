import { useCallback, useEffect, useRef } from 'react';
import type { ClassBoard } from '../../contract';
import { groundTexture, keepLetters } from '../../scene';
import { mediumUrl } from '../shared/ownMedia';

/**
 * Fetches all that the questions and their sources show or sound once, and keeps it until the window is closed: the line may be down by
 * then. Returns the kept address of an address.
 */
export function useKeptMedia(
  questions: ClassBoard['questions'],
  sources: ClassBoard['sources'],
): (url: string) => string | undefined {
  const kept = useRef(new Map<string, string>());
  useEffect(() => {
    const ending = new AbortController();
    const hashes = new Set([
      ...questions.flatMap(({ media }) => Object.values(media).map(({ hash }) => hash)),
      ...sources.flatMap(({ medium }) => medium?.hash ?? []),
    ]);
    const urls = kept.current;
    const keep = async () => {
      for (const hash of hashes) {
        const url = mediumUrl(hash);
        try {
          const response = await fetch(url, { signal: ending.signal });
          if (response.ok) urls.set(url, URL.createObjectURL(await response.blob()));
        } catch {
          // It stays with its address: a medium that is missing is no reason to stop.
        }
      }
    };
    void keep();
    void keepLetters(questions).catch(() => undefined);
    const textures = new Set(questions.flatMap(({ dress }) => dress?.ground?.texture ?? []));
    // The browser keeps these itself.
    for (const texture of textures) new Image().src = groundTexture(texture);
    return () => {
      ending.abort();
      for (const url of urls.values()) URL.revokeObjectURL(url);
      urls.clear();
    };
  }, [questions, sources]);
  return useCallback((url) => kept.current.get(url), []);
}
