import { type Digest, digestOf, inWhole, type Move } from '../../core';
import { contentUpToDate, type EditionContent } from '../database/tables';
import { type OpenEdition, openContent } from '../releases/editions';
import { drawnFor } from './drawn';
import { type Regraded, regrade } from './regrade';

// Replays of attempts with many moves, for worker threads: from JSON texts, as the database gives them.

/** An edition by its name, with its content as JSON text; null if the thread may have it already. */
export interface EditionText {
  readonly name: string;
  readonly number: number;
  readonly content: string | null;
}
export type Replayed<Value> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly needs: 'edition' };

/** Moves in their order: each its number, its question, its body and when it was made. */
export type MovesText = string;
type MoveRow = readonly [n: number, question: number, body: Move, at: number];
export const movesIn = (text: MovesText) =>
  (JSON.parse(text) as MoveRow[]).map(([n, question, body, at]) => ({ n, question, body, at: new Date(at) }));

const MAX_EDITIONS = 8;
const editions = new Map<string, OpenEdition>();

/** Editions never change, so a thread caches the latest ones. */
function opened({ name, number, content }: EditionText): OpenEdition | null {
  const known = editions.get(name);
  if (known) return known;
  if (content === null) return null;
  const edition = openContent(number, contentUpToDate(JSON.parse(content) as EditionContent));
  editions.set(name, edition);
  const oldest = editions.keys().next().value;
  if (editions.size > MAX_EDITIONS && oldest !== undefined) editions.delete(oldest);
  return edition;
}

/** The digest of each question; null: not answered. */
export function digestMoves({
  edition: text,
  seed,
  moves,
}: {
  readonly edition: EditionText;
  readonly seed: string;
  readonly moves: MovesText;
}): Replayed<readonly (Digest | null)[]> {
  const edition = opened(text);
  return edition ? { ok: true, value: digestsIn(edition, seed, movesIn(moves)) } : { ok: false, needs: 'edition' };
}

export const digestsIn = (
  { models }: OpenEdition,
  seed: string,
  moves: readonly { readonly question: number; readonly body: Move; readonly at: Date }[],
): (Digest | null)[] =>
  models.map((model, q) => {
    const made = moves
      .filter(({ question }) => question === q)
      .map(({ body, at }) => ({ move: body, at: at.getTime() }));
    if (made.length === 0) return null;
    const drawn = drawnFor(model, seed, q);
    return inWhole(digestOf(drawn, made), drawn, model);
  });

/** An attempt judged under an edition. `asked`: the indices of its questions. */
export function regradeMoves({
  edition: text,
  sitting,
  asked,
  moves,
}: {
  readonly edition: EditionText;
  readonly sitting: { readonly id: string; readonly learnerId: string; readonly seed: string };
  readonly asked: readonly number[];
  readonly moves: MovesText;
}): Replayed<Regraded> {
  const edition = opened(text);
  return edition
    ? { ok: true, value: regrade(sitting, movesIn(moves), edition, asked) }
    : { ok: false, needs: 'edition' };
}
