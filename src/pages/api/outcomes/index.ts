import { MAX_OUTCOMES_BYTES } from '../../../contract';
import { endpoint, fail, listOutcomes, mayOnceMore, ok, takeOutcomes, withUpload } from '../../../server';

export const GET = endpoint('GET /api/outcomes', async ({ as }) => ok(await listOutcomes(as)));
export const POST = endpoint('POST /api/outcomes', async ({ as, query, request }) =>
  (await mayOnceMore(as, 'upload', as.person.id))
    ? withUpload(as.config, request, MAX_OUTCOMES_BYTES, (file) => takeOutcomes(as, file, query))
    : fail('tooMany'),
);
