import Big from 'big.js';

// A calculator's arithmetic: decimal, so that 0.1 + 0.2 is 0.3. Multiplication and division come first.

Big.DP = 12;

/** Why nothing can be worked out. */
export type Fault = 'notNumbers' | 'openBracket' | 'noNumber' | 'noSign' | 'byNought';
export type Calculated = { readonly ok: true; readonly value: string } | { readonly ok: false; readonly why: Fault };

class Faulty extends Error {
  constructor(readonly why: Fault) {
    super(why);
  }
}

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
  if (!tokens || tokens.length === 0) return { ok: false, why: 'notNumbers' };
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
      if (tokens[at++] !== ')') throw new Faulty('openBracket');
      return value;
    }
    if (token === undefined || isSign(token) || token === ')') throw new Faulty('noNumber');
    return new Big(token);
  };
  try {
    const value = sum();
    if (at < tokens.length) return { ok: false, why: 'noSign' };
    return { ok: true, value: shown(value) };
  } catch (error) {
    // What the library itself refuses is a division by nought.
    return { ok: false, why: error instanceof Faulty ? error.why : 'byNought' };
  }
}

const shown = (value: Big): string => value.round(12).toFixed().replace(/^-/, '−').replace(/^−0$/, '0');
