import { MAX_FILE_BYTES, type OneRosterPlan, type OneRosterTaken } from '../../contract';
import { endpoint, fail, mayOnceMore, planOneRoster, takeOneRoster, withUpload } from '../../server';

export const POST = endpoint('POST /api/oneroster', async ({ as, query: { take, skipFaulty, source }, request }) =>
  (await mayOnceMore(as, 'upload', as.person.id))
    ? withUpload<OneRosterPlan | OneRosterTaken>(as.config, request, MAX_FILE_BYTES, (file) =>
        take ? takeOneRoster(as, file, source, skipFaulty) : planOneRoster(as, file, source),
      )
    : fail('tooMany'),
);
