import { failedAs, guarded, OPEN_AUTH_PATHS } from '../../../server';

export const ALL = guarded(async (app, { request, clientAddress, params }) => {
  if (!OPEN_AUTH_PATHS.has(`/${params.all}`)) return failedAs('notFound');
  const headers = new Headers(request.headers);
  headers.set('x-client-ip', clientAddress);
  return app.auth.handler(new Request(request, { headers }));
});
