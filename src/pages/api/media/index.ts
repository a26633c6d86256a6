import { endpoint, listMedia, ok, queries, takeMedium } from '../../../server';

export const GET = endpoint('teacher', { does: 'The teacher’s media.' }, async ({ as }) => ok(await listMedia(as)));
export const POST = endpoint(
  'teacher',
  { does: 'Keeps a picture, a sound or a film, held against what it claims to be.', sends: '*/*', query: queries.newMedium },
  async ({ as, query: { name, ...room }, request }) =>
    takeMedium(as, { name, claimed: request.headers.get('content-type') ?? '', bytes: new Uint8Array(await request.arrayBuffer()), room }),
);
