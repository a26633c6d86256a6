import { useId } from 'react';
import { isLanguageTag } from '../../../core';
import { Typed } from '../../../ui/Typed';

const OFFERED = (
  'ar bg ca cs cy da de el en es et eu fa fi fr ga gl he hi hr hu hy id is it ja ka ko la lt lv mk ms mt nb nl pl pt ' +
  'ro ru sk sl sq sr sv sw ta th tr uk ur vi zh'
).split(' ');
const names = new Intl.DisplayNames('en', { type: 'language' });

const nameOf = (tag: string): string => {
  try {
    return names.of(tag) ?? '';
  } catch {
    return '';
  }
};

interface Props {
  label: string;
  /** Undefined: those selected differ. */
  value: string | null | undefined;
  /** What an empty field stands for. */
  empty: string;
  onSet: (lang: string | null) => void;
}

/** A language by its tag, of which the usual ones are offered. */
export function LanguageField({ label, value, empty, onSet }: Props) {
  const id = useId();
  return (
    <>
      <Typed
        label={label}
        className="input input-sm w-24"
        list={id}
        value={value ?? ''}
        problem={(text) =>
          text.trim() === '' || isLanguageTag(text.trim()) ? null : 'Type a language tag, as en or pt-BR'
        }
        onTyped={(text) => onSet(text.trim() || null)}
      />
      <datalist id={id}>
        {OFFERED.map((tag) => (
          <option key={tag} value={tag}>
            {nameOf(tag)}
          </option>
        ))}
      </datalist>
      <span className="text-sm text-mute">
        {value === undefined ? 'they differ' : value === null ? `empty: ${empty}` : nameOf(value)}
      </span>
    </>
  );
}
