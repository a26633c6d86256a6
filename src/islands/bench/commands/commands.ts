import type { Fixture, Question } from '../../../core';
import { shapeFixture, textFixture } from '../layOut/makings';
import { MAX_ZOOM, MIN_ZOOM, ZOOM_STEP } from '../scene/SceneBar';
import type { BenchStore, Station, Tool } from '../store';
import {
  addNextZone,
  addThings,
  alignSelected,
  duplicateInRow,
  duplicateSelected,
  groupSelected,
  grow,
  noteSelected,
  nudge,
  orderSelected,
  outlineSelected,
  removeSelected,
  selectAll,
  selectNext,
  sizeSelected,
  spaceSelected,
  turnSelected,
} from './arranging';

/** Where the shortcut works: anywhere on the page (not while typing), or on the scene only. */
type Where = 'page' | 'scene';

export interface Command {
  readonly words: string;
  readonly group: string;
  /** "Mod" is Ctrl, or the command key of a Mac. Left out: only in the list of commands. */
  readonly keys?: readonly string[];
  readonly where?: Where;
  readonly needs?: 'one' | 'some' | 'several';
  readonly run: (store: BenchStore) => void;
}

const go = (station: Station) => (store: BenchStore) => store.getState().go(station);
const tool = (to: Tool) => (store: BenchStore) => store.setState({ tool: to });
const zoomBy = (factor: number) => (store: BenchStore) =>
  store.setState({ zoom: Math.max(MIN_ZOOM, Math.min(MAX_ZOOM, store.shown.scale * factor)) });
const addFixture = (make: (question: Question) => Fixture) => (store: BenchStore) =>
  addThings(store, 'fixtures', [make(store.getState().question)], 'Made');
const ROW_GAP = 12;

/**
 * Every command of the Bench, defined once: the shortcuts, the list under "?" and the list of commands come from it.
 */
export const COMMANDS: readonly Command[] = [
  { group: 'The Bench', words: 'Undo', keys: ['Mod+Z'], run: (store) => store.getState().undo() },
  { group: 'The Bench', words: 'Redo', keys: ['Mod+Shift+Z', 'Mod+Y'], run: (store) => store.getState().redo() },
  { group: 'The Bench', words: 'Rehearse', keys: ['Mod+Enter'], run: (store) => store.getState().show('rehearse') },
  { group: 'The Bench', words: 'All commands', keys: ['Mod+K'], run: (store) => store.getState().show('commands') },
  { group: 'The Bench', words: 'Shortcuts', keys: ['?'], run: (store) => store.getState().show('shortcuts') },
  { group: 'The Bench', words: 'Versions', run: (store) => store.getState().show('versions') },
  { group: 'The Bench', words: 'Publish', run: (store) => store.getState().show('publish') },
  {
    group: 'The Bench',
    words: 'Model answer on the scene, on or off',
    keys: ['M'],
    where: 'scene',
    run: (store) => store.setState({ modelShown: !store.getState().modelShown }),
  },

  { group: 'Stations', words: 'Lay out', keys: ['Alt+1'], run: go('layOut') },
  { group: 'Stations', words: 'Key', keys: ['Alt+2'], run: go('key') },
  { group: 'Stations', words: 'Behaviour', keys: ['Alt+3'], run: go('behaviour') },
  { group: 'Stations', words: 'Words & marks', keys: ['Alt+4'], run: go('words') },
  { group: 'Stations', words: 'Proof', keys: ['Alt+5'], run: go('proof') },
  { group: 'Stations', words: 'Kind', keys: ['Alt+6'], run: go('kind') },

  {
    group: 'Make',
    words: 'Add a zone',
    keys: ['Z'],
    where: 'scene',
    run: addNextZone,
  },
  {
    group: 'Make',
    words: 'Add a text',
    keys: ['T'],
    where: 'scene',
    run: addFixture((question) => textFixture(question)),
  },
  { group: 'Make', words: 'Add a rectangle to look at', run: addFixture((question) => shapeFixture(question, 'rect')) },
  {
    group: 'Make',
    words: 'Add an ellipse to look at',
    run: addFixture((question) => shapeFixture(question, 'ellipse')),
  },
  { group: 'Make', words: 'Make a zone of the outline of the item, riding on it', needs: 'some', run: outlineSelected },
  { group: 'Make', words: 'Select and move', keys: ['S'], where: 'scene', run: tool('select') },
  { group: 'Make', words: 'Pull items to where they start', keys: ['H'], where: 'scene', run: tool('start') },
  { group: 'Make', words: 'Draw zones', keys: ['D'], where: 'scene', run: tool('rect') },
  { group: 'Make', words: 'Draw round zones', keys: ['Shift+D'], where: 'scene', run: tool('ellipse') },
  { group: 'Make', words: 'Draw zones by their corners', keys: ['C'], where: 'scene', run: tool('polygon') },

  { group: 'Select', words: 'Everything', keys: ['Mod+A'], where: 'scene', run: selectAll },
  {
    group: 'Select',
    words: 'Nothing',
    keys: ['Escape'],
    where: 'scene',
    run: (store) =>
      store.getState().tool === 'select' ? store.getState().select([]) : store.setState({ tool: 'select' }),
  },
  { group: 'Select', words: 'The next thing', keys: ['N'], where: 'scene', run: (store) => selectNext(store, 1) },
  {
    group: 'Select',
    words: 'The thing before',
    keys: ['Shift+N'],
    where: 'scene',
    run: (store) => selectNext(store, -1),
  },
  {
    group: 'Select',
    words: 'Name what is selected',
    keys: ['F2', 'Enter'],
    where: 'scene',
    needs: 'one',
    run: (store) => store.getState().show('rename'),
  },

  ...(
    [
      ['left', 'ArrowLeft', -1, 0],
      ['right', 'ArrowRight', 1, 0],
      ['up', 'ArrowUp', 0, -1],
      ['down', 'ArrowDown', 0, 1],
    ] as const
  ).flatMap(([word, key, dx, dy]): Command[] => [
    {
      group: 'Move',
      words: `Move ${word} by 1`,
      keys: [key],
      where: 'scene',
      needs: 'some',
      run: (store) => nudge(store, dx, dy),
    },
    {
      group: 'Move',
      words: `Move ${word} by 10`,
      keys: [`Shift+${key}`],
      where: 'scene',
      needs: 'some',
      run: (store) => nudge(store, 10 * dx, 10 * dy),
    },
    {
      group: 'Size',
      words: `${dx + dy > 0 ? 'Larger' : 'Smaller'} ${dx === 0 ? 'downwards' : 'sideways'} by 1`,
      keys: [`Mod+${key}`],
      where: 'scene',
      needs: 'some',
      run: (store) => grow(store, dx, dy),
    },
    {
      group: 'Size',
      words: `${dx + dy > 0 ? 'Larger' : 'Smaller'} ${dx === 0 ? 'downwards' : 'sideways'} by 10`,
      keys: [`Mod+Shift+${key}`],
      where: 'scene',
      needs: 'some',
      run: (store) => grow(store, 10 * dx, 10 * dy),
    },
  ]),
  {
    group: 'Move',
    words: 'Turn by 15°',
    keys: ['.'],
    where: 'scene',
    needs: 'some',
    run: (store) => turnSelected(store, 15),
  },
  {
    group: 'Move',
    words: 'Turn back by 15°',
    keys: [','],
    where: 'scene',
    needs: 'some',
    run: (store) => turnSelected(store, -15),
  },

  ...(
    [
      ['left edges', 'left'],
      ['middles, left to right', 'centre'],
      ['right edges', 'right'],
      ['tops', 'top'],
      ['middles, top to bottom', 'middle'],
      ['feet', 'bottom'],
    ] as const
  ).map(
    ([words, edge]): Command => ({
      group: 'Arrange',
      words: `Line up the ${words}`,
      needs: 'some',
      run: (store) => alignSelected(store, edge),
    }),
  ),
  { group: 'Arrange', words: 'Equal gaps across', needs: 'several', run: (store) => spaceSelected(store, 'x') },
  { group: 'Arrange', words: 'Equal gaps down', needs: 'several', run: (store) => spaceSelected(store, 'y') },
  { group: 'Arrange', words: 'Same width', needs: 'several', run: (store) => sizeSelected(store, 'width') },
  { group: 'Arrange', words: 'Same height', needs: 'several', run: (store) => sizeSelected(store, 'height') },
  { group: 'Arrange', words: 'Same size', needs: 'several', run: (store) => sizeSelected(store, 'both') },
  {
    group: 'Arrange',
    words: 'To the front',
    keys: ['Shift+PageUp'],
    where: 'scene',
    needs: 'some',
    run: (store) => orderSelected(store, 'front'),
  },
  {
    group: 'Arrange',
    words: 'One forward',
    keys: ['PageUp'],
    where: 'scene',
    needs: 'some',
    run: (store) => orderSelected(store, 'forward'),
  },
  {
    group: 'Arrange',
    words: 'One back',
    keys: ['PageDown'],
    where: 'scene',
    needs: 'some',
    run: (store) => orderSelected(store, 'backward'),
  },
  {
    group: 'Arrange',
    words: 'To the back',
    keys: ['Shift+PageDown'],
    where: 'scene',
    needs: 'some',
    run: (store) => orderSelected(store, 'back'),
  },
  {
    group: 'Arrange',
    words: 'Make a group',
    keys: ['G'],
    where: 'scene',
    needs: 'several',
    run: (store) => groupSelected(store, true),
  },
  {
    group: 'Arrange',
    words: 'No longer a group',
    keys: ['Shift+G'],
    where: 'scene',
    needs: 'some',
    run: (store) => groupSelected(store, false),
  },
  {
    group: 'Arrange',
    words: 'Lock, or unlock',
    keys: ['L'],
    where: 'scene',
    needs: 'some',
    run: (store) => noteSelected(store, 'locked'),
  },
  {
    group: 'Arrange',
    words: 'Out of sight at the Bench, or back',
    keys: ['H'],
    where: 'scene',
    needs: 'some',
    run: (store) => noteSelected(store, 'veiled'),
  },

  {
    group: 'Copies',
    words: 'Duplicate in place',
    keys: ['Mod+D'],
    needs: 'some',
    run: (store) => duplicateSelected(store),
  },
  {
    group: 'Copies',
    words: 'Duplicate once to the right',
    keys: ['Mod+Shift+D'],
    needs: 'some',
    run: (store) => duplicateInRow(store, 1, 'x', ROW_GAP),
  },
  {
    group: 'Copies',
    words: 'Delete',
    keys: ['Delete', 'Backspace'],
    where: 'scene',
    needs: 'some',
    run: removeSelected,
  },

  { group: 'Sight', words: 'Larger', keys: ['+', '='], where: 'scene', run: zoomBy(ZOOM_STEP) },
  { group: 'Sight', words: 'Smaller', keys: ['-'], where: 'scene', run: zoomBy(1 / ZOOM_STEP) },
  {
    group: 'Sight',
    words: 'The whole scene',
    keys: ['0'],
    where: 'scene',
    run: (store) => store.setState({ zoom: 'fit' }),
  },
];

/** What keys do that the browser's own clipboard and the mouse bring, for the list under "?". */
export const ALSO: readonly (readonly [string, string])[] = [
  ['Mod+C, Mod+X, Mod+V', 'Copy, cut and paste what is selected, between questions too'],
  ['Alt while pulling', 'Leave the guides out'],
  ['Shift while turning', 'By steps of 15°'],
  ['Mod and a press', 'Select what lies underneath'],
  ['Shift and a press', 'Select it too, or no longer'],
  ['Space while pulling, or the wheel', 'Pan'],
  ['Mod and the wheel', 'Zoom'],
];

export function isFor({ needs }: Command, selected: number): boolean {
  switch (needs) {
    case undefined:
      return true;
    case 'one':
      return selected === 1;
    case 'some':
      return selected > 0;
    case 'several':
      return selected > 1;
  }
}

/** How shortcuts are written in the table: modifiers in this order, then the key. */
export function pressOf(event: KeyboardEvent): string {
  const letter = event.key.length === 1 ? event.key.toUpperCase() : event.key;
  const sign = event.key.length === 1 && !/[a-z0-9]/i.test(event.key);
  // For a sign, Shift is part of typing it.
  return [
    event.ctrlKey || event.metaKey ? 'Mod' : '',
    event.altKey ? 'Alt' : '',
    event.shiftKey && !sign ? 'Shift' : '',
    event.altKey && event.code.startsWith('Digit') ? event.code.slice(5) : letter,
  ]
    .filter(Boolean)
    .join('+');
}
