// The document as such: what needs the schema, and with it Yup. A learner's page never loads this.
export { isAddress } from './address';
export { isMathAttribute, isMathTree, MATH_ELEMENTS } from './formulaTree';
export { freshId } from './freshId';
export { guardText } from './guard';
export { KINDS } from './kinds';
export { newItem, newQuestion, newZone } from './make';
export { isWebVtt, MAX_CAPTIONS } from './material';
export { type Parsed, parseQuestion, parseQuestionText, withEveryField } from './parse';
export { plainText, richFromPlain } from './plain';
export type { Rich } from './rich';
export { FORMAT, VERSION } from './schema';
export { BLANK_TITLE } from './version';
