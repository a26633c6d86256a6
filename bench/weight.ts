import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { bundled } from './bundle';
import type { Measured } from './measure';

/** Minified and gzipped bytes of JavaScript. */
const gzipped = (text: string | Uint8Array) => gzipSync(text, { level: 9 }).length;

/** Aids come with the questions that allow them: this page has none. */
const WHERE_ALLOWED = /\/Aids\.[^/]+\.js$/;

/** Every script a built entry loads, by following its static and dynamic imports. */
function scriptsFrom(entry: string, seen = new Set<string>()): Set<string> {
  if (seen.has(entry) || WHERE_ALLOWED.test(entry)) return seen;
  seen.add(entry);
  for (const [, name] of readFileSync(entry, 'utf8').matchAll(/(?:from|import)\s*\(?\s*["'](\.\/[^"']+\.js)["']/g))
    scriptsFrom(join(dirname(entry), name ?? ''), seen);
  return seen;
}

/**
 * The learner page's JavaScript against a page with only React, React DOM and @use-gesture/react, both minified and gzipped.
 */
export async function weight(origin: string, page: string, most = 1.45): Promise<Measured> {
  const files = new Set<string>();
  const islands = [...page.matchAll(/(?:component|renderer)-url="(\/_astro\/[^"]+)"/g)].map(([, path]) => path ?? '');
  for (const path of islands) for (const file of scriptsFrom(join('dist/client', path))) files.add(file);
  const inline = [...page.matchAll(/<script(?![^>]*src=)[^>]*>(.*?)<\/script>/gs)]
    .map(([, text]) => text ?? '')
    .join('\n');
  const ours = [...files].reduce((sum, file) => sum + gzipped(readFileSync(file)), 0) + gzipped(inline);

  const bare =
    await bundled(`import { createElement as h } from 'react'; import { createRoot } from 'react-dom/client'; import { useDrag, usePinch } from '@use-gesture/react';
        function Bare() { usePinch(() => 0, { target: window }); return h('p', useDrag(() => 0)()); }
        createRoot(document.body).render(h(Bare));`);
  const least = gzipped(bare);
  const ratio = ours / least;
  return {
    name: 'learner page JavaScript, gzipped / React, React DOM and @use-gesture/react',
    value: ratio.toFixed(3),
    goal: `≤ ${most}`,
    met: ratio <= most,
    page: origin,
    ours,
    least,
  };
}
