// The kinds of question at the Bench: what makes and lays out each, over the one document. (It makes documents, so it
// stands with the schema, which no learner's page loads.)

export { BECOMES, type Becomes, becomesByName, type Placed, withParts } from './apart';
export { byGrid, byLines, intoPieces, linesOn, matchedPlaces, type Piece, withPiece } from './build';
export { type Change, changedTo } from './change';
export { type Amount, needing, withFrame, withStack } from './count';
export { drawnFrom } from './draw';
export { exampleOf } from './examples';
export { type Answering, answeredBy, answeringOf, anyOrder, gapText, liftOut, putBack, type Stretch } from './gaps';
export { LAYOUTS, type Layout, laidOut } from './layouts';
export { type Listing, readListing } from './listing';
export {
  asSpots,
  decidedBy,
  doMissesCost,
  foundWith,
  isSpot,
  missesCost,
  placesOfSpots,
  withMarker,
  withoutSpot,
  withSpotOver,
} from './mark';
export { withNamed, withSpotAt } from './naming';
export {
  alongALine,
  asCode,
  canFix,
  downThePage,
  type End,
  fixedAt,
  isAlong,
  laidAsBefore,
  startedWrong,
  WIDE_TAG,
  withFixed,
} from './order';
export { picturesOf, type WordPicture, withPictures } from './pictures';
export { FROM_TEXT, type FromText, gapsLaidOut, kindFor, type Proposed, propose } from './propose';
export { alike, isCode } from './sizes';
export { asCircles, groupPicture, withGroupPicture, withTrap } from './sort';
export { proposedTitle } from './title';
