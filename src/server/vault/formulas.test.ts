import { describe, expect, it } from 'vitest';
import { isMathTree } from '../../core/document';
import { formulaOf } from './formulas';

const drawn = async (tex: string) => {
  const made = await formulaOf({ tex });
  if (!made.ok) throw new Error(made.message);
  expect(isMathTree(made.value.math)).toBe(true);
  return made.value;
};
const refused = async (tex: string) => {
  const made = await formulaOf({ tex });
  return made.ok ? null : made.message;
};

describe('a formula', () => {
  it.each([
    ['x^2+y_1', 'x squared plus y sub 1'],
    ['\\frac{m}{V}', 'm over V'],
    ['\\ce{CO2 + H2O}', 'CO sub 2 plus cap H sub 2 O'],
    ['5\\,\\%', '5 percent sign'],
    ['20\\,^\\circ\\mathrm{C}', '20 degrees cap C'],
    ['m = 3\\,\\mathrm{kg}', 'm equals 3 kilograms'],
  ])('%s is spoken as %s', async (tex, words) => {
    expect((await drawn(tex)).text).toBe(words);
  });

  it('is a tree of what is drawn, without what is empty', async () => {
    expect((await drawn('\\ce{H2O}')).math).toEqual({
      is: 'math',
      holds: [
        {
          is: 'mrow',
          holds: [
            {
              is: 'msub',
              holds: [
                { is: 'mi', with: { mathvariant: 'normal' }, holds: ['H'] },
                { is: 'mn', holds: ['2'] },
              ],
            },
            { is: 'mi', with: { mathvariant: 'normal' }, holds: ['O'] },
          ],
        },
      ],
    });
    expect(JSON.stringify((await drawn('\\overline{AB}')).math)).toContain('"mover"');
  });

  it('that cannot be drawn says why', async () => {
    expect(await refused('\\frac{1')).toMatch(/^“\\frac\{1” cannot be drawn: Unexpected end/);
    expect(await refused('\\def\\a{\\a\\a}\\a')).toMatch(/Too many expansions/);
    expect(await refused('\\boxed{x}')).toMatch(/frame/);
    expect(await refused('\\color{red}{x}')).toMatch(/colour/);
    expect(await refused('\\cancel{x}')).toMatch(/stroke/);
  });

  it('carries no address and no markup of an author', async () => {
    expect(await refused('\\href{javascript:alert(1)}{x}')).toMatch(/cannot be drawn/);
    expect(await refused('\\includegraphics{http://example.org/a.png}')).toMatch(/cannot be drawn/);
    const { math } = await drawn('\\text{<img src=x onerror=alert(1)>}');
    expect(math.holds).toMatchObject([{ is: 'mtext', holds: [expect.stringContaining('<img')] }]);
  });
});
