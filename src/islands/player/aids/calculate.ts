import Big from 'big.js';

// A calculator's arithmetic: decimal, so that 0.1 + 0.2 is 0.3. Multiplication and division come first.

Big.DP = 12;

export type Calculated = { readonly ok: true; readonly value: string } | { readonly ok: false; readonly why: string };

const SIGNS = ['+', '−', '×', '÷'] as const;
type Sign = (typeof SIGNS)[number];
const isSign = (token: string): token is Sign => (SIGNS as readonly string[]).includes(token);

/** What the keys of a keyboard stand for. */
export const typedAs = (key: string): string => ({ '*': '×', '/': '÷', '-': '−', ',': '.', x: '×' })[key] ?? key;

const tokensOf = (words: string): string[] | null => {
  const tokens = words.match(/\d+\.?\d*|\.\d+|[+−×÷()]/g) ?? [];
  return tokens.join('').length === words.replace(/\s/g, '').length ? tokens : null;
};

/** The value of sums and products of decimal numbers, with brackets; to twelve places. */
export function calculate(words: string): Calculated {
  const tokens = tokensOf(words);
  if (!tokens || tokens.length === 0) return { ok: false, why: 'Type numbers with + − × ÷ between them' };
  let at = 0;
  const peek = () => tokens[at] ?? '';
  // sum = product { (+ | −) product }, product = factor { (× | ÷) factor }, factor = number | − factor | ( sum )
  const sum = (): Big => {
    let value = product();
    while (peek() === '+' || peek() === '−')
      value = tokens[at++] === '+' ? value.plus(product()) : value.minus(product());
    return value;
  };
  const product = (): Big => {
    let value = factor();
    while (peek() === '×' || peek() === '÷') value = tokens[at++] === '×' ? value.times(factor()) : value.div(factor());
    return value;
  };
  const factor = (): Big => {
    const token = tokens[at++];
    if (token === '−') return factor().neg();
    if (token === '(') {
      const value = sum();
      if (tokens[at++] !== ')') throw new Error('A bracket is not closed');
      return value;
    }
    if (token === undefined || isSign(token) || token === ')') throw new Error('A number is missing');
    return new Big(token);
  };
  try {
    const value = sum();
    if (at < tokens.length) return { ok: false, why: 'A sign is missing between two numbers' };
    return { ok: true, value: shown(value) };
  } catch (error) {
    const message = error instanceof Error ? error.message : '';
    return { ok: false, why: /division by zero/i.test(message) ? 'Nothing can be divided by 0' : message };
  }
}

const shown = (value: Big): string => value.round(12).toFixed().replace(/^-/, '−').replace(/^−0$/, '0');
