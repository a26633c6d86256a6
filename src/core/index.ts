// What other layers use of the core, without the schema (`document/` has its own index, so that a learner's page loads
// no Yup).

export { type Answers, answersOf } from './analysis/answers';
export type { AmountAnswers, Spread } from './analysis/answers/amounts';
export type { JointAnswers } from './analysis/answers/joints';
export type { MarkAnswers } from './analysis/answers/marks';
export type { OptionAnswers } from './analysis/answers/options';
export type { OrderAnswers } from './analysis/answers/orders';
export { type Pair, wrongPairs } from './analysis/answers/pairs';
export type { TypedAnswers } from './analysis/answers/typed';
export { type CellFacts, type CellState, cellState } from './analysis/cellState';
export { meansApart, pairsApart, sharesApart, type TBound } from './analysis/comparing';
export { type Came, type CountsRule, countingMark, countingSitting, falls, type Mark } from './analysis/counting';
export {
  DIGEST_VERSION,
  type Digest,
  digestOf,
  type ExhaustedItem,
  type Made,
  type MarkOutcome,
  NOWHERE,
  usedTrialAndError,
} from './analysis/digest';
export { type Fifths, fifthsOf } from './analysis/fifths';
export { type Counting, type Entry, type Weight, wholeMark } from './analysis/gradebook';
export { type Figure, type FQuantile, feldt, fisher, wilson } from './analysis/intervals';
export {
  alphaWithout,
  correlation,
  cronbach,
  discrimination,
  distribution,
  facility,
  type Shares,
} from './analysis/items';
export { type LetterGrade, letterOf } from './analysis/letters';
export {
  depthsOf,
  type Mastered,
  type Mastery,
  masteryOf,
  NEEDS,
  type OutcomeAnswer,
  whoNeeds,
} from './analysis/mastery';
export { type Frame as RetraceFrame, retrace } from './analysis/retrace';
export { AIDS, type Aid } from './document/aids';
export {
  COLOURS,
  FACES,
  type Face,
  FRAMES,
  ITEM_SIZE,
  ITEM_STATES,
  TEXTURES,
  ZONE_STATES,
} from './document/appearance';
export { isOfZone } from './document/events';
export { MAX_TEX, type MathElement } from './document/formulaTree';
export type { FixtureId, ItemId, MediaId, QuestionId, ZoneId } from './document/ids';
export { KINDS } from './document/kinds';
export { isLanguageTag } from './document/languageTag';
export { upToDate } from './document/migrations';
export type { Problem } from './document/problem';
export type { Rich } from './document/rich';
export type {
  Dress,
  Fixture,
  Ground,
  Item,
  KeyEntry,
  Kind,
  Letters,
  Look,
  Marks,
  Medium,
  Need,
  Question,
  Reach,
  Settle,
  Shape,
  Tray,
  Zone,
} from './document/schema';
export { acceptSpelling, type Spelling } from './edit/acceptSpelling';
export { type Clipping, clip, duplicate, paste, rowStep, setGroup, setNoted, withGroups } from './edit/clones';
export { correction } from './edit/correct';
export { difference } from './edit/difference';
export { dressLike } from './edit/dress';
export {
  apply,
  applyAll,
  type Edit,
  EditMismatch,
  editOf,
  invert,
  invertAll,
  LIST_FIELDS,
  type Listed,
  type ListField,
  NAMED_FIELDS,
  type QuestionField,
  type Step,
} from './edit/edit';
export { eitherAt, eitherZones } from './edit/either';
export { drawFormulas, type Formula, texOf } from './edit/formulas';
export { carrierOf, type Frame, type Framed, frames, setFrames } from './edit/frames';
export {
  belongNowhere,
  belongsIn,
  type Cell,
  dropEntry,
  inEachOf,
  isTrap,
  listedIn,
  restNowhere,
  setCells,
  setCopies,
  setEitherNeed,
  setEntry,
  setNeed,
  setValues,
} from './edit/keying';
export { editsUpToDate } from './edit/older';
export { dropPool, makePool, poolByZone, setTake } from './edit/pools';
export { type Replaced, type Replacing, replaceWords } from './edit/replaceWords';
export { slotsIn } from './edit/slots';
export { type Started, startIn, startOf, withFittingStart } from './edit/starts';
export {
  add,
  moves,
  remove,
  rename,
  reorder,
  setFixture,
  setItem,
  setLook,
  setMedium,
  setQuestion,
  setZone,
} from './edit/steps';
export {
  idIn,
  kindIn,
  LIST_OF,
  nameOf,
  type Ref,
  refsOf,
  refTo,
  type Thing,
  type ThingKind,
  thingAt,
  things,
} from './edit/things';
export { widen } from './edit/widen';
export {
  type Axis,
  align,
  around,
  type Edge,
  edgeDistance,
  gapsOf,
  scaled,
  sized,
  space,
  turnedAbout,
} from './geometry/arrange';
export { barBetween, endsOf, leaving } from './geometry/bar';
export { fitCount, fitsAll } from './geometry/fit';
export { outlineOf, rectOutline } from './geometry/outline';
export type { Corners } from './geometry/polygon';
export { boxOfShape, type Carrier, onCarrier, onScene } from './geometry/riding';
export { isSimplePolygon } from './geometry/simplePolygon';
export {
  ALL_SNAPPING,
  type Guide,
  type Handle,
  resize,
  rounded,
  type Snapping,
  shiftWithin,
  snapMove,
  snapResize,
} from './geometry/snap';
export { type Box, meet, middleOf, nearTurn, type Point, SLACK, toScene, toStage } from './geometry/space';
export { type Where, whereOn } from './geometry/whereOn';
export { holdsByArrangement, isPutAway, type When, type WhenEvent } from './judge/arranged';
export { type Board, bySettling, cloneBoard, emptyBoard, lift, settle } from './judge/board';
export {
  type Checkpoint,
  checkpointOf,
  restoredBoard,
  type SavedBoard,
  savedBoard,
  standingFrom,
} from './judge/checkpoint';
export { candidates, carriesItself, winner } from './judge/drop';
export { sendHome } from './judge/home';
export { homes, trayBox } from './judge/homes';
export { indexAt, isLine, keepsOrder, placeInOrder } from './judge/insertion';
export {
  COPIES,
  type Copy,
  copyOf,
  idOf,
  isKeyed,
  itemOf,
  numberOf,
  type Placing,
  type QuestionModel,
  questionModel,
  type SceneModel,
  sceneModel,
  startBoard,
} from './judge/model';
export { placeChecked } from './judge/placeChecked';
export {
  type Drop,
  isPut,
  isTyped,
  type Outcome,
  type Placement,
  type Put,
  putDown,
  type TypedAnswer,
} from './judge/placement';
export { boardFromPlacements } from './judge/placements';
export {
  applyMove,
  asCounted,
  countingTry,
  hintsLeft,
  judgedAt,
  type Move,
  markSoFar,
  rejudge,
  replay,
  type Standing,
  type Tries,
  type Try,
  untouched,
} from './judge/replay';
export { type Responded, respond } from './judge/response';
export { outlineNow, restIn, standsAt } from './judge/rest';
export {
  type ItemEvent,
  type ItemState,
  nextItemState,
  nextZoneState,
  type ZoneEvent,
  type ZoneState,
} from './judge/states';
export { neededBy } from './judge/tally';
export { readTyped } from './judge/typed';
export { type Verdict, verdicts } from './judge/verdict';
export { answeringNow, restsOnKey } from './judge/when';
export type { Lettering } from './looks/lettersIn';
export { STATE_WORDS } from './looks/stateWords';
export { coloursIn, ownStyle, plainColours, type Style, type StyleField, styleIn } from './looks/style';
export { type AccountLine, account } from './marks/account';
export { type Judged, judge, markOf, ruleFor } from './marks/mark';
export { resultPrinter } from './marks/print';
export { type Result, resultOf, type ZoneResult } from './marks/result';
export { allIn, boardOf, type TypicalAnswer, typicalAnswers } from './marks/typical';
export {
  CLEAR_OF_TITLE,
  coversTitle,
  type Fitting,
  fittingOf,
  makeItemsAsWide,
  makeZoneHold,
} from './measures/fitting';
export { standingAt, thresholdOf } from './measures/threshold';
export { type Choose, type Collision, type Merged, merge } from './merge/merge';
export { type Anew, laidAnew, zoneAt } from './narrow/anew';
export { placesCarryMeaning } from './narrow/meaning';
export { FINGER, itemSize, NARROW_SCALE, type WidthIn, wordsFit } from './narrow/sizes';
export { inTray, type PaperForm, paperForm } from './paper/form';
export { lettersIn, type ReadSheet, readSheet, type SheetAnswer, type SheetProblem } from './paper/read';
export { letterOf as sheetLetter, type SheetNames, sheetNames } from './paper/sheet';
export { isUsername, normalUsername, USERNAME_RULE } from './people/username';
export { drawnAnswer, drawnBySeed } from './pools/answer';
export { allDraws, drawCount, drawFrom, drawnQuestion } from './pools/draw';
export { type DrawnResponse, responder } from './pools/respond';
export { inWhole } from './pools/whole';
export { contrast, MIN_CONTRAST, TOKENS } from './proof/contrast';
export {
  countFindings,
  FINDING_CODES,
  type Finding,
  type FindingCode,
  type FindingCounts,
  findings,
} from './proof/findings';
export type { Guessing } from './proof/guess/guess';
export { type Mend, mendOf } from './proof/mends/mends';
export { type Clock, modelAnswerOf, type Proof, prove } from './proof/proof';
export { type RightOne, type RightOnes, rightOnes } from './proof/solve/rightOnes';
export type { ModelPlacement } from './proof/solve/solve';
export { type Earned, STRATEGIES, type Strategy, strategies, tryingBeatsKnowing } from './proof/strategies';
export { type Random, random, seedOf, shuffled } from './random/random';
export { deferFeedback, FEEDBACK_LEVELS, type FeedbackLevel, limitFeedback } from './sets/feedbackLevel';
export { type Schedule, scheduleProblems } from './sets/schedule';
export {
  asked,
  asksOf,
  type Doing,
  type Draw,
  earned,
  type Guessed,
  guessingOf,
  inPlaces,
  pointsOf,
  roundMark,
  type Section,
  secondsFor,
  secondsOf,
  totalOf,
  type Worth,
} from './sets/set';
export { sourcesBeside } from './sets/sources';
export { isZone } from './sets/zone';
export { homesFor } from './sitting/homesFor';
export {
  type LearnerEdition,
  type LearnerItem,
  type LearnerMedium,
  type LearnerQuestion,
  type LearnerZone,
  learnerEdition,
  type Names,
  servesTypedOnly,
} from './sitting/learnerEdition';
export { copyNamed, type NamedCopy } from './sitting/named';
export { applyBatch, type BatchResult, inOwnNames, type SentMove } from './sitting/sent';
export {
  arrangementView,
  type BoardView,
  type FixtureAnswer,
  type Marked,
  type MovesView,
  movesView,
  type Progress,
  type QuestionView,
  questionView,
  type Reckoning,
  reckoning,
  type Said,
  type Sat,
  seesModelAnswer,
  type Told,
  type TryView,
  type ZoneWords,
} from './sitting/view';
export {
  type CallBy,
  callOne,
  callUp,
  drawTeams,
  newTurns,
  notNow,
  type Person,
  setAbsent,
  type Turns,
  turnsOf,
  waiting,
  withPeople,
} from './turns/turns';
