import { sql } from 'drizzle-orm';
import { customType, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type {
  Counts,
  EditionSection,
  FeedbackTime,
  Figures,
  FiguresBefore,
  MarkChange,
  SourceContent,
  TrialAndError,
} from '../../contract';
import type { Aid, Checkpoint, Digest, FeedbackLevel, ModelPlacement, Move, Question } from '../../core';
import { withEveryField } from '../../core/document';
import { user } from './accountTables';
import { moment, owner } from './columns';
import { category, course, courseGroup, unit } from './courseTables';
import { questionSet } from './vaultTables';

export const release = sqliteTable(
  'release',
  {
    id: text('id').primaryKey(),
    courseId: text('course_id')
      .notNull()
      .references(() => course.id),
    title: text('title').notNull(),
    releasedBy: owner('released_by'),
    createdAt: moment('created_at').notNull(),
    /** The set it was published from; null: a question alone, or not known. */
    setId: text('set_id').references(() => questionSet.id, { onDelete: 'set null' }),
    /** Withdrawn: its learners do not see it and it does not count, until it is brought back. Null: it is not. */
    withdrawnAt: moment('withdrawn_at'),
    unitId: text('unit_id').references(() => unit.id, { onDelete: 'set null' }),
    /** No attempt starts before it; null: at once. */
    opensAt: moment('opens_at'),
    /** Attempts finished after it are late; null: none is. */
    dueAt: moment('due_at'),
    /** No move is accepted after it; null: it stays open. */
    closesAt: moment('closes_at'),
    /** The time limit of an attempt in minutes; null: none. */
    minutes: integer('minutes'),
    /** The attempts a learner may have; null: any number. */
    sittings: integer('sittings').default(1),
    /** Which of several attempts counts. */
    counts: text('counts').$type<Counts>().notNull().default('best'),
    /** Practice: it is not in the gradebook. */
    practice: integer('practice', { mode: 'boolean' }).notNull().default(false),
    categoryId: text('category_id').references(() => category.id, { onDelete: 'set null' }),
    /** The share of the points that passes, in per cent; null: nothing is said of passing. */
    passMark: integer('pass_mark'),
    /** The highest feedback level (a question may give less), and when it is given. */
    feedbackLevel: text('feedback_level').$type<FeedbackLevel>().notNull().default('modelAnswer'),
    feedbackTime: text('feedback_time').$type<FeedbackTime>().notNull().default('atOnce'),
    /** Assigned to the whole course; else to those in `release_for`. */
    everyone: integer('everyone', { mode: 'boolean' }).notNull().default(true),
    /** The edition of new attempts. */
    edition: integer('edition').notNull().default(1),
    /** How often its settings were saved: a write names the revision it was made on. */
    revision: integer('revision').notNull().default(1),
  },
  (t) => [
    index('release_of_course').on(t.courseId, t.createdAt),
    index('release_of_set').on(t.setId),
    index('release_of_unit').on(t.unitId),
    index('release_of_category').on(t.categoryId),
  ],
);

const ofRelease = () =>
  text('release_id')
    .notNull()
    .references(() => release.id);
const ofLearner = () =>
  text('learner_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' });

/** The groups and learners a release is assigned to, if not to the whole course. */
export const releaseFor = sqliteTable(
  'release_for',
  {
    releaseId: ofRelease(),
    groupId: text('group_id').references(() => courseGroup.id, { onDelete: 'cascade' }),
    learnerId: text('learner_id').references(() => user.id, { onDelete: 'cascade' }),
  },
  // One of the two is always null, and SQLite treats nulls as different from one another.
  (t) => [
    uniqueIndex('release_for_one').on(t.releaseId, sql`coalesce(${t.groupId}, '')`, sql`coalesce(${t.learnerId}, '')`),
    index('release_for_group').on(t.groupId),
    index('release_for_learner').on(t.learnerId),
  ],
);

/** A learner's allowances beyond the release's settings. Null: as for everybody. */
export const allowance = sqliteTable(
  'allowance',
  {
    releaseId: ofRelease(),
    learnerId: ofLearner(),
    moreMinutes: integer('more_minutes').notNull().default(0),
    dueAt: moment('due_at'),
    closesAt: moment('closes_at'),
    moreSittings: integer('more_sittings').notNull().default(0),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.learnerId] }), index('allowance_of_learner').on(t.learnerId)],
);

/**
 * A mark set by hand, in points, instead of the attempts' score. `outOf`: the maximum when it was set, which later
 * editions do not change; null: the present maximum.
 */
export const markOverride = sqliteTable(
  'mark_override',
  {
    releaseId: ofRelease(),
    learnerId: ofLearner(),
    points: real('points').notNull(),
    outOf: real('out_of'),
    reason: text('reason').notNull(),
    by: owner('by'),
    at: moment('at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.learnerId] }), index('mark_by_hand_of_learner').on(t.learnerId)],
);

/** What a teacher said of a learner's mark of a release: excused, or a note for teachers. */
export const gradeRemark = sqliteTable(
  'grade_remark',
  {
    releaseId: ofRelease(),
    learnerId: ofLearner(),
    excused: integer('excused', { mode: 'boolean' }).notNull(),
    note: text('note').notNull(),
    by: owner('by'),
    at: moment('at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.learnerId] }), index('grade_remark_of_learner').on(t.learnerId)],
);

/** The effect of applying an edition on each learner's mark, in points. */
export const regrade = sqliteTable(
  'regrade',
  {
    releaseId: ofRelease(),
    edition: integer('edition').notNull(),
    by: owner('by'),
    at: moment('at').notNull(),
    changes: text('changes', { mode: 'json' }).$type<MarkChange[]>().notNull(),
    /** The number of attempts that were spared because their marks would have fallen. */
    spared: integer('spared').notNull().default(0),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.edition] })],
);

/**
 * The version of the move rules. 2: hidden zones, and with deferred feedback zones that welcome by the key, turn
 * nothing away. Moves made under earlier rules are replayed as far as possible.
 */
export const MOVE_RULES = 2;

/** The content of an edition: complete copies of its questions. */
export interface EditionContent {
  readonly questions: readonly Question[];
  /** One full-mark arrangement for each question whose learners may see it; left out in older editions. */
  readonly modelAnswers?: readonly (readonly ModelPlacement[] | null)[];
  readonly goBack?: boolean;
  /** Learners' aids with every question. */
  readonly aids?: readonly Aid[];
  /** {@link MOVE_RULES} when it was made; left out in older editions. */
  readonly moveRules?: number;
  /** Deferred feedback: each question is checked once, when the attempt ends. */
  readonly quiet?: boolean;
  /** Struck questions: they do not count, and are not asked any more. */
  readonly struck?: readonly boolean[];
  /** The points of each question; left out in older editions: its marks. */
  readonly points?: readonly number[];
  /** Sections in their order; left out: one section with all questions. */
  readonly sections?: readonly EditionSection[];
  /** Sources, each beside the questions with these indices. */
  readonly sources?: readonly (SourceContent & { readonly questions: readonly number[] })[];
}

/** The content as JSON; questions of an older format get its newer fields as they are read. */
const editionContent = customType<{ data: EditionContent; driverData: string }>({
  dataType: () => 'text',
  toDriver: (content) => JSON.stringify(content),
  fromDriver: (text) => contentUpToDate(JSON.parse(text) as EditionContent),
});

export const contentUpToDate = (content: EditionContent): EditionContent => ({
  ...content,
  questions: content.questions.map(withEveryField),
});

/** Immutable: the database refuses to change or delete one */
export const edition = sqliteTable(
  'edition',
  {
    releaseId: text('release_id')
      .notNull()
      .references(() => release.id),
    number: integer('number').notNull(),
    content: editionContent('content').notNull(),
    createdAt: moment('created_at').notNull(),
    /** The reason for a correction, and who made it. */
    reason: text('reason').notNull().default(''),
    madeBy: text('made_by'),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.number] })],
);

export const sitting = sqliteTable(
  'sitting',
  {
    id: text('id').primaryKey(),
    releaseId: text('release_id')
      .notNull()
      .references(() => release.id),
    learnerId: text('learner_id')
      .notNull()
      .references(() => user.id),
    number: integer('number').notNull(),
    /** The seed of everything drawn for this attempt (names, the tray's order). */
    seed: text('seed').notNull(),
    startedAt: moment('started_at').notNull(),
    /** The edition by which it is judged. The database accepts moves of this edition only (see the migrations). */
    edition: integer('edition').notNull().default(1),
    /** The edition in which it was started, which decides its questions. */
    began: integer('began').notNull().default(1),
    /** The points of all its questions together. */
    outOf: real('out_of').notNull().default(0),
    /** The index of the furthest question reached. */
    reached: integer('reached').notNull().default(0),
    /**
     * When the learner finished it or the time was up. From then on the database accepts no moves (see the migrations).
     */
    finishedAt: moment('finished_at'),
    /** The time used up to `usedAt`, in milliseconds by the steady clock. Null: counted from `startedAt`. */
    usedMs: integer('used_ms'),
    usedAt: integer('used_at'),
    /** Set when it was reopened: final checks up to this move number do not count. */
    reopenedAfter: integer('reopened_after').notNull().default(0),
    /** Answered on paper and typed in by a teacher: the variant of the sheet, from 1. Null: on its page. */
    paperVariant: integer('paper_variant'),
    // What is read of many attempts at once is written with their moves, and can be worked out again from them.
    /** The number of its last move, 0 before the first. */
    moves: integer('moves').notNull().default(0),
    /** The learner placed, typed or checked anything. */
    acted: integer('acted', { mode: 'boolean' }).notNull().default(false),
    /** The times of the learner's first and last moves; final checks are not among them. Null: there is none. */
    firstMoveAt: moment('first_move_at'),
    lastMoveAt: moment('last_move_at'),
    /** The sums over its standings: points, tries, questions that have ended. */
    points: real('points').notNull().default(0),
    tries: integer('tries').notNull().default(0),
    ended: integer('ended').notNull().default(0),
  },
  (t) => [
    uniqueIndex('sitting_of_learner').on(t.releaseId, t.learnerId, t.number),
    index('sitting_by_learner').on(t.learnerId),
  ],
);

/** Append-only: the truth of a sitting. `id` is made by the client, so that a move sent twice counts once. */
export const move = sqliteTable(
  'move',
  {
    sittingId: text('sitting_id')
      .notNull()
      .references(() => sitting.id),
    n: integer('n').notNull(),
    id: text('id').notNull(),
    edition: integer('edition').notNull(),
    question: integer('question').notNull(),
    body: text('body', { mode: 'json' }).$type<Move>().notNull(),
    at: moment('at').notNull(),
    /** Made as the attempt ended: a final check, or what was typed in from paper. */
    ending: integer('ending', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [primaryKey({ columns: [t.sittingId, t.n] }), uniqueIndex('move_id').on(t.sittingId, t.id)],
);

/**
 * A cache of a question's state after the moves up to `n`, judged by an edition. It can be worked out again from the
 * moves.
 */
export const checkpoint = sqliteTable(
  'checkpoint',
  {
    sittingId: text('sitting_id')
      .notNull()
      .references(() => sitting.id),
    question: integer('question').notNull(),
    edition: integer('edition').notNull(),
    n: integer('n').notNull(),
    body: text('body', { mode: 'json' }).$type<Checkpoint>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.sittingId, t.question] })],
);

/** A cache of the score of one question of an attempt. It can be worked out again from the moves. */
export const standing = sqliteTable(
  'standing',
  {
    sittingId: text('sitting_id')
      .notNull()
      .references(() => sitting.id),
    question: integer('question').notNull(),
    tries: integer('tries').notNull(),
    mark: real('mark').notNull(),
    max: real('max').notNull(),
    /** The points the mark is worth. */
    points: real('points').notNull().default(0),
    fullMarks: integer('full_marks', { mode: 'boolean' }).notNull(),
    ended: integer('ended', { mode: 'boolean' }).notNull(),
    checkedAt: moment('checked_at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.sittingId, t.question] })],
);

/**
 * A cache of an attempt's digests, for the results of its release: worked out when it ends, and again after moves
 * beyond `upto` or under another edition. `body`: by question; null: not answered.
 */
export const digest = sqliteTable('digest', {
  sittingId: text('sitting_id')
    .primaryKey()
    .references(() => sitting.id),
  edition: integer('edition').notNull(),
  upto: integer('upto').notNull(),
  /** The shape of the body, `DIGEST_VERSION`. */
  version: integer('version').notNull().default(1),
  body: text('body', { mode: 'json' }).$type<(Digest | null)[]>().notNull(),
});

/** The figures of a release, without the names of learners. */
export type KeptFigures = Omit<Figures, 'sweepers'> & {
  readonly sweepers: readonly Omit<TrialAndError, 'name'>[];
};

/** What an attempt came to: its share of the points, and of each question's; null: it was not asked, or is struck. */
export interface AttemptMarks {
  readonly total: number;
  readonly shares: readonly (number | null)[];
}

/** The first attempt of a learner, and the last if there were more. */
export interface LearnerMarks {
  readonly learnerId: string;
  readonly first: AttemptMarks;
  readonly last: AttemptMarks | null;
}

/** A cache of how a release was answered, for its results: worked out by a job from the digests. */
export const figures = sqliteTable('figures', {
  releaseId: text('release_id')
    .primaryKey()
    .references(() => release.id),
  /** What they rest on: while the release's attempts come to the same, the figures do. */
  stamp: text('stamp').notNull(),
  edition: integer('edition').notNull(),
  body: text('body', { mode: 'json' }).$type<KeptFigures>().notNull(),
  /** What each learner came to, from which groups and attempts are compared. */
  marks: text('marks', { mode: 'json' }).$type<readonly LearnerMarks[]>().notNull().default([]),
  /** What they were under the edition before. */
  before: text('before', { mode: 'json' }).$type<FiguresBefore>(),
  at: moment('at').notNull(),
  /** How long it took to work them out, in milliseconds. */
  tookMs: integer('took_ms').notNull(),
});

/** The questions of the Vault that a release was made from. */
export const releaseQuestion = sqliteTable(
  'release_question',
  {
    releaseId: text('release_id')
      .notNull()
      .references(() => release.id),
    questionId: text('question_id').notNull(),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.questionId] }), index('release_of_question').on(t.questionId)],
);
