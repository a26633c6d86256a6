import { allowed, exportPackage, failed, failedAs, guarded, importPackage, json } from '../../server';

const UUID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
const MOST_NAMED = 500;

/** What was asked to be packed; null: nothing that can be. */
function toPack(search: URLSearchParams) {
  const [shelf, set, questions] = ['shelf', 'set', 'questions'].map((name) => search.get(name));
  if (shelf) return { shelf };
  if (set) return { set };
  const ids = questions?.split(',').filter((id) => UUID.test(id)) ?? [];
  return ids.length > 0 && ids.length <= MOST_NAMED ? { questions: ids } : null;
}

/** Questions (`questions`, by their ids with commas between), a shelf or a set, as one zip of documents and media. */
export const GET = guarded(async (app, { locals, url }) => {
  const teacher = allowed(await locals.person(), 'teacher');
  if (!teacher.ok) return failed(teacher);
  const what = toPack(url.searchParams);
  if (!what) return failedAs('badRequest');
  const packed = await exportPackage({ ...app, person: teacher.value }, what);
  if (!packed.ok) return failed(packed);
  const name = packed.value.name.replace(/[^\p{L}\p{N} -]+/gu, '').trim() || 'questions';
  return new Response(packed.value.bytes as BodyInit, {
    headers: { 'content-type': 'application/zip', 'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(`${name}.zip`)}`, 'cache-control': 'no-store' },
  });
});

/** Takes a package in, as the body. `id` is the client's: the same package sent again under it comes in once. */
export const POST = guarded(async (app, { request, locals, url }) => {
  const teacher = allowed(await locals.person(), 'teacher');
  if (!teacher.ok) return failed(teacher);
  const id = url.searchParams.get('id') ?? '';
  if (!UUID.test(id)) return failedAs('badRequest');
  const taken = await importPackage({ ...app, person: teacher.value }, id, new Uint8Array(await request.arrayBuffer()));
  return taken.ok ? json({ ok: true, value: taken.value }) : failed(taken);
});
