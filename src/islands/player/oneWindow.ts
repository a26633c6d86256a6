/**
 * Of several windows of one browser, the last one that opened an attempt owns it: earlier ones are told, and stop. In a
 * browser without locks (a page without https) only the server prevents two windows from forking an attempt.
 */
export function inThisWindow(sitting: string, onTaken: () => void): () => void {
  if (!navigator.locks) return () => undefined;
  let release: () => void = () => undefined;
  let given = false;
  const held = new Promise<void>((resolve) => {
    release = resolve;
  });
  navigator.locks
    .request(`vault-drop.sitting.${sitting}`, { steal: true }, () => held)
    .catch(() => {
      if (!given) onTaken();
    });
  return () => {
    given = true;
    release();
  };
}
