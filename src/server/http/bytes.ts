import { createReadStream } from 'node:fs';
import { rm, stat } from 'node:fs/promises';
import { Readable } from 'node:stream';

/**
 * An answer of bytes, whole or the requested range (RFC 9110, 14). The bytes are somebody's file, so the headers forbid
 * a browser to run anything in them.
 */
export function bytesAnswer(request: Request, bytes: Uint8Array, type: string): Response {
  const headers: Record<string, string> = {
    'content-type': type,
    'cache-control': 'private, max-age=31536000, immutable',
    'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
    'accept-ranges': 'bytes',
  };
  const range = /^bytes=(\d*)-(\d*)$/.exec(request.headers.get('range') ?? '');
  if (!range || (range[1] === '' && range[2] === '')) return new Response(bytes as BodyInit, { headers });
  const last = bytes.length - 1;
  const from = range[1] === '' ? Math.max(0, bytes.length - Number(range[2])) : Number(range[1]);
  const to = range[1] === '' || range[2] === '' ? last : Math.min(last, Number(range[2]));
  if (from > to) return new Response(null, { status: 416, headers: { 'content-range': `bytes */${bytes.length}` } });
  return new Response(bytes.subarray(from, to + 1) as BodyInit, {
    status: 206,
    headers: { ...headers, 'content-range': `bytes ${from}-${to}/${bytes.length}` },
  });
}

/** A value to be saved as a JSON file. */
export const savedJson = (value: unknown, title: string): Response =>
  savedAs(JSON.stringify(value, null, 2), 'application/json', title, 'json');

/**
 * The header that makes a browser save an answer as a file (RFC 6266; clients that ignore `filename*` get a plain
 * name).
 */
function saving(type: string, title: string, extension: string): Record<string, string> {
  const name = title.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'vault-drop';
  return {
    'content-type': type,
    'content-disposition': `attachment; filename="vault-drop.${extension}"; filename*=UTF-8''${encodeURIComponent(name)}.${extension}`,
    'cache-control': 'no-store',
  };
}

export const savedAs = (content: string | Uint8Array, type: string, title: string, extension: string): Response =>
  new Response(content as BodyInit, { headers: saving(type, title, extension) });

/** A text as a download, sent as it is written. */
export const savedStream = (lines: AsyncIterable<string>, type: string, title: string, extension: string): Response =>
  new Response(Readable.toWeb(Readable.from(lines).map((line: string) => Buffer.from(line))) as ReadableStream, {
    headers: saving(type, title, extension),
  });

/** A file as a download: streamed, and removed once it is sent or the client is gone. */
export async function savedFile(file: string, type: string, title: string, extension: string): Promise<Response> {
  const { size } = await stat(file);
  const stream = createReadStream(file);
  stream.once('close', () => void rm(file, { force: true }));
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: { ...saving(type, title, extension), 'content-length': String(size) },
  });
}
