import type { WasUp } from '../../contract';
import { localVoice } from '../player/aids/speech';
import { useSounds } from '../player/sounds';
import type { ClassStore } from './classState';

/** The names of those who are up. */
export function namesUp(store: ClassStore): readonly string[] {
  const { turns } = store.getState();
  return turns?.up.flatMap((id) => turns.people.find((person) => person.id === id)?.name ?? []) ?? [];
}

/** Those who are up, as a record keeps them: learners by their accounts. */
export function whoIsUp(store: ClassStore): readonly WasUp[] {
  const { turns, areLearners } = store.getState();
  return areLearners ? (turns?.up.map((learner) => ({ learner })) ?? []) : namesUp(store).map((name) => ({ name }));
}

/** Says names by a voice of this machine, if sound is on. */
export function speak(names: readonly string[]): void {
  const speech = window.speechSynthesis;
  const voice = speech && localVoice(speech.getVoices(), 'en');
  if (!voice || !useSounds.getState().on || names.length === 0) return;
  const spoken = new SpeechSynthesisUtterance(names.join(', '));
  spoken.voice = voice;
  speech.speak(spoken);
}
