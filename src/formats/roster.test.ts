import { describe, expect, it } from 'vitest';
import { readRoster } from './roster';

const names = (text: string) => readRoster(text).lines.map(({ name, username }) => `${name}/${username}`);

describe('a roster', () => {
  it('is read by its headings, in any order, or else in ours', () => {
    expect(names('Wren Tallow,wren\nAsh Corran,ash')).toEqual(['Wren Tallow/wren', 'Ash Corran/ash']);
    expect(names('User name\tName\tsomething else\nwren\tWren Tallow\tx')).toEqual(['Wren Tallow/wren']);
    expect(names('name;username\n"Tallow; Wren";wren')).toEqual(['Tallow; Wren/wren']);
    expect(readRoster('Wren,wren,seedlings-1,Rack A|Rack B').lines[0]).toMatchObject({
      password: 'seedlings-1',
      groups: ['Rack A', 'Rack B'],
    });
  });

  it('says of each line that cannot be taken why, by its number, and takes the rest', () => {
    const { lines, problems } = readRoster(
      '\uFEFFname,user name,password\r\n"Wren\nTallow",wren,\r\nAsh,,\r\n\r\nLinden,li nden,\r\nSorrel,sorrel,short\r\nBryony,WREN,\r\nRowan,rowan,long enough',
    );
    expect(lines.map(({ line, username }) => [line, username])).toEqual([
      [2, 'wren'],
      [9, 'rowan'],
    ]);
    expect(problems.map(({ line, message }) => [line, message.slice(0, 26)])).toEqual([
      [4, 'There is no user name.'],
      [6, 'The user name “li nden” ca'],
      [7, 'The password has fewer tha'],
      [8, 'The user name “WREN” stand'],
    ]);
  });

  it('is empty where there is nothing, and stops at so many lines', () => {
    expect(readRoster('\n\n')).toEqual({ lines: [], problems: [] });
    const many = readRoster(Array.from({ length: 6000 }, (_, i) => `L,l.${i}`).join('\n'));
    expect(many.lines).toHaveLength(5000);
    expect(many.problems).toEqual([{ line: 5001, message: 'At most 5000 lines are taken at once.' }]);
  });
});
