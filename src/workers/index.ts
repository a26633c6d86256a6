// What islands use of the workers: each a plain object over comlink.
export { type Prover, prover } from './proof';
