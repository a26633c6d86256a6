import type { Howl } from 'howler';
import { create } from 'zustand';

/**
 * The switch for all sound of the page. Before the learner's first gesture nothing sounds, because browsers forbid it.
 */
interface Sounds {
  readonly on: boolean;
  turn(on: boolean): void;
}

const KEPT = 'vault-drop.sound';
const kept = (): boolean => {
  try {
    return localStorage.getItem(KEPT) !== 'off';
  } catch {
    return true;
  }
};

export const useSounds = create<Sounds>()((set) => ({
  on: true,
  turn: (on) => {
    set({ on });
    if (!on) for (const howl of howls.values()) howl.then((one) => one.stop());
    try {
      localStorage.setItem(KEPT, on ? 'on' : 'off');
    } catch {
      // Storage is full or forbidden: the choice lasts as long as the page.
    }
  },
}));

/** The last choice in this browser. Read after the first render, because the server cannot know it. */
export const recallSounds = () => useSounds.setState({ on: kept() });

const howls = new Map<string, Promise<Howl>>();

/** Plays a sound from its beginning, if sound is on and there was a gesture. The library comes with the first sound. */
export function play(url: string): void {
  if (!useSounds.getState().on || !navigator.userActivation?.hasBeenActive) return;
  let howl = howls.get(url);
  if (!howl) {
    // The address says nothing of the type: the browser looks for itself.
    howl = import('howler/dist/howler.core.min.js').then(
      ({ Howl }) => new Howl({ src: [url], html5: true, format: ['wav', 'mp3', 'ogg'] }),
    );
    howls.set(url, howl);
  }
  void howl.then((one) => {
    one.stop();
    one.play();
  });
}
