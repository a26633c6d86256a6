import { useLayoutEffect, useState } from 'react';
import { Alert } from '../../ui/Alert';
import { SmallPicture } from '../shared/SmallPicture';
import { useDragged } from './Dragging';
import { findingsInWords, questionsInWords } from './inWords';
import type { ListProps } from './QuestionList';
import { RowTools } from './RowTools';
import { useRows, withChoice } from './useRows';
import type { Row } from './useVault';

/** CSS pixels: a card with the gap below it, and the least width of one. */
const CARD = { h: 320, w: 290 };
const PICTURE = { w: 268, h: 180 };
const GAP = 12;

/** The same as a list, seen as pictures in which words can be read. */
export function QuestionCards({ sought, first, chosen, onChoose, empty }: Omit<ListProps, 'onSort' | 'onTag'>) {
  const [perLine, setPerLine] = useState(3);
  const { body, shown, rowAt, total, isBroken, before, after } = useRows(sought, first, perLine, CARD.h);
  useLayoutEffect(() => {
    const list = body.current;
    if (!list) return;
    const fit = () => setPerLine(Math.max(1, Math.floor((list.clientWidth + GAP) / (CARD.w + GAP))));
    const watch = new ResizeObserver(fit);
    watch.observe(list);
    return () => watch.disconnect();
  }, [body]);
  if (isBroken) return <Alert tone="problem">{isBroken.message}</Alert>;
  if (total === 0) return empty;
  return (
    <>
      <p role="status" className="sr-only">
        {total === null ? '' : questionsInWords(total)}
      </p>
      <ul
        ref={body}
        className="grid"
        style={{ gridTemplateColumns: `repeat(${perLine}, minmax(0, 1fr))`, columnGap: GAP }}
        aria-label="Questions"
      >
        {before > 0 && <li aria-hidden className="col-span-full" style={{ height: before }} />}
        {shown.map((index) => {
          const row = rowAt(index);
          return row ? (
            <Card
              key={row.id}
              row={row}
              inBin={sought.shelf === 'bin'}
              chosen={chosen.has(row.id)}
              onChoose={(on) => onChoose(withChoice(chosen, row.id, on))}
            />
          ) : (
            <li key={`waiting-${index}`} aria-hidden style={{ height: CARD.h }}>
              <span className="block bg-rule/40 rounded" style={{ height: CARD.h - GAP }} />
            </li>
          );
        })}
        {after > 0 && <li aria-hidden className="col-span-full" style={{ height: after }} />}
      </ul>
    </>
  );
}

interface CardProps {
  row: Row;
  inBin: boolean;
  chosen: boolean;
  onChoose: (on: boolean) => void;
}

function Card({ row, inBin, chosen, onChoose }: CardProps) {
  const title = row.title || 'Untitled question';
  const isOwn = row.access === 'own';
  const { dragRef, listeners, isDragging } = useDragged(
    `question-${row.id}`,
    isOwn && !inBin ? { question: row } : null,
  );
  return (
    <li style={{ height: CARD.h }} className={isDragging ? 'opacity-50' : undefined}>
      <div
        className={`flex flex-col gap-1 border bg-sheet p-2 ${chosen ? 'border-brass' : 'border-rule'}`}
        style={{ height: CARD.h - GAP }}
      >
        <span
          ref={dragRef}
          {...listeners}
          className={`grid place-items-center bg-paper ${isOwn && !inBin ? 'cursor-grab' : ''}`}
          title={isOwn && !inBin ? 'Drag it onto a shelf' : undefined}
        >
          {inBin ? (
            <span style={{ height: PICTURE.h }} />
          ) : (
            <SmallPicture id={row.id} changedAt={row.changedAt} size={PICTURE} />
          )}
        </span>
        <span className="flex items-start gap-2">
          {isOwn && (
            <input
              type="checkbox"
              className="checkbox checkbox-sm mt-1"
              aria-label={`Choose ${title}`}
              checked={chosen}
              onChange={(event) => onChoose(event.target.checked)}
            />
          )}
          <span className="min-w-0 grow">
            {inBin ? (
              <span className="block font-semibold truncate">{title}</span>
            ) : (
              <a href={`/bench/${row.id}`} className="block font-semibold link-brass truncate" title={title}>
                {title}
              </a>
            )}
            <span className="block text-sm text-mute truncate">
              <span className="capitalize">{row.kind}</span>
              {isOwn ? '' : ` · ${row.owner}`} · findings: {findingsInWords(row.findings)}
            </span>
          </span>
        </span>
        <RowTools row={row} inBin={inBin} />
      </div>
    </li>
  );
}
