// What pages and endpoints use of the server.

export { MAX_AUTH_BYTES, OPEN_AUTH_PATHS, sessionCookie, TEACHER_AUTH_PATHS } from './accounts/auth';
export { demoAccounts } from './accounts/demo';
export { changeInstallation, openInstallation } from './accounts/installation';
export { mayOnceMore } from './accounts/limit';
export { allowsOrigin } from './accounts/origins';
export { resetLearnerPassword } from './accounts/people';
export { drawPictures } from './accounts/pictures';
export { myEvents } from './accounts/securityLog';
export { personOf } from './accounts/session';
export { endOtherSessions, endSession, listSessions } from './accounts/sessions';
export { bearerOf, listTokens, makeToken, personOfToken, takeTokenBack } from './accounts/tokens';
export { type App, theApp } from './app';
export { openBoard, rosterNames } from './board/board';
export { deleteClassRecord, keepClassRecord, listClassRecords, openClassRecord } from './board/records';
export { StartProblem } from './config';
export type { As, Context, Learner, Person, Role, Teacher } from './context';
export { listAudit } from './courses/audit';
export { changeCourse, listCourses, listTeachers, makeCourse, openCourse, setTeacher } from './courses/courses';
export { answerInvitation, listInvitations } from './courses/invitations';
export { joinCourse, registerWith, setPictureCode } from './courses/join';
export { listParts, saveCategories, saveGroup, saveUnits, setMember } from './courses/parts';
export { importRoster, listRoster, makeLearner, planRoster, removeLearner } from './courses/roster';
export { type ErrorCode, errors, fail, ok, type Result } from './errors';
export { askedOnce, comesFromUs, SAFETY_HEADERS } from './http/admit';
export { bytesAnswer, savedAs, savedFile, savedJson, savedStream } from './http/bytes';
export {
  allowed,
  bodyOf,
  type Endpoint,
  endpoint,
  endpointOf,
  guarded,
  openEndpoint,
  queryOf,
  tokenIn,
} from './http/endpoint';
export { enter, ownPath, problem } from './http/enter';
export { readBytes } from './http/gate';
export { dateOf, withDates } from './http/moments';
export { ownAddress } from './http/ownAddress';
export { type ErrorBody, failed, failedAs, json } from './http/respond';
export { openJob } from './jobs/jobs';
export { liveEvents, liveOf } from './live/live';
export { log } from './log';
export { answerDeepLink, type Choosing, openDeepLink } from './lti/deepLink';
export { publicKeys } from './lti/keys';
export { goesOutside } from './lti/outside';
export { addPlatformAs, knowStandIn, openPlatforms, removePlatformAs } from './lti/platforms';
export { planPlatformRoster, takePlatformRoster } from './lti/roster';
export {
  continueRoute,
  frameAncestors,
  launchRoute,
  loginRoute,
  samePersonRoute,
} from './lti/routes';
export { maybeSame } from './lti/samePerson';
export { sendAgain } from './lti/scores';
export { readLetters } from './mail/read';
export { temporaryFile, withUpload } from './media/incoming';
export { listMedia, readMedium, storeMedium } from './media/media';
export { clearUnused, mediaUsage } from './media/usage';
export { oneRosterNotes, oneRosterOut } from './oneroster/marks';
export { planOneRoster, takeOneRoster } from './oneroster/take';
export { listOutcomes, outcomesOf, outcomesOnMany, removeFramework, setOutcomes } from './outcomes/outcomes';
export { takeOutcomes } from './outcomes/take';
export {
  calendarFile,
  calendarMadeAt,
  makeCalendarAddress,
  takeCalendarBack,
} from './releases/calendar';
export { beginPublishing, hasPublished } from './releases/publish';
export { changeSettings, openSettings, setAllowance } from './releases/settings';
export { copyRelease, setWithdrawn } from './releases/withdraw';
export { analysisOf } from './results/analysis';
export { answersFile } from './results/answersFile';
export { assignedReleases } from './results/assignedReleases';
export { comparisonOf } from './results/comparison';
export { applyEdition, makeEdition, openCorrections, previewCorrection, previewEdition } from './results/corrections';
export { gradeMeans, openGradebook } from './results/gradebook';
export { gradebookCsv } from './results/gradebookCsv';
export { setMark, setRemark } from './results/handMarks';
export { groupByOutcome, masteryOfCourse, masteryOfRelease } from './results/mastery';
export { groupNeeds } from './results/needs';
export { dataOf, eraseLearner, listFormerLearners, myData } from './results/personal';
export { removalEffects, remove, undoRemoval } from './results/removals';
export { ownReport, reportOf, reportsOf } from './results/report';
export { questionMarks, resultsCsv, resultsOf, resultsPage } from './results/results';
export { retraceOf, togetherOf } from './results/retrace';
export { findAnything } from './search/search';
export { finish } from './sittings/finish';
export { sittingMedium, sittingSource } from './sittings/media';
export { receiveMoves } from './sittings/moves';
export { enterSheet, sheetLearners, sheetOf } from './sittings/onPaper';
export { goTo, openRelease } from './sittings/openRelease';
export { reopen } from './sittings/reopen';
export { makeTicket, readTicket, TICKET_SECONDS, ticketName } from './sittings/ticket';
export { canStore, retention } from './storage';
export { askForMail, confirmMail, endMail, openMorningMail, sendMailNow } from './today/mail';
export { noteLook, todayOf } from './today/today';
export { takeBack } from './vault/changeEach';
export { dressQuestions } from './vault/dressing';
export { drawFormula } from './vault/formulas';
export { listTags, listVault, usesOf } from './vault/listing';
export { listLists, makeList, removeList, saveList } from './vault/lists';
export { carriedQuestions, exportPackage, importPackage, lookIntoPackage, toPrint } from './vault/packages';
export {
  changeMany,
  copyQuestion,
  editQuestion,
  emptyBin,
  makeQuestion,
  newQuestionFor,
  openQuestion,
  saveAsCopy,
  setDeleted,
  setStartingPoint,
} from './vault/questions';
export { replaceInQuestions } from './vault/replaceWords';
export { copySet, listSets, makeSet, openSet, saveSet, setSetDeleted } from './vault/sets';
export { changeShelf, listShelves, makeShelf, removeShelf, shareShelf } from './vault/shelves';
export { listVersions, nameVersion, versionAt } from './vault/versions';
export { wholeSet } from './vault/wholeSet';
export { nameRecordStore, openRecordStore, removeRecordStore, sendToStoreAgain } from './xapi/recordStore';
export { statementsFile } from './xapi/statementsFile';
