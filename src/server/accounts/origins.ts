import { isIP } from 'node:net';
import type { Config } from '../config';

/**
 * True if a write may come from this origin. With PUBLIC_URL set, only from there. Without it, only from the address it
 * is sent to, if that is localhost or a bare IP address: somebody else could point a name at this machine.
 */
export function allowsOrigin(config: Pick<Config, 'publicUrl'>, origin: string, host: string | null): boolean {
  if (config.publicUrl) return origin === config.publicUrl.origin;
  if (!host || !URL.canParse(origin)) return false;
  const { hostname, host: originHost } = new URL(origin);
  return originHost === host && (hostname === 'localhost' || isIP(hostname.replace(/^\[|\]$/g, '')) !== 0);
}
