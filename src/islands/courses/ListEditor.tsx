import { ArrowDown, ArrowUp, Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Typed } from '../../ui/Typed';

interface Named {
  readonly id: string;
  readonly title: string;
}
interface Props<Row extends Named> {
  /** The name of one entry. */
  one: string;
  rows: readonly Row[];
  most: number;
  /** They stand in an order of their own. */
  ordered?: boolean;
  fresh: (title: string) => Row;
  onChange: (rows: Row[]) => void;
  onRemove: (row: Row) => void;
  more?: (row: Row, onSet: (row: Row) => void) => ReactNode;
}

/** An editor of a short list of named things: rename, sort, add. */
export function ListEditor<Row extends Named>({
  one,
  rows,
  most,
  ordered = false,
  fresh,
  onChange,
  onRemove,
  more,
}: Props<Row>) {
  const set = (row: Row) => onChange(rows.map((other) => (other.id === row.id ? row : other)));
  const place = (from: number, to: number) =>
    onChange(rows.toSpliced(from, 1).toSpliced(to, 0, ...rows.slice(from, from + 1)));
  return (
    <>
      <ol>
        {rows.map((row, i) => (
          <li key={row.id} className="flex items-center gap-2 border-b border-rule py-1.5">
            <Typed
              label={`Name of ${one} ${i + 1}`}
              value={row.title}
              className="input input-sm grow"
              problem={(text) =>
                text.trim() === '' ? 'Give it a name' : text.length > 100 ? 'At most 100 characters' : null
              }
              onTyped={(text) => set({ ...row, title: text.trim() })}
            />
            {more?.(row, set)}
            {ordered && (
              <>
                <button
                  type="button"
                  className="btn btn-quiet btn-sm"
                  aria-label={`Move ${row.title} up`}
                  disabled={i === 0}
                  onClick={() => place(i, i - 1)}
                >
                  <ArrowUp size={15} aria-hidden />
                </button>
                <button
                  type="button"
                  className="btn btn-quiet btn-sm"
                  aria-label={`Move ${row.title} down`}
                  disabled={i === rows.length - 1}
                  onClick={() => place(i, i + 1)}
                >
                  <ArrowDown size={15} aria-hidden />
                </button>
              </>
            )}
            <button
              type="button"
              className="btn btn-quiet btn-sm"
              aria-label={`Remove ${row.title}`}
              onClick={() => onRemove(row)}
            >
              <X size={15} aria-hidden />
            </button>
          </li>
        ))}
      </ol>
      {rows.length < most && (
        <button
          type="button"
          className="btn btn-quiet mt-2"
          onClick={() => onChange([...rows, fresh(`${one[0]?.toUpperCase()}${one.slice(1)} ${rows.length + 1}`)])}
        >
          <Plus size={15} aria-hidden /> Add a {one}
        </button>
      )}
    </>
  );
}
