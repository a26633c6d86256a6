// The workers for the islands: each a plain object over comlink.
export { type Prover, prover } from './proof';
export { strategiesOf } from './strategies';
