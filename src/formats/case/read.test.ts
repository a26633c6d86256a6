import { describe, expect, it } from 'vitest';
import { readOutcomes } from './read';

const item = (identifier: string, code: string, words = `Words of ${code}`) => ({
  ...{ identifier, uri: `https://case.example/${identifier}`, fullStatement: words, humanCodingScheme: code },
  lastChangeDateTime: '2026-01-01T00:00:00Z',
});
const child = (origin: string, destination: string, sequenceNumber?: number) => ({
  ...{ identifier: `${origin}-${destination}`, associationType: 'isChildOf' },
  ...(sequenceNumber === undefined ? {} : { sequenceNumber }),
  originNodeURI: { title: '', identifier: origin, uri: '' },
  destinationNodeURI: { title: '', identifier: destination, uri: '' },
});
const cfPackage = (items: object[], associations: object[]) =>
  JSON.stringify({
    CFDocument: { identifier: 'doc', uri: '', title: 'Seeds, years 6 and 7', creator: 'Tarn Hollow' },
    ...{ CFItems: items, CFAssociations: associations, CFDefinitions: { CFConcepts: [] } },
  });

describe('a package of CASE', () => {
  it('becomes a tree by isChildOf, in the order of its sequence numbers', () => {
    const read = readOutcomes(
      cfPackage(
        [item('a', 'A'), item('a2', 'A.2'), item('a1', 'A.1'), item('b', 'B'), item('z', 'Z')],
        [child('a2', 'a', 2), child('a1', 'a', 1), child('b', 'doc', 1), child('a', 'doc', 2)],
      ),
    );
    expect(read.document).toMatchObject({ identifier: 'doc', title: 'Seeds, years 6 and 7' });
    // What stands under nothing stands at the top, after what has a place.
    expect(read.outcomes.map(({ code, parents }) => [code, ...parents])).toEqual([
      ['B'],
      ['A'],
      ['A.1', 'a'],
      ['A.2', 'a'],
      ['Z'],
    ]);
    expect(read).toMatchObject({ notes: [], problems: [] });
  });

  it('says what cannot stand as it was said: two parents, circles, other associations', () => {
    const read = readOutcomes(
      cfPackage(
        [item('a', 'A'), item('b', 'B'), item('c', 'C'), item('d', 'D')],
        [
          ...[child('c', 'b', 2), child('c', 'a', 1), child('a', 'doc', 1), child('b', 'doc', 2), child('d', 'd', 1)],
          { ...child('a', 'b'), associationType: 'exactMatchOf' },
        ],
      ),
    );
    expect(read.outcomes.find(({ code }) => code === 'C')?.parents).toEqual(['a', 'b']);
    expect(read.outcomes).toHaveLength(4);
    expect(read.notes).toEqual([
      '1 associations of other kinds than isChildOf are left out.',
      '“C” stands under 2 others: it is shown under the first, “A”.',
      '“D” would stand under itself: it stands at the top.',
    ]);
  });

  it('that is none is refused with its place', () => {
    expect(readOutcomes('{').problems[0]?.message).toMatch(/^This is not JSON/);
    expect(
      readOutcomes('{"CFDocument":{"identifier":"d","title":"t"},"CFItems":[{"identifier":"x"}]}').problems,
    ).toEqual([{ where: 'CFItems[0].fullStatement', message: expect.stringContaining('no package of CASE') }]);
    expect(readOutcomes(cfPackage([item('a', 'A'), item('a', 'B')], [])).problems).toEqual([
      { where: 'CFItems[0].identifier', message: '“a” stands twice.' },
    ]);
  });
});

describe('a list', () => {
  it('has a code, words and the code of what it stands under, a line each', () => {
    const read = readOutcomes('Code,Words,Parent\nB.1,"Tells dry from moist, by touch",B\nB,Keeps seeds\n');
    expect(read.document).toBeNull();
    expect(read.outcomes).toEqual([
      { key: 'B', code: 'B', words: 'Keeps seeds', parents: [] },
      { key: 'B.1', code: 'B.1', words: 'Tells dry from moist, by touch', parents: ['B'] },
    ]);
  });
  it('is refused with the lines at fault', () => {
    expect(readOutcomes('A,One\nA,Two\n,Three\nB,\nC,Four,X\nD,a,b,c').problems).toEqual([
      { where: 'line 2', message: 'The code “A” stands on line 1 too.' },
      { where: 'line 3', message: 'It has no code.' },
      { where: 'line 4', message: 'It has no words.' },
      { where: 'line 6', message: expect.stringContaining('quotes') },
      { where: 'line 5', message: 'There is no “X” to stand under.' },
    ]);
    expect(readOutcomes(' \n').problems).toEqual([{ where: '', message: 'There is nothing in this list.' }]);
  });
});
