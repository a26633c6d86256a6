import { accountOperations } from './account';
import { boardOperations } from './board';
import { comparisonOperations } from './comparison';
import { correctionOperations } from './corrections';
import { courseOperations } from './courses';
import { gradebookOperations } from './gradebook';
import { listOperations } from './lists';
import { liveOperations } from './live';
import { mediaOperations } from './media';
import { morningMailOperations } from './morningMail';
import { oneRosterOperations } from './oneRoster';
import type { AnswerOf, Asker, BodyOf, PathParameters, QueryOf, SentBodyOf } from './operation';
import { outcomeOperations } from './outcomes';
import { paperOperations } from './paper';
import { platformOperations } from './platforms';
import { questionOperations } from './questions';
import { recordStoreOperations } from './recordStore';
import { releaseOperations } from './releases';
import { resultOperations } from './results';
import { rosterOperations } from './roster';
import { setOperations } from './sets';
import { shelfOperations } from './shelves';
import { sittingOperations } from './sittings';
import { todayOperations } from './today';
import { tokenOperations } from './tokens';

/** Every endpoint, by its method and path. */
export const OPERATIONS = {
  ...accountOperations,
  ...boardOperations,
  ...courseOperations,
  ...rosterOperations,
  ...gradebookOperations,
  ...releaseOperations,
  ...resultOperations,
  ...comparisonOperations,
  ...correctionOperations,
  ...paperOperations,
  ...sittingOperations,
  ...questionOperations,
  ...shelfOperations,
  ...setOperations,
  ...listOperations,
  ...liveOperations,
  ...mediaOperations,
  ...morningMailOperations,
  ...todayOperations,
  ...platformOperations,
  ...tokenOperations,
  ...recordStoreOperations,
  ...oneRosterOperations,
  ...outcomeOperations,
} as const;

export type Operations = typeof OPERATIONS;
export type OperationName = keyof Operations;
/** The operations for these callers. */
export type NamesFor<Who extends Asker> = {
  [Name in OperationName]: Operations[Name]['who'] extends Who ? Name : never;
}[OperationName];

// Of an operation's answer the value, with its dates as dates; never: its answer is a file. (No docstring: it would
// stand in every schema of the API document.)
export type AnswerFor<Name extends OperationName> = AnswerOf<Operations[Name]>;
export type ParametersFor<Name extends OperationName> = PathParameters<Name>;
export type BodyFor<Name extends OperationName> = BodyOf<Operations[Name]>;
/** The same, as a client sends it. */
export type SentBodyFor<Name extends OperationName> = SentBodyOf<Operations[Name]>;
/** True for an operation whose body is a file. */
export type TakesFile<Name extends OperationName> = Operations[Name] extends { readonly sends: string } ? true : false;
export type QueryFor<Name extends OperationName> = QueryOf<Operations[Name]>;
