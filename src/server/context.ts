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

/** What every server function is given first: where things are kept and what time it is. */
export interface Context {
  readonly db: Database;
  readonly files: MediaFiles;
  readonly work: WorkPool;
  readonly config: Config;
  readonly now: () => Date;
  /** A clock that goes on evenly, whatever the machine's is set to, in milliseconds; left out: as `now`. */
  readonly steady?: (() => number) | undefined;
  /** Where a request came from. */
  readonly address?: string | undefined;
}

/** The same, with who is asking. */
export interface As<Who extends Person = Person> extends Context {
  readonly person: Who;
}
export type Teacher = Person & { readonly role: 'teacher' };
export type Learner = Person & { readonly role: 'learner' };
