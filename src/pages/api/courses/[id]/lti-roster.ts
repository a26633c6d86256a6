import { endpoint, planPlatformRoster, takePlatformRoster } from '../../../../server';

export const POST = endpoint('POST /api/courses/{id}/lti-roster', ({ as, id, body }) =>
  body.take ? takePlatformRoster(as, id, body.removeOthers) : planPlatformRoster(as, id),
);
