/**
 * The reader's time zone, from the browser by a cookie, so that the server's page shows the same times as the browser.
 */
export const ZONE_COOKIE = 'vault-drop.zone';
/** The zone before the browser has sent its own. */
export const NO_ZONE = 'UTC';

/** Set by the server: the zone of the person the page is drawn for. */
const onServer = globalThis as unknown as { vaultDropZone?: () => string };

/** The zone in which times are shown: on a page the one it was drawn with, so that hydration gives the same. */
export const zone = (): string =>
  typeof document === 'undefined'
    ? (onServer.vaultDropZone?.() ?? NO_ZONE)
    : (document.documentElement.dataset.zone ?? NO_ZONE);

export const zoneOnServer = (tell: () => string): void => {
  onServer.vaultDropZone = tell;
};
