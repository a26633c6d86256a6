import { endpoint, fail, listOutcomes, mayOnceMore, ok, takeOutcomes, withUpload } from '../../../server';

const MAX_BYTES = 20 * 1024 * 1024;

export const GET = endpoint('GET /api/outcomes', async ({ as }) => ok(await listOutcomes(as)));
export const POST = endpoint('POST /api/outcomes', async ({ as, query, request }) =>
  (await mayOnceMore(as, 'upload', as.person.id))
    ? withUpload(as.config, request, MAX_BYTES, (file) => takeOutcomes(as, file, query))
    : fail('tooMany'),
);
