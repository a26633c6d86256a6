import { mixed } from 'yup';
import { COLOURS, FACES, FRAMES, ITEM_STATES, TEXTURES, ZONE_STATES } from './appearance';
import { WHEN_EVENTS } from './events';
import type { FixtureId, ItemId, MediaId, ZoneId } from './ids';
import { atLeastZero, finite, flag, identifier, list, oneOf, positive, record, variant, whole, words } from './leaves';
import { richSchema } from './rich';
import { shapeSchema } from './shapes';

/** What a question is shown with: media, things that are said, looks, fixtures. */
const MISSING = 'is missing';
export const mediaId = () => identifier<MediaId>();

/** Characters of captions: some hours of speech. */
export const MAX_CAPTIONS = 200_000;
/** True if a text has the signature of WebVTT (W3C WebVTT, section 4.1). */
export const isWebVtt = (text: string): boolean => /^\uFEFF?WEBVTT(?:[ \t\n\r]|$)/.test(text);

/** Something shown or said: words, a picture, a sound, or several of them. */
export const saySchema = record({
  text: richSchema.nullable().default(null),
  picture: mediaId().nullable().default(null),
  sound: mediaId().nullable().default(null),
});

/** How many characters of a font are measured: U+0020 to U+017F. */
export const ADVANCES = 0x17f - 0x20 + 1;

/** A picture, sound, film or font: the SHA-256 of its bytes, how heavy they are, and the note that travels with it. */
export const mediumSchema = record({
  hash: mixed<string>((v): v is string => typeof v === 'string')
    .typeError('has to be a text')
    .test('hash', 'has to be a SHA-256 in 64 small hexadecimal digits', (v) => v == null || /^[0-9a-f]{64}$/.test(v))
    .required(MISSING),
  kind: oneOf('picture', 'sound', 'film', 'font').required(MISSING),
  description: words(2000).nullable().default(null),
  decorative: flag().default(false),
  source: words(2000).default(''),
  licence: words(500).default(''),
  /** Bytes. */
  weight: whole(0).default(0),
  /** What is said in a film or a sound, as WebVTT. */
  captions: words(MAX_CAPTIONS)
    .nullable()
    .default(null)
    .test('captions', 'has to be WebVTT: its first line is WEBVTT', (v) => v == null || isWebVtt(v)),
  /** Of a font: how wide its characters from U+0020 to U+017F are, in thousandths of its size. */
  advances: list(whole(0, 20_000).required(MISSING), ADVANCES).nullable().default(null),
});

/** A token of the application, or a colour of the author's in six hexadecimal digits. */
const colour = () =>
  mixed<string>((v): v is string => typeof v === 'string')
    .typeError('has to be a text')
    .test(
      'colour',
      'has to be the name of a colour or # and six small hexadecimal digits',
      (v) => v == null || /^#[0-9a-f]{6}$/.test(v) || (COLOURS as readonly string[]).includes(v),
    );

/** How something looks, sounds and moves in one state. What is left out is as at rest. */
const styleSchema = record({
  fill: colour(),
  edge: colour(),
  text: colour(),
  edgeWidth: atLeastZero(),
  edgeStyle: oneOf('solid', 'dashed', 'dotted', 'none'),
  fontSize: positive(),
  face: oneOf(...FACES),
  /** A font of the author's, instead of a face. */
  ownFace: mediaId(),
  picture: mediaId(),
  sound: mediaId(),
  motion: oneOf('none', 'fade', 'shrink', 'spin', 'nudge'),
});

const states = (names: readonly string[]) =>
  record(Object.fromEntries(names.map((name) => [name, styleSchema.default(undefined)]))).default(() => ({}));

/** A named, shared description of every state. `putAway`: an item that wears it is put away when it is taken. */
export const lookSchema = variant('of', {
  item: record({
    of: oneOf('item').required(),
    name: words(100).default(''),
    putAway: flag().default(false),
    states: states(ITEM_STATES),
  }),
  zone: record({ of: oneOf('zone').required(), name: words(100).default(''), states: states(ZONE_STATES) }),
});

/**
 * When a fixture appears, disappears or shows something else: while one of the events holds (`until` next), or from
 * then until everything is put back.
 */
export const whenSchema = record({
  events: list(
    record({
      on: oneOf(...WHEN_EVENTS).required(MISSING),
      zone: identifier<ZoneId>(),
      item: identifier<ItemId>(),
      count: whole(1, 10_000),
    }).required(MISSING),
    50,
  ).required(MISSING),
  does: oneOf('appears', 'disappears', 'shows').required(MISSING),
  /** What is shown instead, with `shows`. */
  content: saySchema.nullable().default(null),
  until: oneOf('next', 'reset').default('next'),
});

/** In what letters words are shown. What is null is as the page draws it. */
export const lettersSchema = record({
  face: oneOf(...FACES)
    .nullable()
    .default(null),
  /** A font of the author's, instead of a face. */
  ownFace: mediaId().nullable().default(null),
  /** Of an item's words, in scene units; titles and texts grow with it. */
  size: positive()
    .test('size', 'has to be at most 200', (v) => v == null || v <= 200)
    .nullable()
    .default(null),
});

/** What lies beneath everything: a colour, over it a texture or a picture that covers the scene, and a frame. */
const groundSchema = record({
  colour: colour().nullable().default(null),
  texture: oneOf(...TEXTURES)
    .nullable()
    .default(null),
  picture: mediaId().nullable().default(null),
  frame: oneOf(...FRAMES)
    .nullable()
    .default(null),
});

/** How a whole question is dressed, beside its looks. */
export const dressSchema = record({
  ground: groundSchema.nullable().default(null),
  letters: lettersSchema.nullable().default(null),
});

const placed = {
  id: identifier<FixtureId>().required(MISSING),
  label: words(2000).default(''),
  x: finite().required(MISSING),
  y: finite().required(MISSING),
  w: positive().required(MISSING),
  h: positive().required(MISSING),
  rotation: finite().default(0),
  /** Lies over the zones instead of beneath them. */
  front: flag().default(false),
  /** Null: it is always there. */
  when: whenSchema.nullable().default(null),
};
const fixed = <const Type extends string>(type: Type) => ({ type: oneOf(type).required(), ...placed });

/**
 * Something on the scene that learners cannot move. A shape is drawn in its box: its own numbers are relative to the
 * box's top left.
 */
export const fixtureSchema = variant('type', {
  text: record({
    ...fixed('text'),
    text: richSchema.required(MISSING),
    letters: lettersSchema.nullable().default(null),
  }),
  picture: record({ ...fixed('picture'), media: mediaId().required(MISSING) }),
  shape: record({
    ...fixed('shape'),
    shape: shapeSchema.required(),
    fill: colour().nullable().default(null),
    edge: colour().nullable().default('ink'),
    edgeWidth: atLeastZero().default(1),
  }),
  sound: record({ ...fixed('sound'), media: mediaId().required(MISSING) }),
  film: record({ ...fixed('film'), media: mediaId().required(MISSING) }),
});
