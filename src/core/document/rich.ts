import type { InferType } from 'yup';
import { formulaSchema } from './formula';
import type { ZoneId } from './ids';
import { flag, identifier, list, oneOf, record, variant, words } from './leaves';

/**
 * Rich text: paragraphs and lists of runs. Nothing in it can hold markup, an address or script: a run is characters and
 * a few switches, so it is safe by construction wherever it is drawn.
 */
const run = record({
  text: words(),
  /** A place in the text that the page lays out: the zone it is. In a text fixture alone. */
  slot: identifier<ZoneId>(),
  strong: flag(),
  em: flag(),
  /** In a font whose characters are equally wide, with white space as it is: code. */
  mono: flag(),
  colour: oneOf('ink', 'mute', 'brass', 'verdigris', 'brick'),
  lang: words(35),
  /** A formula that is drawn instead of the text: the text is how it is spoken and found. */
  formula: formulaSchema.default(undefined),
}).test(
  'textOrSlot',
  'has to have either a text or a slot',
  (v) => v == null || (v.text === undefined) !== (v.slot === undefined),
);
const direction = oneOf('ltr', 'rtl');

const block = variant('type', {
  paragraph: record({ type: oneOf('paragraph').required(), dir: direction, runs: list(run, 2000) }),
  list: record({
    type: oneOf('list').required(),
    ordered: flag().default(false),
    dir: direction,
    entries: list(list(run, 2000), 500),
  }),
});

export const richSchema = record({ blocks: list(block.required(), 500) });
export type Rich = InferType<typeof richSchema>;
