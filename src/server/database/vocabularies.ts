import {
  AUDITED,
  COUNTS,
  FEEDBACK_TIMES,
  JOB_STATES,
  MEDIUM_KINDS,
  OUTBOX_STATES,
  REMOVABLE,
  RIGHTS,
  SECURITY_EVENTS,
} from '../../contract';
import { FEEDBACK_LEVELS } from '../../core';
import { KINDS } from '../../core/document';

/** The columns that hold one word of a vocabulary: by table and column. */
const VOCABULARIES: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  audit: { what: AUDITED },
  job: { state: JOB_STATES },
  medium: { kind: MEDIUM_KINDS },
  outbox: { state: OUTBOX_STATES },
  question: { kind: KINDS },
  release: { counts: COUNTS, feedback_level: FEEDBACK_LEVELS, feedback_time: FEEDBACK_TIMES },
  removal: { kind: REMOVABLE },
  security_event: { what: SECURITY_EVENTS },
  shelf_share: { right: RIGHTS },
};

/**
 * The triggers by which the database refuses a word that is not in the vocabulary of its column. They stand for CHECK
 * constraints, which SQLite cannot add to a table without building it anew. A vocabulary that grows needs a migration
 * that drops its triggers and makes these; a test compares them with the database's.
 */
export function vocabularyTriggers(): Map<string, string> {
  const triggers = new Map<string, string>();
  for (const [table, columns] of Object.entries(VOCABULARIES))
    for (const [column, words] of Object.entries(columns))
      for (const [event, on] of [
        ['insert', 'INSERT'],
        ['update', `UPDATE OF \`${column}\``],
      ] as const) {
        const name = `${table}_${column}_on_${event}`;
        const list = words.map((word) => `'${word}'`).join(', ');
        triggers.set(
          name,
          `CREATE TRIGGER \`${name}\` BEFORE ${on} ON \`${table}\` WHEN NEW.\`${column}\` NOT IN (${list}) BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of ${table}.${column}'); END`,
        );
      }
  return triggers;
}
