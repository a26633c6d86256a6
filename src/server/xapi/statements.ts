import { and, asc, eq, sql } from 'drizzle-orm';
import { validate } from 'uuid';
import {
  applyMove,
  type Board,
  cloneBoard,
  earned,
  type Judged,
  type Move,
  markSoFar,
  type QuestionModel,
  rejudge,
  roundMark,
  type Standing,
} from '../../core';
import {
  type Activity,
  type Actor,
  duration,
  formOf,
  questionDefinition,
  responseOf,
  type Statement,
  type StatementResult,
  scoreOf,
  UNSAID,
  type Verb,
  verb,
} from '../../formats/xapi';
import type { Context } from '../context';
import { user } from '../database/accountTables';
import { course, markOverride, move, regrade, release, sitting } from '../database/tables';
import { editionOf, type OpenEdition } from '../releases/editions';
import { drawnFor } from '../sittings/drawn';
import { moveCounts } from '../sittings/standing';
import type { Identity } from './identity';

type SittingRow = typeof sitting.$inferSelect;
interface Made {
  readonly n: number;
  readonly edition: number;
  readonly question: number;
  readonly body: Move;
  readonly at: Date;
}

/** A release whose statements are made, with what they name. */
export interface Told {
  readonly identity: Identity;
  readonly release: typeof release.$inferSelect;
  readonly activities: { readonly release: Activity; readonly course: Activity };
  /** Learners' names go along. */
  readonly names: boolean;
  /** The activities of its questions, each made once: by edition and place. */
  readonly questions: Map<string, Activity>;
}

const activity = (id: string, type: string, title: string): Activity => ({
  ...{ objectType: 'Activity', id },
  definition: { type: `http://adlnet.gov/expapi/activities/${type}`, name: { [UNSAID]: title } },
});

/** Null: there is no such release. */
export async function toldOf(
  { db }: Pick<Context, 'db'>,
  identity: Identity,
  releaseId: string,
  names: boolean,
): Promise<Told | null> {
  const [found] = await db
    .select({ release, course: { id: course.id, title: course.title } })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .where(eq(release.id, releaseId));
  if (!found) return null;
  const { base } = identity;
  return {
    ...{ identity, names, release: found.release, questions: new Map() },
    activities: {
      release: activity(`${base}/releases/${releaseId}`, 'assessment', found.release.title),
      course: activity(`${base}/courses/${found.course.id}`, 'course', found.course.title),
    },
  };
}

/** Orders statements by when they came about. Their times are texts of one form. */
export const byTime = (a: Statement, b: Statement): number =>
  a.timestamp < b.timestamp ? -1 : a.timestamp > b.timestamp ? 1 : 0;

/** The statements of what a learner did at a release, in the order in which it came about. */
export async function statementsOf(context: Pick<Context, 'db'>, told: Told, learnerId: string): Promise<Statement[]> {
  const { db } = context;
  const who = await db.query.user.findFirst({ where: eq(user.id, learnerId) });
  if (!who) return [];
  const actor: Actor = {
    objectType: 'Agent',
    ...(told.names ? { name: who.name } : {}),
    account: { homePage: told.identity.homeOf(who), name: who.id },
  };
  const mine = and(eq(sitting.releaseId, told.release.id), eq(sitting.learnerId, learnerId));
  const sittings = await db.select().from(sitting).where(mine).orderBy(asc(sitting.number));
  const all = await Promise.all(sittings.map((row) => statementsOfAttempt(context, told, actor, row)));
  const byHand = await statementsByHand(context, told, actor, learnerId, sittings.at(-1) ?? null);
  return [...all.flat(), ...byHand].toSorted(byTime);
}

/** What every statement of an attempt, or of a mark by hand, has in common. */
function statement(
  { activities }: Told,
  actor: Actor,
  {
    id,
    does,
    object = activities.release,
    at,
    result,
    registration,
    about,
  }: {
    id: string;
    does: Verb;
    object?: Activity;
    at: Date;
    result?: StatementResult;
    registration?: string | undefined;
    about?: string | undefined;
  },
): Statement {
  const isOfRelease = object === activities.release;
  return {
    ...{ id, actor, verb: verb(does), object },
    ...(result ? { result } : {}),
    context: {
      ...(registration === undefined ? {} : { registration }),
      contextActivities: isOfRelease
        ? { parent: [activities.course], grouping: [activities.course] }
        : { parent: [activities.release], grouping: [activities.course] },
      ...(about === undefined ? {} : { statement: { objectType: 'StatementRef' as const, id: about } }),
    },
    timestamp: at.toISOString(),
  };
}

type Say = (given: Omit<Parameters<typeof statement>[2], 'registration'>) => Statement;

/** An attempt with its moves that count, and the editions that judged them. */
interface Attempt {
  readonly row: SittingRow;
  readonly moves: readonly Made[];
  /** Final checks that count no more, because the attempt was reopened. */
  readonly dropped: readonly Pick<Made, 'n' | 'question'>[];
  readonly editions: ReadonlyMap<number, OpenEdition>;
  /** When it was corrected to its edition; null: it never was. */
  readonly correctedAt: Date | null;
}

async function attemptOf({ db }: Pick<Context, 'db'>, row: SittingRow): Promise<Attempt> {
  const columns = { n: move.n, edition: move.edition, question: move.question, body: move.body, at: move.at };
  const made = await db
    .select({ ...columns, counts: sql<number>`${moveCounts}` })
    .from(move)
    .where(eq(move.sittingId, row.id))
    .orderBy(asc(move.n));
  const corrected = await db.query.regrade.findFirst({
    columns: { at: true },
    where: and(eq(regrade.releaseId, row.releaseId), eq(regrade.edition, row.edition)),
  });
  const numbers = [...new Set([row.began, row.edition, ...made.map(({ edition }) => edition)])];
  const editions = await Promise.all(
    numbers.map(async (number) => [number, await editionOf(db, row.releaseId, number)] as const),
  );
  return {
    row,
    moves: made.filter(({ counts }) => counts === 1),
    dropped: made.filter(({ counts }) => counts !== 1),
    editions: new Map(editions),
    correctedAt: corrected?.at ?? null,
  };
}

async function statementsOfAttempt(
  context: Pick<Context, 'db'>,
  told: Told,
  actor: Actor,
  row: SittingRow,
): Promise<Statement[]> {
  const { idOf } = told.identity;
  const attempt = await attemptOf(context, row);
  const registration = validate(row.id) ? row.id : idOf('sitting', row.id);
  const say: Say = (given) => statement(told, actor, { ...given, registration });
  const questions = [...new Set(attempt.moves.map(({ question }) => question))].toSorted((a, b) => a - b);
  return [
    say({ id: idOf(row.id, 'initialized'), does: 'initialized', at: row.startedAt }),
    ...questions.flatMap((question) => statementsOfQuestion(told, say, attempt, question)),
    ...statementsOfEnd(told, say, attempt),
  ];
}

/** A try that was ended, as it was judged then. */
interface Tried {
  readonly n: number;
  /** From 1. */
  readonly number: number;
  readonly edition: OpenEdition;
  readonly model: QuestionModel;
  readonly judged: Judged;
  readonly board: Board;
  readonly at: Date;
  /** Since the question was shown, or since the try before, in milliseconds. */
  readonly ms: number;
}

interface Judging {
  readonly edition: OpenEdition;
  readonly model: QuestionModel;
  readonly standing: Standing;
}

/** The tries of a question, each by the edition in which it was made. */
function triesOf({ row, moves, editions }: Attempt, question: number): Tried[] {
  const own = moves.filter((made) => made.question === question);
  let since = moves.findLast(({ n }) => n < (own[0]?.n ?? 0))?.at ?? row.startedAt;
  let judging: Judging | null = null;
  const tries: Tried[] = [];
  for (const [i, { n, edition: number, body, at }] of own.entries()) {
    if (judging?.edition.number !== number) {
      const edition = editions.get(number);
      const whole = edition?.models[question];
      if (!edition || !whole) continue;
      const model = drawnFor(whole, row.seed, question);
      const before = own.slice(0, i).map((made) => made.body);
      judging = { edition, model, standing: rejudge(model, before) };
    }
    const { edition, model, standing }: Judging = judging;
    const taken = applyMove(model, { ...standing, board: cloneBoard(standing.board) }, body);
    if (!taken.ok) continue;
    judging = { edition, model, standing: taken.standing };
    const { count, last } = taken.standing.tries;
    if (count === standing.tries.count || !last) continue;
    const { judged, board } = last;
    tries.push({ n, number: tries.length + 1, edition, model, judged, board, at, ms: at.getTime() - since.getTime() });
    since = at;
  }
  return tries;
}

function statementsOfQuestion(told: Told, say: Say, attempt: Attempt, question: number): Statement[] {
  const { row, dropped, editions, correctedAt } = attempt;
  const { idOf, base } = told.identity;
  const tries = triesOf(attempt, question);
  // A try after a final check that counts no more is another one than that.
  const idOfTry = ({ n, number }: Tried) => {
    const before = dropped.filter((made) => made.question === question && made.n < n).length;
    return idOf(row.id, question, number, 'answered', ...(before > 0 ? [before] : []));
  };
  const answered = tries.map((tried) =>
    say({
      id: idOfTry(tried),
      does: 'answered',
      object: questionActivity(told, tried.edition, question),
      at: tried.at,
      result: {
        ...scoreOf(markIn(tried.edition, question, tried.judged), tried.edition.points[question] ?? 0),
        success: tried.judged.fullMarks,
        response: responseOf(tried.model, formOf(tried.model), tried.board),
        duration: duration(tried.ms),
        extensions: { [`${base}/xapi/attempt`]: tried.number },
      },
    }),
  );
  const last = tries.at(-1);
  const now = editions.get(row.edition);
  if (!last || !now || !correctedAt || last.edition.number >= row.edition) return answered;
  const counts = markBy(attempt, now, question);
  if (counts.mark === markBy(attempt, last.edition, question).mark) return answered;
  return [
    ...answered,
    say({
      id: idOf(row.id, question, 'scored', row.edition),
      does: 'scored',
      object: questionActivity(told, now, question),
      at: correctedAt,
      result: { ...scoreOf(counts.mark, now.points[question] ?? 0), success: counts.fullMarks },
      about: idOfTry(last),
    }),
  ];
}

/** A mark in the points of a release. */
const markIn = ({ points }: OpenEdition, question: number, { mark, max }: Judged): number =>
  roundMark(earned(mark, max, points[question] ?? 0));

/** What a question's moves come to by an edition. */
function markBy({ row, moves }: Attempt, edition: OpenEdition, question: number): { mark: number; fullMarks: boolean } {
  const whole = edition.models[question];
  if (!whole) return { mark: 0, fullMarks: false };
  const model = drawnFor(whole, row.seed, question);
  const own = moves.filter((made) => made.question === question).map(({ body }) => body);
  const judged = markSoFar(model, rejudge(model, own).tries);
  return judged
    ? { mark: markIn(edition, question, judged), fullMarks: judged.fullMarks }
    : { mark: 0, fullMarks: false };
}

/** An attempt that was reopened and ended again is completed once more: what its ids say besides. */
const againOf = ({ reopenedAfter }: SittingRow): number[] => (reopenedAfter > 0 ? [reopenedAfter] : []);

/** That it was completed, and whether it passed; then, if it came to something else by a correction, what to. */
function statementsOfEnd(told: Told, say: Say, attempt: Attempt): Statement[] {
  const { row, moves, editions, correctedAt } = attempt;
  const { identity, release: of } = told;
  if (!row.finishedAt) return [];
  const edition = editions.get(Math.max(row.began, ...moves.map((made) => made.edition)));
  if (!edition) return [];
  const questions = [...new Set(moves.map(({ question }) => question))];
  const asItWas = edition.number === row.edition;
  const points = asItWas
    ? roundMark(row.points)
    : roundMark(questions.reduce((sum, question) => sum + markBy(attempt, edition, question).mark, 0));
  const outOf = asItWas ? row.outOf : edition.outOf;
  const again = againOf(row);
  const id = identity.idOf(row.id, 'completed', ...again);
  const at = row.finishedAt;
  const ms = row.usedMs ?? at.getTime() - row.startedAt.getTime();
  const result = { ...scoreOf(points, outOf), completion: true, duration: duration(ms) };
  const success = of.passMark === null || outOf <= 0 ? null : points / outOf >= of.passMark / 100 - 1e-9;
  const passes = success ? 'passed' : 'failed';
  return [
    say({ id, does: 'completed', at, result }),
    ...(success === null
      ? []
      : [say({ id: identity.idOf(row.id, passes, ...again), does: passes, at, result: { ...result, success } })]),
    ...(asItWas || !correctedAt || (roundMark(row.points) === points && row.outOf === outOf)
      ? []
      : [
          say({
            id: identity.idOf(row.id, 'scored', row.edition),
            does: 'scored',
            at: correctedAt,
            result: { ...scoreOf(roundMark(row.points), row.outOf) },
            about: id,
          }),
        ]),
  ];
}

/** The question of an edition. Its address has one definition, whatever was drawn for an attempt. */
function questionActivity(told: Told, edition: OpenEdition, question: number): Activity {
  const key = `${edition.number}/${question}`;
  const known = told.questions.get(key);
  if (known) return known;
  const model = edition.models[question];
  if (!model) throw new Error(`Edition ${edition.number} has no question ${question}`);
  const { base } = told.identity;
  const made: Activity = {
    objectType: 'Activity',
    id: `${base}/questions/${encodeURIComponent(model.question.id)}?edition=${edition.number}`,
    definition: questionDefinition(model, `${base}/xapi/one-of-several`),
  };
  told.questions.set(key, made);
  return made;
}

/** A mark set by hand, about the last attempt if there is one. */
async function statementsByHand(
  { db }: Pick<Context, 'db'>,
  told: Told,
  actor: Actor,
  learnerId: string,
  last: SittingRow | null,
): Promise<Statement[]> {
  const { identity, release: of } = told;
  const set = await db.query.markOverride.findFirst({
    where: and(eq(markOverride.releaseId, of.id), eq(markOverride.learnerId, learnerId)),
  });
  if (!set) return [];
  const outOf = set.outOf ?? last?.outOf ?? (await editionOf(db, of.id, of.edition)).outOf;
  return [
    statement(told, actor, {
      id: identity.idOf(of.id, learnerId, 'scored', set.points, outOf, set.at.getTime()),
      does: 'scored',
      at: set.at,
      result: { ...scoreOf(set.points, outOf) },
      registration: last && validate(last.id) ? last.id : undefined,
      about: last?.finishedAt ? identity.idOf(last.id, 'completed', ...againOf(last)) : undefined,
    }),
  ];
}
