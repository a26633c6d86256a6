import type { Rich } from '../../../core';

/** A stretch of text in one language. */
export interface Stretch {
  readonly text: string;
  readonly lang: string;
}

/** The sentences of a rich text, each in its language; a run in another language is a stretch of its own. */
export function sentencesOf(rich: Rich | null, lang: string): Stretch[] {
  const blocks = (rich?.blocks ?? []).flatMap((block) => (block.type === 'paragraph' ? [block.runs] : block.entries));
  return blocks.flatMap((runs) => {
    const stretches: Stretch[] = [];
    for (const { text = ' … ', lang: own } of runs) {
      const last = stretches.at(-1);
      const now = own ?? lang;
      if (last?.lang === now) stretches[stretches.length - 1] = { text: last.text + text, lang: now };
      else stretches.push({ text, lang: now });
    }
    return stretches.flatMap(({ text, lang: now }) =>
      [...new Intl.Segmenter(now, { granularity: 'sentence' }).segment(text)]
        .map(({ segment }) => ({ text: segment.trim(), lang: now }))
        .filter((sentence) => sentence.text !== ''),
    );
  });
}

/** A voice of this machine for a language: what is read is not sent anywhere. Null: there is none. */
export function localVoice(voices: readonly SpeechSynthesisVoice[], lang: string): SpeechSynthesisVoice | null {
  const local = voices.filter((voice) => voice.localService);
  const base = lang.split('-')[0]?.toLowerCase() ?? '';
  return (
    local.find((voice) => voice.lang.toLowerCase() === lang.toLowerCase()) ??
    local.find((voice) => voice.lang.toLowerCase().split(/[-_]/)[0] === base) ??
    null
  );
}
