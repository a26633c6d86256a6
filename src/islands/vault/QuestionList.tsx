import { useState } from 'react';
import type * as contract from '../../contract';
import { moment } from '../../ui';
import { Alert } from '../../ui/Alert';
import { SmallPicture } from '../shared/SmallPicture';
import { useDragged } from './Dragging';
import { findingsInWords, questionsInWords } from './inWords';
import { RowTools } from './RowTools';
import { useRows, withChoice } from './useRows';
import type { Page, Row, Sought } from './useVault';

const ROW = 68;

export interface ListProps {
  sought: Sought;
  first: { sought: Sought; page: Page };
  chosen: ReadonlySet<string>;
  onChoose: (chosen: ReadonlySet<string>) => void;
  onSort: (sort: Sought['sort']) => void;
  onTag: (tag: string) => void;
  empty: React.ReactNode;
}

/** The result of a search in the Vault, of any length: only visible rows are drawn, and only their pages are loaded. */
export function QuestionList({ sought, first, chosen, onChoose, onSort, onTag, empty }: ListProps) {
  const { body, count, shown, rowAt, total, isBroken, before, after } = useRows(sought, first, 1, ROW);
  if (isBroken) return <Alert tone="problem">{isBroken.message}</Alert>;
  if (total === 0) return empty;
  const inBin = sought.shelf === 'bin';
  const heading = (sort: NonNullable<contract.Sought['sort']>, words: string) => (
    <button
      type="button"
      className="inline-flex items-center gap-1 cursor-pointer hover:text-ink"
      aria-pressed={(sought.sort || 'changed') === sort}
      onClick={() => onSort(sort === 'changed' ? '' : sort)}
    >
      {words}
      {(sought.sort || 'changed') === sort && <span aria-hidden>{sort === 'changed' ? '↓' : '↑'}</span>}
    </button>
  );
  return (
    <>
      <p role="status" className="sr-only">
        {total === null ? '' : questionsInWords(total)}
      </p>
      {/* A phone is shown cards; until the page knows that it is one, the table scrolls in itself. */}
      <div className="max-sm:overflow-x-auto">
        <table className="ledger-table w-full border-collapse table-fixed" aria-rowcount={count}>
          <caption className="sr-only">Questions</caption>
          <thead>
            <tr>
              <th scope="col" className="w-9">
                <span className="sr-only">chosen</span>
              </th>
              <th scope="col" className="w-28">
                <span className="sr-only">picture</span>
              </th>
              <th scope="col">{heading('title', 'title')}</th>
              <th scope="col" className="w-20">
                kind
              </th>
              <th scope="col" className="w-32 hidden md:table-cell">
                {heading('changed', 'changed')}
              </th>
              <th scope="col" className="w-32 hidden lg:table-cell">
                findings
              </th>
              <th scope="col" className="w-46">
                <span className="sr-only">what to do with it</span>
              </th>
            </tr>
          </thead>
          <tbody ref={body}>
            {before > 0 && (
              <tr aria-hidden style={{ height: before }}>
                <td colSpan={7} />
              </tr>
            )}
            {shown.map((index) => {
              const row = rowAt(index);
              return row ? (
                <Entry
                  key={row.id}
                  row={row}
                  index={index}
                  inBin={inBin}
                  chosen={chosen.has(row.id)}
                  onChoose={(on) => onChoose(withChoice(chosen, row.id, on))}
                  onTag={onTag}
                />
              ) : (
                <tr key={`waiting-${index}`} aria-hidden style={{ height: ROW }}>
                  <td colSpan={7}>
                    <span className="block h-4 w-1/3 bg-rule/50 rounded" />
                  </td>
                </tr>
              );
            })}
            {after > 0 && (
              <tr aria-hidden style={{ height: after }}>
                <td colSpan={7} />
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </>
  );
}

interface EntryProps {
  row: Row;
  index: number;
  inBin: boolean;
  chosen: boolean;
  onChoose: (on: boolean) => void;
  onTag: (tag: string) => void;
}

function Entry({ row, index, inBin, chosen, onChoose, onTag }: EntryProps) {
  const [looking, setLooking] = useState(false);
  const title = row.title || 'Untitled question';
  const isOwn = row.access === 'own';
  const { dragRef, listeners, isDragging } = useDragged(
    `question-${row.id}`,
    isOwn && !inBin ? { question: row } : null,
  );
  return (
    <tr style={{ height: ROW }} aria-rowindex={index + 2} className={isDragging ? 'opacity-50' : undefined}>
      <td>
        {isOwn && (
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            aria-label={`Choose ${title}`}
            checked={chosen}
            onChange={(event) => onChoose(event.target.checked)}
          />
        )}
      </td>
      <td className="py-1">
        {!inBin && (
          <span
            ref={dragRef}
            {...listeners}
            className={`block w-fit ${isOwn ? 'cursor-grab' : ''}`}
            onPointerEnter={(event) => event.pointerType === 'mouse' && setLooking(true)}
            onPointerLeave={() => setLooking(false)}
            title={isOwn ? 'Drag it onto a shelf' : undefined}
          >
            <SmallPicture id={row.id} changedAt={row.changedAt} large={looking && !isDragging} />
          </span>
        )}
      </td>
      <td>
        <span className="block truncate">
          {inBin ? (
            <span className="font-semibold">{title}</span>
          ) : (
            <a
              href={`/bench/${row.id}`}
              className="font-semibold link-brass inline-block leading-7"
              onFocus={(event) => event.target.matches(':focus-visible') && setLooking(true)}
              onBlur={() => setLooking(false)}
            >
              {title}
            </a>
          )}
          {!isOwn && <span className="text-mute text-sm"> {row.owner}</span>}
        </span>
        {row.tags.length > 0 && (
          <span className="flex gap-1 overflow-hidden">
            {row.tags.map((tag) => (
              <button
                key={tag}
                type="button"
                className="figures text-sm text-mute border border-rule px-1 min-w-6 h-6 cursor-pointer hover:text-ink whitespace-nowrap"
                onClick={() => onTag(tag)}
              >
                {tag}
              </button>
            ))}
          </span>
        )}
      </td>
      <td className="capitalize">{row.kind}</td>
      <td className="figures text-sm hidden md:table-cell">{moment(new Date(row.changedAt))}</td>
      <td
        className={`text-sm hidden lg:table-cell ${row.findings.error > 0 ? 'text-brick font-semibold' : 'text-mute'}`}
      >
        {findingsInWords(row.findings)}
      </td>
      <td>
        <RowTools row={row} inBin={inBin} />
      </td>
    </tr>
  );
}
