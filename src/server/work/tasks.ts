import type { MessagePort } from 'node:worker_threads';
import { readOutcomes } from '../../formats/case/read';
import { readRoster } from '../../formats/roster';
import { narrowPicture } from '../media/pictures';
import { prepareMedium } from '../media/prepare';
import { readOneRosterFile } from '../oneroster/files';
import { modelAnswer } from '../releases/modelAnswer';
import { digestMoves, regradeMoves } from '../sittings/replays';
import { completeDocument, editDocument, examineQuestion } from '../vault/examine';
import { formulaOf } from '../vault/formulas';
import { lookAtPackage } from '../vault/lookAtPackage';
import { examinePacked, packInto, packQti, readPackage, readPackedSet } from '../vault/packageFiles';

/** The tasks of the worker threads: each takes and returns plain data, and knows neither database nor network. */
export const TASKS = {
  prepareMedium,
  narrowPicture,
  completeDocument,
  editDocument,
  examineQuestion,
  formulaOf,
  packInto,
  packQti,
  readPackage,
  lookAtPackage,
  examinePacked,
  readPackedSet,
  modelAnswer,
  readRoster,
  readOutcomes,
  readOneRosterFile,
  digestMoves,
  regradeMoves,
} as const satisfies Readonly<Record<string, (input: never) => unknown>>;

export type TaskName = keyof typeof TASKS;
export type TaskInput<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[0];
export type TaskOutput<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>;
export interface Task<Name extends TaskName> {
  readonly name: Name;
  readonly input: TaskInput<Name>;
  /** Hears one message when the thread, which may have had to start first, takes the task. */
  readonly begun: MessagePort;
}
