import { failed, failedAs, guarded, MAX_AUTH_BYTES, OPEN_AUTH_PATHS, readBytes } from '../../../server';

export const ALL = guarded(async (app, { request, clientAddress, params }) => {
  if (!OPEN_AUTH_PATHS.has(`/${params.all}`)) return failedAs('notFound');
  const headers = new Headers(request.headers);
  headers.set('x-client-ip', clientAddress);
  const hasBody = request.method !== 'GET' && request.method !== 'HEAD';
  const body = hasBody ? await readBytes(request, MAX_AUTH_BYTES) : null;
  if (body && !body.ok) return failed(body);
  return app.auth.handler(new Request(request.url, { method: request.method, headers, ...(body ? { body: new Uint8Array(body.value) } : {}) }));
});
