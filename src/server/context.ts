import type { Config } from './config';
import type { Database } from './database/open';
import type { MediaFiles } from './media/files';
import type { WorkPool } from './work/pool';

export type Role = 'teacher' | 'learner';

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly username: string | null;
  readonly role: Role;
  /** Signing in asks for a code too. */
  readonly twoFactor?: boolean | undefined;
}

/** The first argument of every server function: the stores and the clock. */
export interface Context {
  readonly db: Database;
  readonly files: MediaFiles;
  readonly work: WorkPool;
  readonly config: Config;
  readonly now: () => Date;
  /** A steady clock that setting the machine's clock does not change, in milliseconds; left out: `now`. */
  readonly steady?: (() => number) | undefined;
  /** Where a request came from. */
  readonly address?: string | undefined;
}

/** The context with the person who asks. */
export interface As<Who extends Person = Person> extends Context {
  readonly person: Who;
}
export type Teacher = Person & { readonly role: 'teacher' };
export type Learner = Person & { readonly role: 'learner' };
