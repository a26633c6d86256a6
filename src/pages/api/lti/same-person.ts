import { endpointOf, guarded, samePersonRoute } from '../../../server';

export const POST = endpointOf('POST /api/lti/same-person', guarded(samePersonRoute));
