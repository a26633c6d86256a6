import { useQuery } from '@tanstack/react-query';
import { Download, Printer } from 'lucide-react';
import { useState } from 'react';
import type { CarriedQuestion } from '../../contract';
import { ask, Dialog, Scrolls } from '../../ui';
import { Alert } from '../../ui/Alert';
import { addressOf } from '../../ui/api';

/** What leaves: questions by their ids, separated by commas, a shelf or a set. */
export type Leaving = { readonly questions: string } | { readonly shelf: string } | { readonly set: string };

const FORMS = [
  ['own', 'Package of Vault Drop', 'Everything: questions, media, shelves and tags. It comes in again as it went out.'],
  [
    'qti',
    'QTI 3.0',
    'For other programs. A question goes out where its marks are the same there; its own document goes along.',
  ],
  [
    'paper',
    'Paper',
    'To print or to save as PDF: questions, answer sheet and answers. What only a screen can do stays behind.',
  ],
] as const;

/** The page from which they are printed. */
const printOf = (what: Leaving): string =>
  'set' in what ? `/sets/${what.set}/print` : `/vault/print?${new URLSearchParams({ ...what })}`;

/** Questions leave as a file or on paper: the author chooses the form, and sees first what it cannot carry. */
export function ExportDialog({ what, onClose }: { what: Leaving; onClose: () => void }) {
  const [form, setForm] = useState<(typeof FORMS)[number][0]>('own');
  const carried = useQuery({
    queryKey: ['carried', what],
    queryFn: () => ask('GET /api/packages/carried', { query: what }),
    enabled: form === 'qti',
  });
  const some = form !== 'qti' || carried.data?.some((question) => question.carried) === true;
  return (
    <Dialog title="Export" onClose={onClose}>
      <fieldset className="grid gap-2">
        <legend className="font-semibold mb-1">As what?</legend>
        {FORMS.map(([name, title, said]) => (
          <label key={name} className="flex gap-3 items-start">
            <input
              type="radio"
              name="form"
              className="radio radio-sm mt-1"
              checked={form === name}
              onChange={() => setForm(name)}
            />
            <span>
              {title}
              <span className="block text-mute text-sm">{said}</span>
            </span>
          </label>
        ))}
      </fieldset>
      {form === 'qti' && (
        <section className="mt-4" aria-label="What QTI carries" role="status">
          {carried.isError && (
            <Alert tone="problem" role="alert">
              {carried.error.message}
            </Alert>
          )}
          {carried.isPending && <p>Looking at what can be carried…</p>}
          {carried.data && <Carried questions={carried.data} />}
          {'set' in what && carried.data?.some((question) => !question.carried) && (
            <p className="text-sm text-mute mt-2">
              The set goes out as a test of those that can go out. Where questions are drawn, fewer are there to draw
              from.
            </p>
          )}
        </section>
      )}
      <div className="flex justify-end gap-2 mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Close
        </button>
        {some &&
          (form === 'paper' ? (
            <a className="btn btn-primary" href={printOf(what)}>
              <Printer size={16} aria-hidden /> Put on paper
            </a>
          ) : (
            <a
              className="btn btn-primary"
              href={addressOf('GET /api/packages', { query: { ...what, format: form } })}
              download
            >
              <Download size={16} aria-hidden /> Export
            </a>
          ))}
      </div>
    </Dialog>
  );
}

/** Those that cannot go out first, each with its reasons; then what stays behind of the others. */
function Carried({ questions }: { questions: readonly CarriedQuestion[] }) {
  const [refused, carried] = [questions.filter((one) => !one.carried), questions.filter((one) => one.carried)];
  const noted = carried.filter(({ said }) => said.length > 0);
  return (
    <>
      <p className="font-semibold">
        {refused.length === 0
          ? `All ${questions.length} can go out.`
          : `${carried.length} of ${questions.length} can go out.`}
      </p>
      <Scrolls label="Question by question" className="max-h-64 mt-2">
        <Listed title="These cannot, because their marks would not be the same" questions={refused} />
        <Listed title="Of these something stays behind; their marks are the same" questions={noted} />
      </Scrolls>
    </>
  );
}

function Listed({ title, questions }: { title: string; questions: readonly CarriedQuestion[] }) {
  if (questions.length === 0) return null;
  return (
    <>
      <p className="text-mute mt-2">{title}:</p>
      <ul className="grid gap-2 mt-1">
        {questions.map(({ id, title: name, said }) => (
          <li key={id}>
            <span dir="auto">{name}</span>
            <ul className="list-disc ps-6 text-sm">
              {/* The same of several parts is said once. */}
              {[...new Set(said.map(({ message }) => message))].map((message) => (
                <li key={message}>{message}</li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </>
  );
}
