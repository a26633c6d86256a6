import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { Bookmark, Copy, ListTree, Trash2, Undo2 } from 'lucide-react';
import { useLayoutEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import type * as contract from '../../contract';
import { VAULT_PAGE } from '../../contract/limits';
import { moment } from '../../ui';
import { Alert } from '../../ui/Alert';
import { ask } from '../../ui/api';
import { useDragged } from './Dragging';
import { useDelete } from './moving';
import { SmallPicture } from './SmallPicture';
import { UsesDialog } from './UsesDialog';
import { changeMany, type Page, type Row, type Sought, usePages, useWrite } from './useVault';

const ROW = 68;
const BESIDE = 8;

interface Props {
  sought: Sought;
  first: { sought: Sought; page: Page };
  chosen: ReadonlySet<string>;
  onChoose: (chosen: ReadonlySet<string>) => void;
  onSort: (sort: Sought['sort']) => void;
  onTag: (tag: string) => void;
  empty: React.ReactNode;
}

const plural = (n: number, word: string) => (n === 0 ? '' : `${n} ${word}${n === 1 ? '' : 's'}`);
const findingsInWords = ({ error, warning, note }: Row['findings']) =>
  [plural(error, 'error'), plural(warning, 'warning'), plural(note, 'note')].filter(Boolean).join(', ') || 'none';

/** The result of a search in the Vault, of any length: only visible rows are drawn, and only their pages are loaded. */
export function QuestionList({ sought, first, chosen, onChoose, onSort, onTag, empty }: Props) {
  const body = useRef<HTMLTableSectionElement>(null);
  const [count, setCount] = useState(first.page.total);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop((body.current?.getBoundingClientRect().top ?? 0) + window.scrollY), []);
  const virtual = useWindowVirtualizer({ count, estimateSize: () => ROW, overscan: BESIDE, scrollMargin: top });
  const shown = virtual.getVirtualItems();
  const [from, to] = [shown[0]?.index ?? 0, shown.at(-1)?.index ?? VAULT_PAGE - 1];
  const numbers = Array.from(
    { length: Math.floor(to / VAULT_PAGE) - Math.floor(from / VAULT_PAGE) + 1 },
    (_, i) => Math.floor(from / VAULT_PAGE) + i,
  );
  const { pages, total, failed } = usePages(sought, numbers, first);
  useLayoutEffect(() => {
    if (total !== null) setCount(total);
  }, [total]);
  const rowAt = (index: number): Row | undefined =>
    pages.find((page) => page.from <= index && index < page.from + page.rows.length)?.rows[
      index - Math.floor(index / VAULT_PAGE) * VAULT_PAGE
    ];
  if (failed && pages.length === 0) return <Alert tone="problem">{failed.message}</Alert>;
  if (total === 0) return empty;
  const [before, after] = [
    (shown[0]?.start ?? top) - top,
    Math.max(0, virtual.getTotalSize() - ((shown.at(-1)?.end ?? top) - top)),
  ];
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
        {total === null ? '' : plural(total, 'question')}
      </p>
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
          {shown.map(({ index, key }) => {
            const row = rowAt(index);
            return row ? (
              <Entry
                key={row.id}
                row={row}
                index={index}
                inBin={inBin}
                chosen={chosen.has(row.id)}
                onChoose={(on) =>
                  onChoose(on ? new Set([...chosen, row.id]) : new Set([...chosen].filter((id) => id !== row.id)))
                }
                onTag={onTag}
              />
            ) : (
              <tr key={`waiting-${key}`} aria-hidden style={{ height: ROW }}>
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
  const [asking, setAsking] = useState(false);
  const [looking, setLooking] = useState(false);
  const title = row.title || 'Untitled question';
  const copy = useWrite(
    async () => ask('POST /api/questions/{id}/copies', { id: row.id, body: { id: crypto.randomUUID() } }),
    ({ id }) =>
      toast(`“${title}” was copied`, {
        action: { label: 'Open the copy', onClick: () => location.assign(`/bench/${id}`) },
      }),
  );
  const back = useWrite(() => changeMany({ ids: [row.id], deleted: false }));
  const remove = useDelete();
  const start = useWrite(() =>
    ask('PATCH /api/questions/{id}', { id: row.id, body: { startingPoint: !row.startingPoint } }),
  );
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
        <span className="grid grid-cols-2 justify-end">
          {inBin ? (
            <button
              type="button"
              className="btn btn-quiet btn-sm col-span-2"
              onClick={() => back.mutate(undefined)}
              aria-label={`Bring ${title} back`}
            >
              <Undo2 size={15} aria-hidden /> Bring back
            </button>
          ) : (
            <>
              <Tool
                label={`Uses of ${title}`}
                words="Uses"
                title="Where it is used"
                Icon={ListTree}
                onPress={() => setAsking(true)}
              />
              {isOwn && (
                <Tool
                  label={`Start: ${title} is a starting point`}
                  words="Start"
                  title="A starting point for others"
                  Icon={Bookmark}
                  pressed={row.startingPoint}
                  onPress={() => start.mutate(undefined)}
                />
              )}
              {row.access !== 'see' && (
                <Tool
                  label={`Copy ${title}`}
                  words="Copy"
                  title="Copy"
                  Icon={Copy}
                  onPress={() => copy.mutate(undefined)}
                />
              )}
              {isOwn && (
                <Tool
                  label={`Delete ${title}`}
                  words="Delete"
                  title="Delete"
                  Icon={Trash2}
                  onPress={() => remove.mutate({ ids: [row.id], title })}
                />
              )}
            </>
          )}
        </span>
        {asking && <UsesDialog id={row.id} title={title} onClose={() => setAsking(false)} />}
      </td>
    </tr>
  );
}

function Tool({
  label,
  words,
  title,
  Icon,
  pressed,
  onPress,
}: {
  label: string;
  words: string;
  title: string;
  Icon: typeof Copy;
  pressed?: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      className={`btn btn-quiet btn-xs h-7 px-1.5 justify-start font-normal ${pressed ? 'text-brass' : ''}`}
      title={title}
      aria-label={label}
      aria-pressed={pressed}
      onClick={onPress}
    >
      <Icon size={14} aria-hidden className="shrink-0" fill={pressed ? 'currentColor' : 'none'} /> {words}
    </button>
  );
}
