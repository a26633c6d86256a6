import { type KeyboardEvent, useState } from 'react';
import { type Phrase, phrase } from '../../../words';
import { calculate, typedAs } from './calculate';

const KEYS = [
  '7',
  '8',
  '9',
  '÷',
  '4',
  '5',
  '6',
  '×',
  '1',
  '2',
  '3',
  '−',
  '0',
  '.',
  '=',
  '+',
  '(',
  ')',
  '⌫',
  'C',
] as const;
const NAMES: Readonly<Record<string, Phrase>> = {
  '÷': 'player.keyDivide',
  '×': 'player.keyTimes',
  '−': 'player.keyMinus',
  '+': 'player.keyPlus',
  '=': 'player.keyEquals',
  '.': 'player.keyPoint',
  '⌫': 'player.keyDelete',
  C: 'player.keyClear',
  '(': 'player.keyOpen',
  ')': 'player.keyClose',
};
const WHY = {
  notNumbers: 'player.calcNumbers',
  openBracket: 'player.calcBracket',
  noNumber: 'player.calcNumberMissing',
  noSign: 'player.calcSignMissing',
  byNought: 'player.calcByNought',
} as const;
const MOST = 60;

/** A calculator of four signs and brackets, by pressing and by the keyboard. */
export function Calculator() {
  const [words, setWords] = useState('');
  const [said, setSaid] = useState('');
  const press = (key: string) => {
    setSaid('');
    if (key === 'C') return setWords('');
    if (key === '⌫') return setWords(words.slice(0, -1));
    if (key === '=') return equals();
    if (words.length < MOST) setWords(words + key);
  };
  const equals = () => {
    const found = calculate(words);
    if (found.ok) setWords(found.value);
    setSaid(found.ok ? phrase('player.isResult', { sum: words, result: found.value }) : phrase(WHY[found.why]));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const key = event.key === 'Enter' ? '=' : event.key === 'Backspace' ? '⌫' : typedAs(event.key);
    if (!(KEYS as readonly string[]).includes(key) || event.ctrlKey || event.metaKey) return;
    // A button that has the focus is pressed by Enter itself.
    if (event.key === 'Enter' && event.target instanceof HTMLButtonElement) return;
    event.preventDefault();
    press(key);
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: its keys are buttons, and those of the keyboard stand for them
    <div className="w-56" onKeyDown={onKeyDown}>
      <input
        aria-label={phrase('player.calculated')}
        readOnly
        className="input figures w-full text-end text-lg"
        value={words}
        placeholder="0"
      />
      <p role="status" className="text-sm text-mute min-h-5 break-all">
        {said}
      </p>
      <div className="grid grid-cols-4 gap-1">
        {KEYS.map((key) => (
          <button
            key={key}
            type="button"
            className={`btn btn-sm h-11 px-0 text-lg ${key === '=' ? 'btn-primary' : 'btn-edge'}`}
            aria-label={NAMES[key] && phrase(NAMES[key])}
            onClick={() => press(key)}
          >
            {key}
          </button>
        ))}
      </div>
    </div>
  );
}
