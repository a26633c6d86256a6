import { endpointOf, guarded, loginRoute } from '../../server';

export const GET = endpointOf('GET /lti/login', guarded(loginRoute));
export const POST = endpointOf('POST /lti/login', guarded(loginRoute));
