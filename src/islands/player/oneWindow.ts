/**
 * Of the windows of one browser, the last to open a sitting has it: those before are told, and stop. Where a browser
 * has no locks (a page without https), the server alone sees to it that two windows do not fork a sitting.
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
