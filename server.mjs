// Serves what `npm run build` made. Static files come from memory of what is there, compressed at build time; everything else goes to Astro.
import { existsSync } from 'node:fs';
import http from 'node:http';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import sirv from 'sirv';

const root = dirname(fileURLToPath(import.meta.url));
process.env.VAULT_DROP_ROOT ??= root;
process.env.NODE_ENV ??= 'production';
process.env.ASTRO_NODE_AUTOSTART = 'disabled';
if (!existsSync(join(root, 'dist/server/entry.mjs'))) {
  console.error('There is nothing built yet: run `npm run build` first.');
  process.exit(1);
}

const HOST = process.env.HOST ?? '127.0.0.1';
const PORT = Number(process.env.PORT ?? 4321);
const MOST_BYTES = Number(process.env.MAX_BODY_BYTES ?? 10 * 1024 * 1024);
/** A film, or a package of questions; how large a picture or a sound may be is said where it is taken. */
const MOST_MEDIUM_BYTES = Number(process.env.MAX_MEDIUM_BYTES ?? 62 * 1024 * 1024);
const trustProxy = process.env.TRUST_PROXY === '1';
const FORWARDED = ['x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-forwarded-port', 'x-client-ip'];

const { handler } = await import('./dist/server/entry.mjs');
const files = sirv(join(root, 'dist/client'), {
  gzip: true,
  brotli: true,
  etag: true,
  setHeaders: (response, path) => {
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('cross-origin-resource-policy', 'same-origin');
    if (path.startsWith('/_astro/')) response.setHeader('cache-control', 'public, max-age=31536000, immutable');
  },
});

/** What is read of a refused body, so that its sender, who reads no answer before all is sent, gets one; whoever sends more is cut off. */
const MOST_DRAINED = 8 * MOST_BYTES;

function refuse(request, response, status, code, message, wayOn) {
  let drained = 0;
  request.on('data', (chunk) => {
    drained += chunk.length;
    if (drained > MOST_DRAINED) request.destroy();
  });
  request.once('end', () =>
    response.writeHead(status, { 'content-type': 'application/json', connection: 'close' }).end(JSON.stringify({ ok: false, error: { code, message, wayOn } })),
  );
}

const server = http.createServer((request, response) => {
  if (!trustProxy) for (const name of FORWARDED) delete request.headers[name];
  const length = request.headers['content-length'];
  if (length === undefined && request.headers['transfer-encoding'] !== undefined)
    return refuse(request, response, 411, 'lengthNeeded', 'The size of that request is not known', 'Send it with a Content-Length.');
  const most = /^\/api\/(?:media|packages)\?/.test(request.url) ? MOST_MEDIUM_BYTES : MOST_BYTES;
  if (Number(length ?? 0) > most) return refuse(request, response, 413, 'tooLarge', 'That is too large', 'Send less at once.');
  files(request, response, () => handler(request, response));
});
server.on('error', (error) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${PORT} on ${HOST} is taken: set PORT to another.` : error.message);
  process.exit(1);
});

server.listen(PORT, HOST, async () => {
  const here = `http://${HOST.includes(':') ? `[${HOST}]` : HOST}:${server.address().port}`;
  const wildcard = HOST === '0.0.0.0' || HOST === '::';
  const health = await fetch(`${wildcard ? `http://127.0.0.1:${server.address().port}` : here}/api/health`).catch((error) => ({ ok: false, status: error.message }));
  if (!health.ok) {
    console.error(`Vault Drop cannot serve: /api/health says ${health.status}. The log above says why.`);
    process.exit(1);
  }
  console.log(`Vault Drop serves on ${process.env.PUBLIC_URL ?? here}`);
});

for (const signal of ['SIGTERM', 'SIGINT'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 5000).unref();
  });
