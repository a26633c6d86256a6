import type { HTMLAttributes } from 'react';

/** `problem`: something is wrong; `notice`: something to know; `good`: it went well; `plain`: words of the author's. */
export type Tone = 'problem' | 'notice' | 'good' | 'plain';

const TONES: Readonly<Record<Tone, string>> = {
  problem: 'bg-brick-wash border-brick',
  notice: 'bg-brass-wash border-brass',
  good: 'bg-verdigris-wash border-verdigris',
  plain: 'border-rule',
};

/** A box with a message. A `problem` that appears after an action has `role="alert"`, which screen readers announce. */
export function Alert({ tone, className = '', ...rest }: HTMLAttributes<HTMLDivElement> & { tone: Tone }) {
  return <div className={`border-s-4 px-3 py-2 ${TONES[tone]} ${className}`} {...rest} />;
}
