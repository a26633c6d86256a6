export { Platform } from './platform/platform';
export { CLIENT_ID, DEPLOYMENT_ID, ISSUER, type Kept, nothingKept } from './platform/school';
