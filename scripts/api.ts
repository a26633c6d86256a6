// `npm run api`: writes docs/api/ anew from the contract: the document, and its types for programs. A test holds both
// to the contract.
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { OPERATIONS } from '../src/contract';
import { API_DOCUMENT, API_TYPES, apiDocument, apiTypes } from './apiDocument';

mkdirSync(dirname(API_TYPES), { recursive: true });
writeFileSync(API_DOCUMENT, apiDocument());
writeFileSync(API_TYPES, await apiTypes());
console.log(`${Object.keys(OPERATIONS).length} endpoints`);
