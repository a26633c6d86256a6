import { slotsIn } from '../edit/slots';
import type { Problem } from './problem';
import type { Rich } from './rich';
import type { Medium, Question } from './schema';

interface Say {
  readonly text: Rich | null;
  readonly picture: string | null;
  readonly sound: string | null;
}

/** That media, looks and slots which are named exist, and are of the kind that is meant. */
export function materialProblems(question: Question): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, message: string) => problems.push({ path, message });

  const medium = (path: string, id: string | null | undefined, kind: Medium['kind']) => {
    if (id === null || id === undefined) return;
    const found = Object.hasOwn(question.media, id) ? question.media[id] : undefined;
    if (!found) say(path, `There is no medium "${id}".`);
    else if (found.kind !== kind) say(path, `"${id}" is a ${found.kind}, not a ${kind}.`);
  };
  const noSlots = (path: string, rich: Rich | null) => {
    if (slotsIn(rich).length > 0) say(path, 'Slots can stand only in a text fixture.');
  };
  const said = (path: string, content: Say | null) => {
    if (!content) return;
    noSlots(`${path}.text`, content.text);
    medium(`${path}.picture`, content.picture, 'picture');
    medium(`${path}.sound`, content.sound, 'sound');
  };
  const look = (path: string, id: string | null, of: 'item' | 'zone') => {
    if (id === null) return;
    const found = Object.hasOwn(question.looks, id) ? question.looks[id] : undefined;
    if (!found) say(path, `There is no look "${id}".`);
    else if (found.of !== of) say(path, `The look "${id}" is for ${found.of}s.`);
  };

  noSlots('prompt', question.prompt);
  medium('promptSound', question.promptSound, 'sound');
  medium('dress.ground.picture', question.dress?.ground?.picture, 'picture');
  medium('dress.letters.ownFace', question.dress?.letters?.ownFace, 'font');
  for (const when of ['right', 'partly', 'wrong'] as const) said(`feedback.${when}`, question.feedback[when]);
  for (const [i, hint] of question.hints.entries()) said(`hints[${i}]`, hint);
  for (const [i, item] of question.items.entries()) {
    said(`items[${i}].content`, item.content);
    look(`items[${i}].look`, item.look, 'item');
  }
  for (const [i, zone] of question.zones.entries()) look(`zones[${i}].look`, zone.look, 'zone');
  for (const [id, { states }] of Object.entries(question.looks))
    for (const [state, style] of Object.entries(
      states as Record<string, { picture?: string; sound?: string; ownFace?: string } | undefined>,
    )) {
      medium(`looks.${id}.states.${state}.picture`, style?.picture, 'picture');
      medium(`looks.${id}.states.${state}.sound`, style?.sound, 'sound');
      medium(`looks.${id}.states.${state}.ownFace`, style?.ownFace, 'font');
    }
  const items = new Set<string>(question.items.map(({ id }) => id));
  for (const [i, { says }] of question.key.entries()) {
    said(`key[${i}].says.zone`, says?.zone ?? null);
    for (const [id, content] of Object.entries(says?.items ?? {})) {
      if (!items.has(id)) say(`key[${i}].says.items.${id}`, `There is no item "${id}".`);
      said(`key[${i}].says.items.${id}`, content);
    }
  }
  const named = new Set<string>();
  for (const [i, fixture] of question.fixtures.entries()) {
    said(`fixtures[${i}].when.content`, fixture.when?.content ?? null);
    if (fixture.type === 'picture' || fixture.type === 'sound' || fixture.type === 'film')
      medium(`fixtures[${i}].media`, fixture.media, fixture.type);
    if (fixture.type === 'shape' && fixture.shape.type === 'slot')
      say(`fixtures[${i}].shape`, 'A slot is no shape to draw.');
    if (fixture.type !== 'text') continue;
    medium(`fixtures[${i}].letters.ownFace`, fixture.letters?.ownFace, 'font');
    for (const slot of slotsIn(fixture.text)) {
      if (question.zones.find(({ id }) => id === slot)?.shape.type !== 'slot')
        say(`fixtures[${i}].text`, `There is no slot "${slot}" among the zones.`);
      if (named.has(slot)) say(`fixtures[${i}].text`, `The slot "${slot}" stands in a text twice.`);
      named.add(slot);
    }
  }
  return problems;
}
