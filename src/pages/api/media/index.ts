import { endpoint, fail, listMedia, mayOnceMore, ok, queries, takeMedium, withUpload } from '../../../server';

/** A film; how large a picture or a sound may be is said where it is taken. */
const MAX_BYTES = 62 * 1024 * 1024;

export const GET = endpoint('teacher', { does: 'The teacher’s media.' }, async ({ as }) => ok(await listMedia(as)));
export const POST = endpoint(
  'teacher',
  { does: 'Keeps a picture, a sound or a film, held against what it claims to be.', sends: '*/*', query: queries.newMedium, maxBytes: MAX_BYTES },
  async ({ as, query: { name, ...room }, request }) => {
    if (!(await mayOnceMore(as, 'upload', as.person.id))) return fail('tooMany');
    return withUpload(as.config, request, MAX_BYTES, (file) => takeMedium(as, { name, claimed: request.headers.get('content-type') ?? '', file, room }));
  },
);
