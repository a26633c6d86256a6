// Serves what `npm run build` made. Static files come from memory of what is there, compressed at build time;
// everything else goes to Astro.
import { randomUUID } from 'node:crypto';
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

/** What is wrong with how it was started, and an exit code of its own. */
function misconfigured(words) {
  console.error(words);
  process.exit(2);
}
function wholeNumber(name, otherwise, least, most) {
  const text = process.env[name];
  if (text === undefined || text === '') return otherwise;
  const value = Number(text);
  if (!Number.isInteger(value) || value < least || value > most)
    misconfigured(`${name} has to be a whole number from ${least} to ${most}; it is "${text}".`);
  return value;
}

const HOST = process.env.HOST ?? '127.0.0.1';
const PORT = wholeNumber('PORT', 4321, 0, 65_535);
/** The largest body there is beside files; what each endpoint takes is less, and said there. */
const MAX_BYTES = 2 * 1024 * 1024;
/** A film, or a package of questions; how large a picture or a sound may be is said where it is taken. */
const MAX_FILE_BYTES = wholeNumber('MAX_MEDIUM_BYTES', 62 * 1024 * 1024, 1024, 2 ** 31);
/**
 * How many proxies of ours stand before it: of the addresses they forward, that many are theirs, counted from the last.
 */
const HOPS = wholeNumber('TRUST_PROXY', 0, 0, 10);
const https = process.env.PUBLIC_URL?.startsWith('https:') ?? false;
const FORWARDED = ['x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-forwarded-port', 'x-client-ip'];

const { handler } = await import('./dist/server/entry.mjs');
const { answerFast, isFast } = await import('./dist/server/lane.mjs');
const files = sirv(join(root, 'dist/client'), {
  gzip: true,
  brotli: true,
  etag: true,
  setHeaders: (response, path) => {
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('cross-origin-resource-policy', 'same-origin');
    if (https) response.setHeader('strict-transport-security', 'max-age=31536000; includeSubDomains');
    // Drawings of textures: a class board shows them with the line down.
    if (path.startsWith('/grounds/')) response.setHeader('cache-control', 'public, max-age=86400');
    if (path.startsWith('/_astro/')) response.setHeader('cache-control', 'public, max-age=31536000, immutable');
  },
});

/**
 * What is read of a refused body, so that its sender, who reads no answer before all is sent, gets one; whoever sends
 * more is cut off.
 */
const MAX_DRAINED = 80 * 1024 * 1024;

function refuse(request, response, status, code, message, nextStep) {
  let drained = 0;
  request.on('data', (chunk) => {
    drained += chunk.length;
    if (drained > MAX_DRAINED) request.destroy();
  });
  request.once('end', () =>
    response
      .writeHead(status, { 'content-type': 'application/json', connection: 'close' })
      .end(JSON.stringify({ ok: false, error: { code, message, nextStep } })),
  );
}

/** The address the outermost of our proxies was asked from: whoever stands before it may have written anything. */
function forwardedAddress(header) {
  const all = String(header ?? '')
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean);
  return all[Math.max(0, all.length - HOPS)];
}

let ending = false;
const server = http.createServer((request, response) => {
  if (ending) response.setHeader('connection', 'close');
  if (HOPS === 0) for (const name of FORWARDED) delete request.headers[name];
  else {
    const address = forwardedAddress(request.headers['x-forwarded-for']);
    if (address) request.headers['x-forwarded-for'] = address;
    else delete request.headers['x-forwarded-for'];
    delete request.headers['x-client-ip'];
  }
  const length = request.headers['content-length'];
  if (length === undefined && request.headers['transfer-encoding'] !== undefined)
    return refuse(
      request,
      response,
      411,
      'lengthNeeded',
      'The size of that request is not known',
      'Send it with a Content-Length.',
    );
  const max = /^\/api\/(?:(?:media|packages)\?|(?:oneroster|outcomes)(?:\?|$))/.test(request.url)
    ? MAX_FILE_BYTES
    : MAX_BYTES;
  if (Number(length ?? 0) > max)
    return refuse(request, response, 413, 'tooLarge', 'That is too large', 'Send less at once.');
  if (isFast(request)) return void answerFast(request, response);
  files(request, response, () => handler(request, response));
});
// A body that comes drop by drop, or a connection that says nothing, is not waited for.
server.requestTimeout = 120_000;
server.headersTimeout = 20_000;
server.on('error', (error) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${PORT} on ${HOST} is taken: set PORT to another.` : error.message);
  process.exit(1);
});

/** At another name of this machine, so that a browser takes it for another site. */
const standInAddress = (publicUrl, port) => `${publicUrl || `http://localhost:${port}`}/stand-in/platform`;

process.env.VAULT_DROP_STARTER = randomUUID();
server.listen(PORT, HOST, async () => {
  const here = `http://${HOST.includes(':') ? `[${HOST}]` : HOST}:${server.address().port}`;
  const wildcard = HOST === '0.0.0.0' || HOST === '::';
  const asked = await fetch(`${wildcard ? `http://127.0.0.1:${server.address().port}` : here}/api/health`, {
    headers: { 'x-starter': process.env.VAULT_DROP_STARTER },
  }).catch((error) => error);
  if (!(asked instanceof Response) || !asked.ok) {
    const { problem } = asked instanceof Response ? await asked.json().catch(() => ({})) : { problem: asked.message };
    console.error(`Vault Drop cannot serve: ${problem ?? 'the log above says why.'}`);
    process.exit(1);
  }
  console.log(`Vault Drop serves on ${process.env.PUBLIC_URL || here}`);
  if (process.env.VAULT_DROP_DEMO === '1')
    console.log(
      `A stand-in for a school’s platform is at ${standInAddress(process.env.PUBLIC_URL, server.address().port)}`,
    );
});

/** How long what was begun may take to be finished once it is told to end, in milliseconds. */
const GRACE_MS = 1500;

for (const signal of ['SIGTERM', 'SIGINT'])
  process.once(signal, () => {
    ending = true;
    server.close(() => process.exit(0));
    // Connections that wait for a next request are closed as soon as they have had their answer.
    setInterval(() => server.closeIdleConnections(), 20);
    setTimeout(() => {
      server.closeAllConnections();
      process.exit(0);
    }, GRACE_MS);
  });
