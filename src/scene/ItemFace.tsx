import { memo, useContext } from 'react';
import type { Item, ItemState } from '../core';
import { Picture } from './media';
import { RichText } from './RichText';
import { Written } from './written';

export type { ItemState } from '../core';

interface Props {
  label: string;
  /** The language of its label, where it is another than the question's. */
  lang?: string | null;
  content?: Item['content'];
  state: ItemState;
  /** Of the tag, in CSS pixels. */
  width?: number;
}

/**
 * The content of a paper tag: its words, its picture, a sound sign, and the sign of a verdict. The tag itself is the
 * element around it, which the page makes movable.
 */
export const ItemFace = memo(function ItemFace({ label, lang = null, content = null, state, width }: Props) {
  const written = useContext(Written);
  const { text = null, picture = null, sound = null } = content ?? {};
  // A picture or a sound stands for the item without words, unless it is given some.
  const words = content ? text && <RichText rich={text} /> : label;
  return (
    <>
      {picture && <Picture id={picture} width={width} className={words ? 'tag-picture-over' : ''} />}
      {words && (
        <span className="tag-words" lang={lang ?? written ?? undefined} dir="auto">
          {words}
        </span>
      )}
      {sound && (
        <span className="tag-sound" aria-hidden>
          ♪
        </span>
      )}
      {(state === 'right' || state === 'wrong') && (
        <span className="tag-seal" aria-hidden>
          {state === 'right' ? '✓' : '↩'}
        </span>
      )}
    </>
  );
});
