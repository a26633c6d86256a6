import { NO_ZONE, ZONE_COOKIE } from './zone';

const YEAR_SECONDS = 365 * 24 * 3600;

/**
 * Tells the server the browser's time zone. A page drawn in another zone is loaded again: once, because the cookie is
 * there then.
 */
export function tellZone(): void {
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone || NO_ZONE;
  const { zone, timeless } = document.documentElement.dataset;
  if (here === zone) return;
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
  document.cookie = `${ZONE_COOKIE}=${encodeURIComponent(here)}; path=/; max-age=${YEAR_SECONDS}; samesite=lax${location.protocol === 'https:' ? '; secure' : ''}`;
  if (timeless === undefined && document.cookie.includes(`${ZONE_COOKIE}=`)) location.reload();
}
