/**
 * The reader's time zone: of their browser, which tells it by a cookie, so that a page drawn on the server says the
 * same as one drawn here.
 */
export const ZONE_COOKIE = 'vault-drop.zone';
/** Until a browser has told its zone. */
export const NO_ZONE = 'UTC';

/** Set by the server: the zone of whoever the page that is drawn now is for. */
const onServer = globalThis as unknown as { vaultDropZone?: () => string };

/** The zone times are said in: on a page the one it was drawn with, so that what is drawn anew is as it was. */
export const zone = (): string =>
  typeof document === 'undefined'
    ? (onServer.vaultDropZone?.() ?? NO_ZONE)
    : (document.documentElement.dataset.zone ?? NO_ZONE);

export const zoneOnServer = (tell: () => string): void => {
  onServer.vaultDropZone = tell;
};
