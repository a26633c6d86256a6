import { type Fixture, type Rich, slotsIn } from '../../core';

/**
 * The characters of a rich text in one line. (The core's own stands with the schema, which no learner's page loads.)
 */
export const plain = (rich: Rich | null): string =>
  (rich?.blocks ?? [])
    .flatMap((block) => (block.type === 'paragraph' ? [block.runs] : block.entries))
    .map((runs) => runs.map(({ text }) => text ?? '').join(''))
    .join(' ');

/** The zones that the texts of a scene name as slots. */
export const slotsOf = ({ fixtures }: { readonly fixtures: readonly Fixture[] }): string[] =>
  fixtures.flatMap((fixture) => (fixture.type === 'text' ? slotsIn(fixture.text) : []));
