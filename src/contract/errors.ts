/** Every expected error: its HTTP status, what happened, and the next step. */
export const errors = {
  badRequest: [400, 'That request could not be read', 'Go back and try again.'],
  notSignedIn: [401, 'You are not signed in', 'Sign in, then come back to this page.'],
  notAllowed: [
    403,
    'You cannot open this',
    'You do not have permission. Sign in with another account, or go back to your own pages.',
  ],
  crossSite: [403, 'This came from another site', 'Open Vault Drop itself and try again there.'],
  notFound: [404, 'There is nothing here', 'It may have been deleted, or the address is incomplete.'],
  questionMovedOn: [
    409,
    'This question was changed somewhere else meanwhile',
    'Your changes are still here. Take the other version, or save yours as a copy.',
  ],
  changedMeanwhile: [
    409,
    'Somebody else changed this meanwhile',
    'Nothing of theirs is lost. Look at what they changed, then save yours.',
  ],
  editionMovedOn: [409, 'Somebody corrected this release meanwhile', 'Look at the newest edition, then correct that.'],
  sittingMovedOn: [409, 'You continued this in another window', 'The page now shows where you are.'],
  alreadyEnded: [409, 'This question is finished', 'Nothing can be moved any more.'],
  sittingFull: [
    409,
    'This attempt has as many moves as one may have',
    'Finish it: what lies there now is saved, and is checked then.',
  ],
  sittingFinished: [409, 'This is finished', 'You finished it, or the time was up. Your mark is on its page.'],
  releaseClosed: [403, 'This release is closed', 'The time in which it could be answered is over.'],
  checkFirst: [409, 'This question has to be checked first', 'Check your answer, then continue.'],
  nameTaken: [409, 'This name is taken', 'Choose another one.'],
  lengthNeeded: [411, 'The size of that request is not known', 'Send it with a Content-Length.'],
  tooLarge: [413, 'That is too large', 'Send less at once.'],
  invalid: [422, 'Some of this cannot be saved', 'Fix what is marked and try again.'],
  notTaken: [422, 'This file cannot be used', 'Choose another file.'],
  notReached: [502, 'The platform could not be asked', 'Try again in a while.'],
  notReady: [422, 'This question cannot be published yet', 'Say in the key which items belong in which zone.'],
  wrongPassword: [422, 'That is not your present password', 'Type the password you signed in with.'],
  tooMany: [429, 'Too many tries', 'Wait a few minutes and try again.'],
  busy: [503, 'Too much is being worked on at once', 'Try again in a minute.'],
  unexpected: [
    500,
    'Something went wrong here',
    'It is not your fault. What was saved before is still there; try again in a moment.',
  ],
  unavailable: [
    503,
    'Nothing can be stored at the moment',
    'The database is busy, or its disk is full. Nothing that was saved is lost: try again in a moment.',
  ],
} as const satisfies Record<string, readonly [status: number, title: string, nextStep: string]>;

export type ErrorCode = keyof typeof errors;
