import { MAX_FILE_BYTES } from '../../../contract';
import { endpoint, fail, listMedia, mayOnceMore, ok, storeMedium, withUpload } from '../../../server';

export const GET = endpoint('GET /api/media', async ({ as }) => ok(await listMedia(as)));
export const POST = endpoint('POST /api/media', async ({ as, query: { name, ...room }, request }) => {
  if (!(await mayOnceMore(as, 'upload', as.person.id))) return fail('tooMany');
  return withUpload(as.config, request, MAX_FILE_BYTES, (file) =>
    storeMedium(as, { name, claimed: request.headers.get('content-type') ?? '', file, room }),
  );
});
