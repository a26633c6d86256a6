import { type ReactNode, useState } from 'react';
import { Dialog, Scrolls } from '../../../ui';
import { type Framework, MAX_SHOWN, rowsOf } from './tree';

interface Props {
  title: string;
  says: string;
  frameworks: readonly Framework[];
  chosen: ReadonlySet<string>;
  onToggle: (id: string, on: boolean) => void;
  /** What is done with what is chosen, on buttons. */
  children: ReactNode;
  onClose: () => void;
}

/** Chooses outcomes in their trees, or by a search. */
export function OutcomePicker({ title, says, frameworks, chosen, onToggle, children, onClose }: Props) {
  const [search, setSearch] = useState('');
  return (
    <Dialog title={title} onClose={onClose} wide>
      <p className="mb-2 max-w-prose">{says}</p>
      {frameworks.length === 0 ? (
        <p className="mb-2">
          There are no outcomes yet:{' '}
          <a className="link-brass" href="/outcomes">
            bring some in
          </a>
          .
        </p>
      ) : (
        <>
          <input
            type="search"
            aria-label="Find an outcome"
            placeholder="code or words"
            className="input w-full mb-2"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            data-autofocus
          />
          <Scrolls label="Outcomes" className="max-h-80">
            {frameworks.map((framework) => (
              <Branch
                key={framework.id}
                framework={framework}
                search={search}
                chosen={chosen}
                onToggle={onToggle}
                alone={frameworks.length === 1}
              />
            ))}
          </Scrolls>
        </>
      )}
      <div className="mt-4 flex flex-wrap justify-end gap-2">{children}</div>
    </Dialog>
  );
}

function Branch({
  framework,
  search,
  chosen,
  onToggle,
  alone,
}: Pick<Props, 'chosen' | 'onToggle'> & { framework: Framework; search: string; alone: boolean }) {
  // A withdrawn one can be taken off what has it, and put on nothing.
  const rows = rowsOf(framework, search).filter(({ withdrawn, id }) => !withdrawn || chosen.has(id));
  if (rows.length === 0) return alone ? <p className="text-mute">None is called so.</p> : null;
  return (
    <fieldset className="mb-3">
      <legend className="font-semibold">{framework.title}</legend>
      {rows.slice(0, MAX_SHOWN).map((row) => (
        <label key={row.id} className="flex gap-2 py-1" style={{ paddingInlineStart: `${row.depth * 1.25}rem` }}>
          <input
            type="checkbox"
            className="checkbox checkbox-sm mt-0.5"
            checked={chosen.has(row.id)}
            onChange={(event) => onToggle(row.id, event.target.checked)}
          />
          <span dir="auto">
            {row.code !== '' && <strong>{row.code} </strong>}
            {row.words}
            {row.withdrawn && <span className="text-mute"> (withdrawn)</span>}
          </span>
        </label>
      ))}
      {rows.length > MAX_SHOWN && (
        <p className="text-mute">{rows.length - MAX_SHOWN} more: type a code or words to find them.</p>
      )}
    </fieldset>
  );
}
