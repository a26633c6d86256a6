import { bodies, changeMany, endpoint, listVault, makeQuestion, ok, soughtIn } from '../../../server';

/** A page of the Vault: `shelf`, `words`, `kind`, `findings`, `use`, `tag`, `sort`, `from`. */
export const GET = endpoint('teacher', null, async ({ as, search }) => {
  const sought = soughtIn(search);
  return sought.ok ? ok(await listVault(as, sought.value)) : sought;
});
export const POST = endpoint('teacher', bodies.newQuestion, ({ as, body }) => makeQuestion(as, body.id, body.example ?? null, body.shelfId ?? null));
export const PATCH = endpoint('teacher', bodies.questionsChange, ({ as, body }) => changeMany(as, body));
