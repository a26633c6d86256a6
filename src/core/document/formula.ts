import { mixed } from 'yup';
import { isMathTree, MAX_PARTS, MAX_TEX, type MathElement } from './formulaTree';
import { record, words } from './leaves';

/** A formula: the TeX it is typed as, and the MathML it is drawn as. */
export const formulaSchema = record({
  tex: words(MAX_TEX).required('is missing'),
  math: mixed<MathElement>(isMathTree)
    .typeError(
      `has to be a tree of MathML of at most ${MAX_PARTS} parts, of the elements and attributes that are known`,
    )
    .required('is missing'),
});
