const isMac = typeof navigator !== 'undefined' && /Mac|iPhone|iPad/.test(navigator.platform);
const NAMES: Readonly<Record<string, string>> = {
  Mod: isMac ? '⌘' : 'Ctrl',
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  PageUp: 'Page up',
  PageDown: 'Page down',
  Escape: 'Esc',
};

/** "Mod+ArrowLeft" as this machine's keys are called. */
export const keysInWords = (keys: string): string =>
  keys
    .split(/\+(?!$)/)
    .map((key) => NAMES[key] ?? key)
    .join(' ');
