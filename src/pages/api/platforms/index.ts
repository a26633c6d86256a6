import { addPlatformAs, endpoint, openPlatforms, ownAddress } from '../../../server';

export const GET = endpoint('GET /api/platforms', ({ as, request }) =>
  openPlatforms(as, ownAddress(as.config, request)),
);
export const POST = endpoint('POST /api/platforms', ({ as, body, request }) =>
  addPlatformAs(as, body, ownAddress(as.config, request)),
);
