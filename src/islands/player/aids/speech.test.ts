import { expect, it } from 'vitest';
import { localVoice, sentencesOf } from './speech';

const paragraph = (...runs: { text?: string; lang?: string; slot?: string }[]) =>
  ({ blocks: [{ type: 'paragraph', runs }] }) as Parameters<typeof sentencesOf>[0];

it('a text is read sentence by sentence, each in its language', () => {
  expect(
    sentencesOf(paragraph({ text: 'Dry it. Then seal ' }, { text: 'la graine', lang: 'fr' }, { text: ' well.' }), 'en'),
  ).toEqual([
    { text: 'Dry it.', lang: 'en' },
    { text: 'Then seal', lang: 'en' },
    { text: 'la graine', lang: 'fr' },
    { text: 'well.', lang: 'en' },
  ]);
  expect(sentencesOf(paragraph({ text: 'Kept at ' }, { slot: 'gap' }, { text: ' degrees.' }), 'en')).toEqual([
    { text: 'Kept at  …  degrees.', lang: 'en' },
  ]);
  expect(sentencesOf(null, 'en')).toEqual([]);
});

it('only a voice of this machine reads, in the language or a kind of it', () => {
  const voice = (lang: string, localService: boolean) => ({ lang, localService, name: lang }) as SpeechSynthesisVoice;
  const voices = [voice('en-US', false), voice('en-GB', true), voice('fr_CA', true)];
  expect(localVoice(voices, 'en-US')?.lang).toBe('en-GB');
  expect(localVoice(voices, 'fr')?.lang).toBe('fr_CA');
  expect(localVoice(voices, 'de')).toBeNull();
});
