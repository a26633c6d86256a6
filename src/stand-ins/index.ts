export { keptIn } from './kept';
export { Platform } from './platform/platform';
export { CLIENT_ID, DEPLOYMENT_ID, ISSUER, nothingKept } from './platform/school';
export { noStatements, RecordStore } from './recordStore/recordStore';
