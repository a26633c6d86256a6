import { endpointOf, guarded, launchRoute } from '../../server';

export const POST = endpointOf('POST /lti/launch', guarded(launchRoute));
