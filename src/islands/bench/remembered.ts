import * as browser from '../../ui/browserStore';
import type { Station } from './store';

/** How the author has arranged the Bench, in this browser: shares in per cent of the room. */
export interface Arrangement {
  readonly panel: { readonly wide: number; readonly narrow: number };
  readonly ledger: number;
  /** The Ledger, by station: open or folded. */
  readonly open: Readonly<Partial<Record<Station, boolean>>>;
}

const STORED_AT = 'vault-drop.bench';

export function remembered(defaults: Arrangement): Arrangement {
  const stored = (browser.recall(STORED_AT) ?? {}) as Partial<Arrangement>;
  return { ...defaults, ...stored, panel: { ...defaults.panel, ...stored.panel } };
}

export const remember = (arrangement: Arrangement): void => browser.remember(STORED_AT, arrangement);
