import { Languages } from 'lucide-react';
import { language, phrase } from '../words';
import { LANGUAGES, type Language } from '../words/languages';
import { chooseLanguage } from './chooseLanguage';

/** The language of the page, as an icon over a menu of the browser's own. */
export function LanguageChoice() {
  return (
    <span className="language-choice">
      <Languages aria-hidden size={20} />
      <select
        aria-label={phrase('shared.language')}
        value={language()}
        onChange={({ target }) => chooseLanguage(target.value as Language)}
      >
        {Object.entries(LANGUAGES).map(([tag, name]) => (
          <option key={tag} value={tag} lang={tag}>
            {name}
          </option>
        ))}
      </select>
    </span>
  );
}
