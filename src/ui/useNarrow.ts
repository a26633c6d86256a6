import { useSyncExternalStore } from 'react';

/** A page on which tables do not fit: a phone held upright. */
const NARROW = '(max-width: 40rem)';

const watch = (tell: () => void) => {
  const asked = matchMedia(NARROW);
  asked.addEventListener('change', tell);
  return () => asked.removeEventListener('change', tell);
};

/** True on a narrow page. The server, which does not know, draws the wide one. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    watch,
    () => matchMedia(NARROW).matches,
    () => false,
  );
