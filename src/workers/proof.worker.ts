import { expose } from 'comlink';
import { type Proof, prove, type Question, questionModel } from '../core';

/** Proof, off the page's own thread. */
const api = {
  prove: (question: Question, milliseconds: number): Proof => prove(questionModel(question), milliseconds, performance),
};
export type ProofApi = typeof api;

expose(api);
