import type { Face } from '../document/appearance';
import type { Look } from '../document/schema';

/**
 * How something looks, sounds and moves in one state, and what is said of it nowhere is as the page draws it by itself.
 */
export interface Style {
  readonly fill?: string | undefined;
  readonly edge?: string | undefined;
  readonly text?: string | undefined;
  readonly edgeWidth?: number | undefined;
  readonly edgeStyle?: 'solid' | 'dashed' | 'dotted' | 'none' | undefined;
  readonly fontSize?: number | undefined;
  readonly face?: Face | undefined;
  /** A font of the author's, instead of a face. */
  readonly ownFace?: string | undefined;
  readonly picture?: string | undefined;
  readonly sound?: string | undefined;
  readonly motion?: 'none' | 'fade' | 'shrink' | 'spin' | 'nudge' | undefined;
}
export type StyleField = keyof Style;

/** What a state sets itself. */
export const ownStyle = (look: Look, state: string): Style =>
  (look.states as Readonly<Record<string, Style | undefined>>)[state] ?? {};

/** The fields of a style that are a matter of the moment: a state does not take these from "at rest". */
const MOMENTARY: readonly StyleField[] = ['sound', 'motion'];

/** States that say by their colours how something was judged, whatever it looks like at rest. */
const JUDGED: readonly string[] = ['right', 'wrong'];
const COLOURED: readonly StyleField[] = ['fill', 'edge', 'text'];

/**
 * A look in a state: what the state does not set is as at rest. Sound and motion are not, because they belong to the
 * state's own moment; nor are the colours of what was judged, which would be lost under those at rest.
 */
export function styleIn(look: Look, state: string): Style {
  const apart = JUDGED.includes(state) ? [...MOMENTARY, ...COLOURED] : MOMENTARY;
  const rest = Object.fromEntries(
    Object.entries(ownStyle(look, 'rest')).filter(([field]) => !apart.includes(field as StyleField)),
  );
  return state === 'rest' ? ownStyle(look, 'rest') : { ...rest, ...definedOf(ownStyle(look, state)) };
}

const definedOf = (style: Style): Style =>
  Object.fromEntries(Object.entries(style).filter(([, value]) => value !== undefined));

/** What the page draws where a look says nothing, by state: the tokens of its drawing (scene.css). */
export function plainColours(of: 'item' | 'zone', state: string): { fill: string; text: string; edge: string } {
  if (state === 'right') return { fill: of === 'item' ? 'verdigrisWash' : 'sheet', text: 'ink', edge: 'verdigris' };
  if (state === 'wrong') return { fill: of === 'item' ? 'brickWash' : 'sheet', text: 'ink', edge: 'brick' };
  if (state === 'overZone' || state === 'underItem')
    return { fill: 'brassWash', text: 'ink', edge: of === 'item' ? 'ink' : 'brass' };
  return { fill: 'sheet', text: 'ink', edge: of === 'item' ? 'ink' : 'brass' };
}

/** Fill and text in a state, as they are drawn: the look's, else the page's own. */
export function coloursIn(look: Look, state: string): { fill: string; text: string } {
  const style = styleIn(look, state);
  const plain = plainColours(look.of, state);
  return { fill: style.fill ?? plain.fill, text: style.text ?? plain.text };
}
