import { isIP } from 'node:net';
import type { Config } from '../config';

/**
 * May a write come from this origin? With PUBLIC_URL set, from there alone. Without it, from the very address it is
 * sent to, as long as that is localhost or a bare IP address: a name could be pointed at this machine by somebody else.
 */
export function allowsOrigin(config: Pick<Config, 'publicUrl'>, origin: string, host: string | null): boolean {
  if (config.publicUrl) return origin === config.publicUrl.origin;
  if (!host || !URL.canParse(origin)) return false;
  const { hostname, host: originHost } = new URL(origin);
  return originHost === host && (hostname === 'localhost' || isIP(hostname.replace(/^\[|\]$/g, '')) !== 0);
}
