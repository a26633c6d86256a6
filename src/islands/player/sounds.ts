import { create } from 'zustand';

/**
 * The switch for all sound of the page. Before the learner's first gesture nothing sounds, because browsers forbid it.
 */
interface Sounds {
  readonly on: boolean;
  turn(on: boolean): void;
}

const STORED_AT = 'vault-drop.sound';
const storedChoice = (): boolean => {
  try {
    return localStorage.getItem(STORED_AT) !== 'off';
  } catch {
    return true;
  }
};

export const useSounds = create<Sounds>()((set) => ({
  on: true,
  turn: (on) => {
    set({ on });
    if (!on) stopAll();
    try {
      localStorage.setItem(STORED_AT, on ? 'on' : 'off');
    } catch {
      // Storage is full or forbidden: the choice lasts as long as the page.
    }
  },
}));

/** The last choice in this browser. Read after the first render, because the server cannot know it. */
export const recallSounds = () => useSounds.setState({ on: storedChoice() });

let context: AudioContext | null = null;
const buffers = new Map<string, Promise<AudioBuffer>>();
const sounding = new Map<string, AudioBufferSourceNode>();

function stopAll(): void {
  for (const source of sounding.values()) source.stop();
  sounding.clear();
}

/**
 * Lets the page sound from the first press on: a phone opens its loudspeaker only while a press is handled, and a
 * verdict's sound comes after it. Returns what takes the listeners away.
 */
export function soundAfterFirstPress(): () => void {
  const listening = new AbortController();
  const open = () => {
    context ??= new AudioContext();
    void context.resume();
    listening.abort();
  };
  for (const press of ['pointerup', 'keydown']) addEventListener(press, open, { signal: listening.signal });
  return () => listening.abort();
}

const load = async (url: string, decoder: AudioContext): Promise<AudioBuffer> =>
  decoder.decodeAudioData(await (await fetch(url)).arrayBuffer());

/** Plays a sound from its beginning, if sound is on and there was a press. */
export async function play(url: string): Promise<void> {
  if (!useSounds.getState().on || !navigator.userActivation?.hasBeenActive) return;
  context ??= new AudioContext();
  const buffer = buffers.get(url) ?? load(url, context);
  buffers.set(url, buffer);
  try {
    const source = new AudioBufferSourceNode(context, { buffer: await buffer });
    sounding.get(url)?.stop();
    sounding.set(url, source);
    source.connect(context.destination);
    source.start();
  } catch {
    // The network is away or the browser cannot read the file: the drop goes on without its sound.
    buffers.delete(url);
  }
}
