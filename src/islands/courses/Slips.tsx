import { Printer } from 'lucide-react';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import './slips.css';

/** Somebody with the password that is shown this once. */
export interface FirstPassword {
  readonly name: string;
  readonly username: string;
  readonly password: string;
}

/** Prints a slip for each learner, to be cut out: where to sign in, and with what. Nothing else of the page is printed. */
export function PrintSlips({ people, course }: { people: readonly FirstPassword[]; course: string }) {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    if (!printing) return;
    const over = () => setPrinting(false);
    addEventListener('afterprint', over);
    document.documentElement.dataset.slips = '';
    window.print();
    return () => {
      removeEventListener('afterprint', over);
      delete document.documentElement.dataset.slips;
    };
  }, [printing]);
  return (
    <>
      <button type="button" className="btn btn-edge" onClick={() => setPrinting(true)}>
        <Printer size={16} aria-hidden /> Print {people.length === 1 ? 'a slip' : 'slips'}
      </button>
      {printing &&
        createPortal(
          <div className="slips">
            {people.map(({ name, username, password }) => (
              <article key={username}>
                <h2 dir="auto">{name}</h2>
                <p dir="auto">{course}</p>
                <dl>
                  <dt>Sign in at</dt>
                  <dd>{location.origin}</dd>
                  <dt>User name</dt>
                  <dd>{username}</dd>
                  <dt>First password</dt>
                  <dd>{password}</dd>
                </dl>
                <p>Change the password under your name, once you are in.</p>
              </article>
            ))}
          </div>,
          document.body,
        )}
    </>
  );
}
