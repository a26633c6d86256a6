import { endpointOf, guarded, publicKeys } from '../../server';

export const GET = endpointOf(
  'GET /lti/jwks',
  guarded(async (app) =>
    Response.json(await publicKeys(app.config, app.now()), { headers: { 'cache-control': 'max-age=300' } }),
  ),
);
