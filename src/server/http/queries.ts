import { boolean, number, object, string } from 'yup';
import { KINDS } from '../../core/document';
import { GRADE_SORTS } from '../courses/gradebook';
import { REMOVABLE } from '../database/tables';
import { FINDINGS, SORTS, USES } from '../vault/sought';
import { uuid } from './uuid';

/** What may stand behind the question mark of an address, one schema each. Words are cut where they are long; numbers are read from their digits. */
const MOST_FROM = 1_000_000;
const words = (most: number) => string().transform((value: string) => value.slice(0, most));
const wholeNumber = (most: number) => number().typeError('has to be a whole number').integer('has to be a whole number').min(0, 'has to be a whole number').max(most);
const from = () => wholeNumber(MOST_FROM).default(0);
const one = <const T extends string>(of: readonly T[]) => string().oneOf(of, `has to be one of ${of.join(', ')}`);

/** A page of people: `words` in their names, `from` the row it begins with. */
export const page = object({ words: words(200).default(''), from: from() });

/** What would be removed from a course. */
export const removing = object({ kind: one(REMOVABLE).required('is missing'), of: words(60).required('is missing') });

/** A page of the gradebook. */
export const grades = page.shape({ sort: one(GRADE_SORTS).default('name') });

/** A page of the Vault. `shelf`: a shelf's id; `none`: on no shelf; `bin`: what was deleted. */
export const sought = object({
  shelf: words(60),
  words: words(200),
  tag: words(60),
  kind: one(KINDS),
  findings: one(FINDINGS),
  use: one(USES),
  sort: one(SORTS),
  from: from(),
});

/** A file: its name, and the size of the scene it is for, in scene units. */
const MOST_SIDE = 10_000;
const side = () =>
  number()
    .typeError('has to be a number')
    .transform((value: number) => Math.min(MOST_SIDE, Math.max(1, Math.round(value))))
    .default(1000);
export const newMedium = object({ name: words(200).required('is missing'), width: side(), height: side() });

const MOST_NAMED = 500;
/** What is to be packed: a shelf, a set, or questions by their ids with commas between. */
export const packing = object({
  shelf: words(60),
  set: words(60),
  questions: string().matches(/^[0-9a-f-]{36}(,[0-9a-f-]{36})*$/, 'has to be ids with commas between'),
})
  .test('one', 'has to name a shelf, a set or questions', ({ shelf, set, questions }) => [shelf, set, questions].filter(Boolean).length === 1)
  .test('few', `At most ${MOST_NAMED} questions at once`, ({ questions }) => (questions?.split(',').length ?? 0) <= MOST_NAMED);

/** The client's id of an import: a package sent again under it comes in once. */
export const importing = object({ id: uuid().required('is missing') });

/** What a learner is shown: `w` the width of a picture in pixels; `captions`: the captions instead, as WebVTT; `q`: the question it is of, by its place in the edition. */
const width = () => wholeNumber(99_999).default(null).nullable();
const captions = () => boolean().default(false);
export const sittingMedium = object({ q: wholeNumber(99_999).default(0), w: width(), captions: captions() });
export const sittingSource = object({ w: width(), captions: captions() });
