import { bodies, changeMany, endpoint, listVault, makeQuestion, ok, queries } from '../../../server';

export const GET = endpoint('teacher', { does: 'A page of the Vault.', query: queries.sought }, async ({ as, query }) => ok(await listVault(as, query)));
export const POST = endpoint('teacher', { does: 'Makes a question: empty, or an example of a kind.', body: bodies.newQuestion }, ({ as, body }) =>
  makeQuestion(as, body.id, body.example ?? null, body.shelfId ?? null),
);
export const PATCH = endpoint('teacher', { does: 'Moves, tags, deletes or brings back many questions at once.', body: bodies.questionsChange }, ({ as, body }) =>
  changeMany(as, body),
);
