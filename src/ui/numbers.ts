type Read = { value: number; problem: null } | { value: null; problem: string };

/** A number as an author types it: the value, or the sentence that says why it is none. */
export function numberFrom(text: string, least: number, most = 1e6, whole = false): Read {
  return checked(plain(text), text, least, most, whole);
}

/** As a form's field reads what is typed: nothing is no number, and a comma is a point. */
export const numberTyped = (text: unknown): number | undefined => (text === '' ? undefined : plain(String(text)));

const plain = (text: string) => Number(text.trim().replace(',', '.'));

function checked(value: number, text: string, least: number, most: number, whole: boolean): Read {
  if (text.trim() === '' || !Number.isFinite(value)) return { value: null, problem: 'Type a number' };
  if (whole && !Number.isInteger(value)) return { value: null, problem: 'Type a whole number' };
  if (value < least) return { value: null, problem: `At least ${least}` };
  if (value > most) return { value: null, problem: `At most ${most}` };
  return { value, problem: null };
}

/**
 * The same with arithmetic on what stands there: "+12", "*2", "/3" and "-5" change `now` ("-5" alone stands for the
 * number where nothing stands there); "100+24*2" is worked out with its precedence, and "=-5" sets a number below
 * nought.
 */
export function numberOrChange(text: string, now: number | null, least: number, most = 1e6, whole = false): Read {
  const typed = text.trim().replaceAll(',', '.').replaceAll(/\s+/g, '').replaceAll('×', '*').replaceAll('−', '-');
  const relative = now !== null && /^[+\-*/]/.test(typed);
  const sum = typed.startsWith('=') ? typed.slice(1) : relative ? `${now}${typed}` : typed;
  return checked(workedOut(sum), sum, least, most, whole);
}

/** A sum of products of numbers; NaN where it is none. */
function workedOut(sum: string): number {
  const tokens = sum.match(/\d+(?:\.\d+)?(?:e[+-]?\d+)?|\.\d+|[+\-*/]/gi) ?? [];
  if (tokens.join('') !== sum) return Number.NaN;
  let at = 0;
  const factor = (): number => {
    const token = tokens[at++];
    if (token === '-') return -factor();
    if (token === '+') return factor();
    return token === undefined || /^[*/]$/.test(token) ? Number.NaN : Number(token);
  };
  const product = (): number => {
    let value = factor();
    while (tokens[at] === '*' || tokens[at] === '/') value = tokens[at++] === '*' ? value * factor() : value / factor();
    return value;
  };
  let value = product();
  while (tokens[at] === '+' || tokens[at] === '-') value = tokens[at++] === '+' ? value + product() : value - product();
  return at === tokens.length ? value : Number.NaN;
}
