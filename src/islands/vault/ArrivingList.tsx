import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import type { ArrivingQuestion, LookedAtPackage } from '../../contract';
import type { MediaSource } from '../../scene';
import { Scrolls } from '../../ui';
import { KIND_NAMES } from '../shared/kindNames';
import { Fitted } from '../shared/SmallPicture';

const ROW_PIXELS = 76;

interface Props {
  questions: readonly ArrivingQuestion[];
  pictures: LookedAtPackage['pictures'];
  /** The places that are not ticked. */
  leftOut: ReadonlySet<number>;
  onTick: (place: number, ticked: boolean) => void;
}

/** The questions of a package before any is taken: what each becomes, and a box to tick. */
export function ArrivingList({ questions, pictures, leftOut, onTick }: Props) {
  const scroller = useRef<HTMLElement>(null);
  const virtual = useVirtualizer({
    count: questions.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PIXELS,
    overscan: 6,
  });
  const shown = virtual.getVirtualItems();
  return (
    <Scrolls ref={scroller} label="Questions of the package" className="max-h-80 border border-rule mt-2">
      <ul
        style={{
          paddingTop: shown[0]?.start ?? 0,
          paddingBottom: virtual.getTotalSize() - (shown.at(-1)?.end ?? 0),
        }}
      >
        {shown.map(({ index }) => {
          const question = questions[index];
          return (
            question && (
              <li key={index} ref={virtual.measureElement} data-index={index} className="border-b border-rule">
                <Row
                  arriving={question}
                  pictures={pictures}
                  ticked={!leftOut.has(index)}
                  onTick={(ticked) => onTick(index, ticked)}
                />
              </li>
            )
          );
        })}
      </ul>
    </Scrolls>
  );
}

interface RowProps {
  arriving: ArrivingQuestion;
  pictures: LookedAtPackage['pictures'];
  ticked: boolean;
  onTick: (ticked: boolean) => void;
}

function Row({ arriving: { title, kind, refused, approximations, question }, pictures, ticked, onTick }: RowProps) {
  const source: MediaSource = (id) => {
    const medium = question && Object.hasOwn(question.media, id) ? question.media[id] : undefined;
    const url = medium && pictures[medium.hash];
    return medium && url ? { url, kind: medium.kind, description: '' } : null;
  };
  return (
    <label className="flex gap-3 items-start p-2">
      <input
        type="checkbox"
        className="checkbox checkbox-sm mt-1"
        checked={ticked && refused === null}
        disabled={refused !== null}
        onChange={({ target }) => onTick(target.checked)}
      />
      <span
        className="grid place-items-center shrink-0 w-22 h-13 overflow-hidden bg-paper border border-rule"
        aria-hidden
      >
        {question && <Fitted question={question} source={source} />}
      </span>
      <span className="min-w-0">
        <span dir="auto" className="font-semibold wrap-anywhere">
          {title}
        </span>
        {kind && <span className="text-mute text-sm"> · {KIND_NAMES[kind]}</span>}
        {refused !== null && <span className="block text-brick text-sm">{refused}</span>}
        {approximations.map((message) => (
          <span key={message} className="block text-sm">
            {message}
          </span>
        ))}
      </span>
    </label>
  );
}
