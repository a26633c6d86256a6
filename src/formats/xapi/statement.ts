import type { LanguageMap, QuestionDefinition } from './activity';

/** A statement of xAPI 1.0.3, as version 2.0 takes it too: it names no version. */
export interface Statement {
  /** A UUID. */
  readonly id: string;
  readonly actor: Actor;
  readonly verb: { readonly id: string; readonly display: LanguageMap };
  readonly object: Activity;
  readonly result?: StatementResult;
  readonly context: StatementContext;
  /** ISO 8601, with its zone. */
  readonly timestamp: string;
}

export interface Actor {
  readonly objectType: 'Agent';
  readonly name?: string;
  readonly account: { readonly homePage: string; readonly name: string };
}

export interface Activity {
  readonly objectType: 'Activity';
  readonly id: string;
  readonly definition: QuestionDefinition | { readonly type: string; readonly name: LanguageMap };
}

export interface StatementResult {
  readonly score?: Score;
  readonly success?: boolean;
  readonly completion?: boolean;
  readonly response?: string;
  readonly duration?: string;
  readonly extensions?: Readonly<Record<string, unknown>>;
}

interface Score {
  readonly scaled: number;
  readonly raw: number;
  readonly min: 0;
  readonly max: number;
}

interface StatementContext {
  /** The attempt. */
  readonly registration?: string;
  readonly contextActivities: { readonly parent?: readonly Activity[]; readonly grouping?: readonly Activity[] };
  readonly statement?: { readonly objectType: 'StatementRef'; readonly id: string };
}

export type Verb = 'initialized' | 'answered' | 'completed' | 'passed' | 'failed' | 'scored';

export const verb = (name: Verb): Statement['verb'] => ({
  id: `http://adlnet.gov/expapi/verbs/${name}`,
  display: { en: name },
});

/** Null where nothing can be earned: a score needs a maximum above its minimum. */
export const scoreOf = (raw: number, max: number): { score: Score } | null =>
  max > 0 ? { score: { scaled: Math.min(1, Math.max(0, Number((raw / max).toFixed(7)))), raw, min: 0, max } } : null;

/** A time as ISO 8601 has it, in seconds to the hundredth (xAPI 1.0.3, part 2, 4.6). */
export const duration = (ms: number): string => `PT${Number((Math.max(0, ms) / 1000).toFixed(2))}S`;
