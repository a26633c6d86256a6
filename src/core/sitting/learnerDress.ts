import type { Letters, Look, Question } from '../document/schema';
import { isTold, restsOnKey } from '../judge/when';

// How a learner's question is dressed: its media, looks and letters, under the names of the sitting.

export type MediumNamed = <Id extends string | null | undefined>(id: Id) => Id;

export const lettersWith = (letters: Letters | null, media: MediumNamed): Letters | null =>
  letters && { face: letters.face, size: letters.size, ownFace: media(letters.ownFace) };

export const dressWith = (dress: Question['dress'], media: MediumNamed): Question['dress'] =>
  dress && {
    ground: dress.ground && {
      colour: dress.ground.colour,
      texture: dress.ground.texture,
      frame: dress.ground.frame,
      picture: media(dress.ground.picture),
    },
    letters: lettersWith(dress.letters, media),
  };

/**
 * The media that what is sent before a check shows, in the document's order: those of feedback and hints are not among
 * them.
 */
export function mediaShown(question: Question, worn: ReadonlySet<string>): string[] {
  const shown = new Set<string | null | undefined>([
    question.promptSound,
    question.dress?.ground?.picture,
    question.dress?.letters?.ownFace,
    ...question.fixtures.flatMap((fixture) => {
      const { when } = fixture;
      const seen = when?.events.some((event) => !restsOnKey(question, event)) === true;
      return [
        'media' in fixture && !isTold(question, fixture) ? fixture.media : null,
        fixture.type === 'text' ? fixture.letters?.ownFace : null,
        ...(seen ? [when?.content?.picture, when?.content?.sound] : []),
      ];
    }),
    ...question.items.flatMap(({ content }) => [content?.picture, content?.sound]),
    ...[...worn].flatMap((id) =>
      Object.values((question.looks[id]?.states ?? {}) as Record<string, Partial<Style> | undefined>).flatMap(
        (style) => [style?.picture, style?.sound, style?.ownFace],
      ),
    ),
  ]);
  return Object.keys(question.media).filter((id) => shown.has(id));
}

type Style = NonNullable<NonNullable<Look['states']>['rest']>;

export function lookWith(look: Look, media: (id: string) => string): Look {
  const states = Object.entries(look.states as Record<string, Style | undefined>).flatMap(([state, style]) =>
    style ? [[state, styleWith(style, media)]] : [],
  );
  // What an author calls a look may say what belongs to it.
  return {
    of: look.of,
    name: '',
    ...(look.of === 'item' ? { putAway: look.putAway } : {}),
    states: Object.fromEntries(states),
  } as Look;
}

const STYLE_FIELDS = ['fill', 'edge', 'text', 'edgeWidth', 'edgeStyle', 'fontSize', 'face', 'motion'] as const;

function styleWith(style: Style, media: (id: string) => string): Record<string, unknown> {
  const given = Object.fromEntries(
    STYLE_FIELDS.flatMap((field) => (style[field] === undefined ? [] : [[field, style[field]]])),
  );
  return {
    ...given,
    ...(style.picture ? { picture: media(style.picture) } : {}),
    ...(style.sound ? { sound: media(style.sound) } : {}),
    ...(style.ownFace ? { ownFace: media(style.ownFace) } : {}),
  };
}
