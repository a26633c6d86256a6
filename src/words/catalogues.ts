import type { I18n, Messages } from '@lingui/core';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import ar from './catalogues/ar.json' with { type: 'json' };
import de from './catalogues/de.json' with { type: 'json' };
import en from './catalogues/en.json' with { type: 'json' };
import es from './catalogues/es.json' with { type: 'json' };
import fr from './catalogues/fr.json' with { type: 'json' };
import he from './catalogues/he.json' with { type: 'json' };
import pl from './catalogues/pl.json' with { type: 'json' };
import pt from './catalogues/pt.json' with { type: 'json' };
import tr from './catalogues/tr.json' with { type: 'json' };
import { type Spoken, speaker } from './index';
import type { Language } from './languages';

interface Catalogue {
  /** Its own name. */
  readonly language: string;
  /** Whether somebody who speaks it from childhood has read it; "source": it is what the others are translated from. */
  readonly reviewed: string;
  readonly phrases: Readonly<Record<string, string>>;
}

export const catalogues: Readonly<Record<Language, Catalogue>> = { en, de, fr, es, pt, pl, tr, ar, he };

const compiled = new Map<Language, Messages>();
const messagesOf = (language: Language): Messages => {
  const known = compiled.get(language);
  if (known) return known;
  const messages = Object.fromEntries(
    Object.entries(catalogues[language].phrases).map(([id, text]) => [id, compileMessage(text)]),
  );
  compiled.set(language, messages);
  return messages;
};

const speakers = new Map<Language, I18n>();
export function speakerOf(language: Language): I18n {
  const known = speakers.get(language);
  if (known) return known;
  const made = speaker({ language, messages: messagesOf(language) });
  speakers.set(language, made);
  return made;
}

/** The groups of phrases that islands use; the rest is written by the server's pages. */
export type Group = 'shared' | 'errors' | 'account' | 'player';

/** What a page brings its islands: the phrases of some groups in its language, as JSON that may stand in a script. */
export function phrasesFor(language: Language, groups: readonly Group[]): string {
  const messages = Object.fromEntries(
    Object.entries(messagesOf(language)).filter(([id]) => groups.some((group) => id.startsWith(`${group}.`))),
  );
  return JSON.stringify({ language, messages } satisfies Spoken).replaceAll('<', '\\u003c');
}
