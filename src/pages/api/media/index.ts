import { endpoint, fail, listMedia, mayOnceMore, ok, takeMedium, withUpload } from '../../../server';

/** A film; how large a picture or a sound may be is said where it is taken. */
const MAX_BYTES = 62 * 1024 * 1024;

export const GET = endpoint('GET /api/media', async ({ as }) => ok(await listMedia(as)));
export const POST = endpoint('POST /api/media', async ({ as, query: { name, ...room }, request }) => {
  if (!(await mayOnceMore(as, 'upload', as.person.id))) return fail('tooMany');
  return withUpload(as.config, request, MAX_BYTES, (file) => takeMedium(as, { name, claimed: request.headers.get('content-type') ?? '', file, room }));
});
