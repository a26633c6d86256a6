import { useSounds } from '../player/sounds';

let context: AudioContext | null = null;

/** Two tones, for the end of a countdown, if sound is on. */
export function chime(): void {
  if (!useSounds.getState().on) return;
  context ??= new AudioContext();
  const begin = context.currentTime;
  for (const [i, pitch] of [660, 880].entries()) {
    const tone = context.createOscillator();
    const loud = context.createGain();
    tone.frequency.value = pitch;
    loud.gain.setValueAtTime(0.25, begin + i * 0.35);
    loud.gain.exponentialRampToValueAtTime(0.001, begin + i * 0.35 + 0.6);
    tone.connect(loud).connect(context.destination);
    tone.start(begin + i * 0.35);
    tone.stop(begin + i * 0.35 + 0.6);
  }
}
