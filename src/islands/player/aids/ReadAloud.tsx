import { useContext, useEffect, useState } from 'react';
import type { LearnerQuestion } from '../../../core';
import { Written } from '../../../scene/written';
import { phrase } from '../../../words';
import { localVoice, type Stretch, sentencesOf } from './speech';

const VOICES_SOON_MS = 2000;

/** The voices of the browser, which come some time after the page. */
function useVoices(): readonly SpeechSynthesisVoice[] {
  const [voices, setVoices] = useState<readonly SpeechSynthesisVoice[]>([]);
  useEffect(() => {
    const speech = window.speechSynthesis;
    if (!speech) return;
    const look = () => setVoices(speech.getVoices());
    look();
    speech.addEventListener?.('voiceschanged', look);
    const soon = setTimeout(look, VOICES_SOON_MS);
    return () => {
      speech.removeEventListener?.('voiceschanged', look);
      clearTimeout(soon);
      speech.cancel();
    };
  }, []);
  return voices;
}

/**
 * Reads the prompt (unless the author has given a sound for it) and the texts of the scene aloud, sentence by sentence,
 * by a voice of this machine. Where there is no such voice there is no button.
 */
export function ReadAloud({ question }: { question: LearnerQuestion }) {
  const voices = useVoices();
  const [reading, setReading] = useState<number | null>(null);
  const lang = useContext(Written) ?? document.documentElement.lang;
  const sentences: Stretch[] = [
    ...(question.promptSound ? [] : sentencesOf(question.prompt, lang)),
    ...question.fixtures.flatMap((fixture) => (fixture.type === 'text' ? sentencesOf(fixture.text, lang) : [])),
  ];
  const readable = sentences.filter((sentence) => localVoice(voices, sentence.lang) !== null);
  if (readable.length === 0) return null;
  const stop = () => {
    window.speechSynthesis.cancel();
    setReading(null);
  };
  const read = () => {
    window.speechSynthesis.cancel();
    readable.forEach((sentence, i) => {
      const spoken = new SpeechSynthesisUtterance(sentence.text);
      spoken.lang = sentence.lang;
      spoken.voice = localVoice(voices, sentence.lang);
      spoken.onstart = () => setReading(i);
      spoken.onend = () => i === readable.length - 1 && setReading(null);
      window.speechSynthesis.speak(spoken);
    });
  };
  return (
    <div className="flex items-center gap-2 min-w-0">
      <button type="button" className="btn btn-edge btn-sm h-11" onClick={reading === null ? read : stop}>
        {phrase(reading === null ? 'player.readAloud' : 'player.stopReading')}
      </button>
      {reading !== null && (
        <span className="text-mute truncate" aria-hidden>
          {readable[reading]?.text}
        </span>
      )}
    </div>
  );
}
