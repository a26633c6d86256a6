/** A number as an author types it: the value, or the sentence that says why it is none. */
export function numberFrom(text: string, least: number, most = 1e6, whole = false): { value: number; problem: null } | { value: null; problem: string } {
  const value = Number(text.trim().replace(',', '.'));
  if (text.trim() === '' || !Number.isFinite(value)) return { value: null, problem: 'Type a number' };
  if (whole && !Number.isInteger(value)) return { value: null, problem: 'Type a whole number' };
  if (value < least) return { value: null, problem: `At least ${least}` };
  if (value > most) return { value: null, problem: `At most ${most}` };
  return { value, problem: null };
}
