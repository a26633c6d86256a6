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
  try {
    const stored = JSON.parse(localStorage.getItem(STORED_AT) ?? '{}') as Partial<Arrangement>;
    return { ...defaults, ...stored, panel: { ...defaults.panel, ...stored.panel } };
  } catch {
    // Storage is forbidden, or another program wrote there.
    return defaults;
  }
}

export function remember(arrangement: Arrangement): void {
  try {
    localStorage.setItem(STORED_AT, JSON.stringify(arrangement));
  } catch {
    // It lasts as long as the page.
  }
}
