// What pages and endpoints use of the server.

export { OPEN_AUTH_PATHS } from './accounts/auth';
export { demoAccounts } from './accounts/demo';
export { allowsOrigin } from './accounts/origins';
export { makeLearner, resetLearnerPassword } from './accounts/people';
export { personOf } from './accounts/session';
export { type App, theApp } from './app';
export type { As, Context, Learner, Person, Role, Teacher } from './context';
export { type CourseRow, type CourseView, type LearnerRelease, type LearnerRow, listCourses, makeCourse, openCourse, type ReleaseRow, releasesFor } from './courses/courses';
export { canWrite } from './database/open';
export { type ErrorCode, errors, fail, ok, type Result } from './errors';
export * as bodies from './http/bodies';
export { bytesAnswer } from './http/bytes';
export { allowed, bodyOf, endpoint, guarded } from './http/endpoint';
export { enter, ownPath, problem } from './http/enter';
export { type ErrorBody, failed, failedAs, json } from './http/respond';
export { log } from './log';
export { type KeptMedium, listMedia, type MediumRow, readMedium, takeMedium } from './media/media';
export { publish } from './releases/publish';
export { type ResultRow, type ResultsView, resultsCsv, resultsOf } from './releases/results';
export { type Answer, takeMoves } from './sittings/moves';
export { sit } from './sittings/sitting';
export { makeTicket, readTicket, TICKET_SECONDS, ticketName } from './sittings/ticket';
export type { SittingView } from './sittings/view';
export { copyQuestion, editQuestion, type Kept, keepAsCopy, listQuestions, makeQuestion, openQuestion, setDeleted, type VaultRow } from './vault/questions';
export { listVersions, type VersionRow, versionAt } from './vault/versions';
