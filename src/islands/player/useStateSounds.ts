import { useEffect } from 'react';
import { type Copy, itemOf, type Look, styleIn } from '../../core';
import type { MediaSource } from '../../scene/media';
import { play, soundAfterFirstPress } from './sounds';
import type { States } from './states';
import type { PlayerState, PlayerStore } from './store';

const soundIn = (look: Look | undefined, state: string): string | null => (look && styleIn(look, state).sound) || null;

/** The sounds of what has come into a new state, each once. */
function soundsOf({ view: { question } }: PlayerState, now: States, before: States): Set<string> {
  const sounds = new Set<string>();
  const add = (look: string | null | undefined, state: string) => {
    const sound = soundIn(look ? question.looks[look] : undefined, state);
    if (sound) sounds.add(sound);
  };
  if (now.items !== before.items)
    for (const copy of new Set<Copy>([...now.items.keys(), ...before.items.keys()])) {
      const state = now.items.get(copy) ?? 'rest';
      if (state !== (before.items.get(copy) ?? 'rest')) add(question.items[itemOf(copy)]?.look, state);
    }
  now.zones.forEach((state, zone) => {
    if (state !== before.zones[zone]) add(question.zones[zone]?.look, state);
  });
  return sounds;
}

/**
 * Sounds what the states of items and zones sound like, what an item itself sounds like when it is picked up, and what
 * is said with a sound.
 */
export function useStateSounds(store: PlayerStore, media: MediaSource): void {
  useEffect(soundAfterFirstPress, []);
  useEffect(
    () =>
      store.subscribe((now, before) => {
        const sounds = now.states === before.states ? new Set<string>() : soundsOf(now, now.states, before.states);
        if (now.states !== before.states)
          for (const [copy, state] of now.states.items) {
            const sound = now.view.question.items[itemOf(copy)]?.content?.sound;
            if (
              state === 'inHand' &&
              sound &&
              !['inHand', 'overZone'].includes(before.states.items.get(copy) ?? 'rest')
            )
              sounds.add(sound);
          }
        const words = now.told?.try?.words?.sound;
        if (now.told !== before.told && words) sounds.add(words);
        for (const sound of sounds) {
          const shown = media(sound);
          if (shown) void play(shown.url);
        }
      }),
    [store, media],
  );
}

/** Is there anything on the page that sounds? */
export const hasSounds = ({ media }: Pick<PlayerState, 'media'>): boolean =>
  Object.values(media).some(({ kind }) => kind === 'sound');
