import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, GripVertical, Plus, Shuffle, X } from 'lucide-react';
import { useState } from 'react';
import { asksOf, pointsOf } from '../../core';
import { numberFrom } from '../../ui/numbers';
import { Typed } from '../../ui/Typed';
import { KIND_NAMES } from '../shared/kindNames';
import { minutesInWords } from '../shared/minutesInWords';
import {
  type Entry,
  firstDraw,
  type Part,
  partMoved,
  questionDropped,
  shifted,
  withoutPart,
  withoutQuestion,
  withPart,
} from './content';

const MAX_POINTS = 1000;
const MAX_SECTIONS = 50;
/** The arrows do the same, and say it: a drag announces nothing. */
const SILENT = {
  onDragStart: () => undefined,
  onDragOver: () => undefined,
  onDragEnd: () => undefined,
  onDragCancel: () => undefined,
};
/** Sections stay where they are while one is dragged over them. */
const STILL = () => null;

const headId = (part: number) => `section ${part}`;
const headIn = (id: string): number | null => (id.startsWith('section ') ? Number(id.slice('section '.length)) : null);

/** The questions of a set in their order, in one or more sections, with what each counts. */
export function SectionsEditor({
  sections,
  onChange,
}: {
  sections: readonly Part[];
  onChange: (sections: Part[]) => void;
}) {
  const named = sections.length > 1 || sections.some(({ title, draw, shuffled }) => title !== '' || draw || shuffled);
  const before = (part: number) => sections.slice(0, part).reduce((sum, { questions }) => sum + questions.length, 0);
  const [dragged, setDragged] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 120, tolerance: 8 } }),
  );
  const ids = sections.flatMap(({ questions }, s) => [...(named ? [headId(s)] : []), ...questions.map(({ id }) => id)]);
  const drop = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    if (!over || over.id === active.id) return;
    const part = headIn(String(active.id));
    const head = headIn(String(over.id));
    if (part === null)
      return onChange(questionDropped(sections, String(active.id), head === null ? String(over.id) : { head }));
    const to = head ?? sections.findIndex(({ questions }) => questions.some(({ id }) => id === over.id));
    if (to !== part) onChange(partMoved(sections, part, to));
  };
  return (
    <>
      <DndContext
        id="set"
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{ announcements: SILENT }}
        onDragStart={({ active }) => setDragged(String(active.id))}
        onDragEnd={drop}
        onDragCancel={() => setDragged(null)}
      >
        <SortableContext
          items={ids}
          strategy={dragged !== null && headIn(dragged) !== null ? STILL : verticalListSortingStrategy}
        >
          {sections.map((part, s) => (
            // A section has no name of its own; its place is what it is known by.
            // biome-ignore lint/suspicious/noArrayIndexKey: see above
            <div key={s} className={named ? 'mb-6 border-l-3 border-rule pl-3' : ''}>
              {named && (
                <SectionHead
                  part={part}
                  number={s + 1}
                  count={sections.length}
                  onSet={(to) => onChange(withPart(sections, s, to))}
                  onShift={(by) => onChange(partMoved(sections, s, s + by))}
                  onRemove={() => onChange(withoutPart(sections, s))}
                />
              )}
              {part.questions.length === 0 && sections.length > 1 && (
                <p className="text-mute py-2">
                  Nothing is in this section yet: add questions from the Vault, or move some here.
                </p>
              )}
              <ol>
                {part.questions.map((entry, i) => (
                  <Row
                    key={entry.id}
                    entry={entry}
                    part={part}
                    number={before(s) + i + 1}
                    first={s === 0 && i === 0}
                    last={s === sections.length - 1 && i === part.questions.length - 1}
                    onPoints={(points) =>
                      onChange(
                        withPart(sections, s, {
                          questions: part.questions.map((question) =>
                            question.id === entry.id ? { ...question, points } : question,
                          ),
                        }),
                      )
                    }
                    onShift={(by) => onChange(shifted(sections, s, i, by))}
                    onRemove={() => onChange(withoutQuestion(sections, entry.id))}
                  />
                ))}
              </ol>
            </div>
          ))}
        </SortableContext>
      </DndContext>
      {sections.length > 0 && (
        <div className="flex flex-wrap gap-2 mt-2">
          {sections.length < MAX_SECTIONS && (
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() =>
                onChange([...sections, { title: `Section ${sections.length + 1}`, draw: null, questions: [] }])
              }
            >
              <Plus size={15} aria-hidden /> Begin a section
            </button>
          )}
          {!named && (
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() => onChange(withPart(sections, 0, { shuffled: true }))}
            >
              <Shuffle size={15} aria-hidden /> Shuffle for each attempt
            </button>
          )}
        </div>
      )}
    </>
  );
}

/** What is dragged by: beside it are arrows that do the same. */
function Grip({ sortable: { setActivatorNodeRef, listeners } }: { sortable: ReturnType<typeof useSortable> }) {
  return (
    <span
      ref={setActivatorNodeRef}
      {...listeners}
      className="cursor-grab text-mute touch-none py-2"
      title="Drag to another place"
      data-grip
    >
      <GripVertical size={16} aria-hidden />
    </span>
  );
}

const placeOf = ({ transform, transition, isDragging }: ReturnType<typeof useSortable>) => ({
  transform: CSS.Translate.toString(transform),
  transition,
  ...(isDragging
    ? { position: 'relative' as const, zIndex: 1, boxShadow: 'var(--shadow-lifted, 0 6px 16px #0003)' }
    : {}),
});

interface HeadProps {
  part: Part;
  number: number;
  count: number;
  onSet: (to: Partial<Part>) => void;
  onShift: (by: 1 | -1) => void;
  onRemove: () => void;
}

function SectionHead({ part, number, count, onSet, onShift, onRemove }: HeadProps) {
  const { title, draw, questions } = part;
  const name = title || `Section ${number}`;
  const points = (text: string) => numberFrom(text, 0, MAX_POINTS);
  const howMany = (text: string) => numberFrom(text, 1, Math.max(1, questions.length), true);
  const sortable = useSortable({ id: headId(number - 1), disabled: count === 1 });
  return (
    <div
      ref={sortable.setNodeRef}
      style={placeOf(sortable)}
      className={`mb-1 bg-paper ${sortable.isOver && !sortable.isDragging ? 'outline-2 outline-brass' : ''}`}
    >
      <div className="flex items-center gap-2">
        {count > 1 && <Grip sortable={sortable} />}
        <Typed
          label={`Title of section ${number}`}
          value={title}
          placeholder={`Section ${number}`}
          className="input input-sm font-semibold grow"
          problem={(text) => (text.length > 200 ? 'At most 200 characters' : null)}
          onTyped={(text) => onSet({ title: text.trim() })}
        />
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          aria-label={`Move ${name} up`}
          disabled={number === 1}
          onClick={() => onShift(-1)}
        >
          <ArrowUp size={15} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          aria-label={`Move ${name} down`}
          disabled={number === count}
          onClick={() => onShift(1)}
        >
          <ArrowDown size={15} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          onClick={onRemove}
          aria-label={`Join ${name} to its neighbour`}
          title="The section goes, its questions stay"
        >
          <X size={15} aria-hidden />
        </button>
      </div>
      <div className="flex flex-wrap items-center gap-2 py-1.5 min-h-11">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={draw !== null}
            onChange={(event) => onSet({ draw: event.target.checked ? firstDraw(part) : null })}
            aria-label={`Draw from ${name}`}
          />
          {draw ? 'Draw' : 'Draw some of these for each attempt'}
        </label>
        {draw && (
          <>
            <Typed
              label={`How many are drawn from ${name}`}
              value={String(draw.count)}
              className="input input-sm figures w-14 text-right"
              problem={(text) => howMany(text).problem}
              onTyped={(text) => onSet({ draw: { ...draw, count: howMany(text).value ?? draw.count } })}
            />
            of these {questions.length}, each for
            <Typed
              label={`Points of each question drawn from ${name}`}
              value={String(draw.points)}
              className="input input-sm figures w-16 text-right"
              problem={(text) => points(text).problem}
              onTyped={(text) => onSet({ draw: { ...draw, points: points(text).value ?? draw.points } })}
            />
            {draw.points === 1 ? 'point' : 'points'}
            {draw.count > questions.length && questions.length > 0 && (
              <span className="text-brick">There are only {asksOf(part)}.</span>
            )}
          </>
        )}
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={part.shuffled ?? false}
            onChange={(event) => onSet({ shuffled: event.target.checked })}
            aria-label={`Shuffle ${name}`}
          />
          Shuffle them for each attempt
        </label>
      </div>
    </div>
  );
}

interface RowProps {
  entry: Entry;
  part: Part;
  number: number;
  first: boolean;
  last: boolean;
  onPoints: (points: number | null) => void;
  onShift: (by: 1 | -1) => void;
  onRemove: () => void;
}

function Row({ entry, part, number, first, last, onPoints, onShift, onRemove }: RowProps) {
  const title = entry.title || 'Untitled question';
  const read = (text: string) =>
    text.trim() === '' ? { value: null, problem: null } : numberFrom(text, 0, MAX_POINTS);
  const sortable = useSortable({ id: entry.id });
  return (
    <li
      ref={sortable.setNodeRef}
      style={placeOf(sortable)}
      className="flex items-center gap-2 border-b border-rule py-1.5 bg-paper"
    >
      <Grip sortable={sortable} />
      <span className="figures text-mute w-5 text-right">{number}</span>
      <span className="grow min-w-0">
        <a className="link-brass font-semibold" href={`/bench/${entry.id}`}>
          {title}
        </a>
        <span className="block text-sm text-mute">
          {KIND_NAMES[entry.kind]} · {minutesInWords(entry.seconds)}
        </span>
      </span>
      {part.draw ? (
        <span className="figures w-16 text-right pr-3">{part.draw.points}</span>
      ) : (
        <Typed
          label={`Points of ${title}`}
          value={entry.points === null ? '' : String(entry.points)}
          placeholder={String(pointsOf({ draw: null }, { ...entry, points: null }))}
          className="input input-sm figures w-16 text-right"
          problem={(text) => read(text).problem}
          onTyped={(text) => onPoints(read(text).value)}
        />
      )}
      <button
        type="button"
        className="btn btn-quiet btn-sm"
        aria-label={`Move ${title} up`}
        disabled={first}
        onClick={() => onShift(-1)}
      >
        <ArrowUp size={15} aria-hidden />
      </button>
      <button
        type="button"
        className="btn btn-quiet btn-sm"
        aria-label={`Move ${title} down`}
        disabled={last}
        onClick={() => onShift(1)}
      >
        <ArrowDown size={15} aria-hidden />
      </button>
      <button type="button" className="btn btn-quiet btn-sm" aria-label={`Take ${title} out`} onClick={onRemove}>
        <X size={15} aria-hidden />
      </button>
    </li>
  );
}
