// `npm run api`: writes docs/api/openapi.json anew from the contract. A test holds it to that.
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { OPERATIONS } from '../src/contract';
import { API_DOCUMENT, apiDocument } from './apiDocument';

mkdirSync(dirname(API_DOCUMENT), { recursive: true });
writeFileSync(API_DOCUMENT, apiDocument());
console.log(`${Object.keys(OPERATIONS).length} endpoints`);
