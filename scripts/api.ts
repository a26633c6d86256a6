// `npm run api`: writes docs/api/openapi.json anew from the endpoints. A test holds it to them.
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { DescribedRoute } from '../src/server/http/endpoint';
import { API_DOCUMENT, apiDocument, type Found } from './apiDocument';

const pages = join(import.meta.dirname, '../src/pages');
const files = readdirSync(pages, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts'))
  .sort();
const found: Found[] = [];
for (const name of files) {
  const file = join(pages, name);
  const module = (await import(pathToFileURL(file).href)) as Record<string, unknown>;
  for (const [method, route] of Object.entries(module)) if (/^[A-Z]+$/.test(method)) found.push({ method, file, route: route as DescribedRoute });
}
mkdirSync(dirname(API_DOCUMENT), { recursive: true });
writeFileSync(API_DOCUMENT, apiDocument(found));
console.log(`${found.length} endpoints`);
process.exit(0);
