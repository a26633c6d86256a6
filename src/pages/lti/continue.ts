import { continueRoute, endpointOf, guarded } from '../../server';

export const POST = endpointOf('POST /lti/continue', guarded(continueRoute));
