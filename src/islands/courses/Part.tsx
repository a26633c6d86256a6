import type { ReactNode } from 'react';

/** A section of a settings page. */
export function Part({ title, about, children }: { title: string; about: string; children: ReactNode }) {
  return (
    <section className="mb-9" aria-label={title}>
      <h2 className="text-xl">{title}</h2>
      <p className="text-mute mb-2">{about}</p>
      {children}
    </section>
  );
}

/** Why something was not saved. */
export const Problem = ({ words }: { words: string }) => (
  <p role="alert" className="text-brick mt-1">
    {words}
  </p>
);
