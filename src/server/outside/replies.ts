import type { Reply } from './ask';

/** The JSON of an answer; undefined: it is none. */
export function jsonOf({ text }: Reply): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

/** An address with a step added to its path; a query stays what it was. */
export function under(address: string, step: string): string {
  const url = new URL(address);
  url.pathname = `${url.pathname.replace(/\/$/, '')}/${step}`;
  return url.href;
}

/** An address with these parameters beside those it has. */
export function withQuery(address: string, query: Readonly<Record<string, string>>): string {
  const url = new URL(address);
  for (const [name, value] of Object.entries(query)) url.searchParams.set(name, value);
  return url.href;
}

/** The address of the next page of a list (RFC 8288); null: this is the last. */
export function nextPage({ headers }: Reply, here: string): string | null {
  for (const link of (headers.get('link') ?? '').split(/,(?=\s*<)/)) {
    const [target = '', ...parameters] = link.split(';');
    if (!parameters.some((parameter) => /^\s*rel\s*=\s*"?next"?\s*$/i.test(parameter))) continue;
    const address = target.trim().replace(/^<|>$/g, '');
    return URL.canParse(address, here) ? new URL(address, here).href : null;
  }
  return null;
}

/** The longest that somebody may make us wait, in milliseconds. */
const LONGEST_WAIT_MS = 24 * 3600 * 1000;

/** A `Retry-After` (RFC 9110, 10.2.3) in milliseconds from now; null: none. */
export function waitOf(header: string | null, now: Date): number | null {
  if (header === null) return null;
  const at = /^\d{1,9}$/.test(header) ? Number(header) * 1000 : Date.parse(header) - now.getTime();
  return Number.isFinite(at) && at > 0 ? Math.min(at, LONGEST_WAIT_MS) : null;
}
