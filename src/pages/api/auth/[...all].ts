import {
  allowed,
  canStore,
  failed,
  failedAs,
  guarded,
  MAX_AUTH_BYTES,
  OPEN_AUTH_PATHS,
  readBytes,
  TEACHER_AUTH_PATHS,
} from '../../../server';

export const ALL = guarded(async (app, { request, clientAddress, locals, params }) => {
  const path = `/${params.all}`;
  if (!OPEN_AUTH_PATHS.has(path)) return failedAs('notFound');
  if (TEACHER_AUTH_PATHS.has(path)) {
    const teacher = allowed(await locals.person(), 'teacher');
    if (!teacher.ok) return failed(teacher);
  }
  const headers = new Headers(request.headers);
  headers.set('x-client-ip', clientAddress);
  const hasBody = request.method !== 'GET' && request.method !== 'HEAD';
  const body = hasBody ? await readBytes(request, MAX_AUTH_BYTES) : null;
  if (body && !body.ok) return failed(body);
  const answer = await app.auth.handler(
    new Request(request.url, {
      method: request.method,
      headers,
      ...(body ? { body: new Uint8Array(body.value) } : {}),
    }),
  );
  // The library says the same of everything that goes wrong: a database that cannot be written is said as it is.
  return answer.status === 500 && !(await canStore(app)) ? failedAs('unavailable') : answer;
});
