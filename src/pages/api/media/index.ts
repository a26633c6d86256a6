import { allowed, endpoint, failed, failedAs, guarded, json, listMedia, ok, takeMedium } from '../../../server';

const MOST_SIDE = 10_000;
const side = (text: string | null) => Math.min(MOST_SIDE, Math.max(1, Math.round(Number(text)) || 1000));

export const GET = endpoint('teacher', null, async ({ as }) => ok(await listMedia(as)));

/** A file as the body, its name and the size of the scene it is for in the address. */
export const POST = guarded(async (app, { request, url, locals }) => {
  const teacher = allowed(await locals.person(), 'teacher');
  if (!teacher.ok) return failed(teacher);
  const name = url.searchParams.get('name')?.slice(0, 200);
  if (!name) return failedAs('badRequest');
  const result = await takeMedium(
    { ...app, person: teacher.value },
    {
      name,
      claimed: request.headers.get('content-type') ?? '',
      bytes: new Uint8Array(await request.arrayBuffer()),
      room: { width: side(url.searchParams.get('width')), height: side(url.searchParams.get('height')) },
    },
  );
  return result.ok ? json({ ok: true, value: result.value }) : failed(result);
});
