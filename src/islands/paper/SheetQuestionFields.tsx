import { Undo2 } from 'lucide-react';
import { type PointerEvent, useId } from 'react';
import type { SheetQuestion } from '../../contract';
import { lettersIn, type SheetAnswer } from '../../core';
import { OnSketch } from '../shared/OnSketch';
import { type Place, placesOf } from '../shared/paper/onPaper';
import type { SheetProblems } from './written';

interface Props {
  question: SheetQuestion;
  /** On the sheet. */
  number: number;
  answer: SheetAnswer;
  problems: SheetProblems;
  onChange: (answer: SheetAnswer) => void;
}

/** The fields of one question: one for each numbered place, or its picture to mark on. */
export function SheetQuestionFields({ question, number, answer, problems, onChange }: Props) {
  const { document, struck } = question;
  const places = placesOf({ ...question, question: document });
  const hides = document.zones.some(({ hidden }) => hidden);
  const textAt = (place: number) => answer.places.find((candidate) => candidate.number === place)?.text ?? '';
  const write = (place: number, text: string) =>
    onChange({
      ...answer,
      places: [...answer.places.filter((candidate) => candidate.number !== place), { number: place, text }],
    });
  return (
    <fieldset className="border-t border-rule mt-5 pt-3">
      <legend className="float-left w-full font-semibold">
        {number}. {document.title || 'Untitled question'}
        {struck && <span className="font-normal text-mute"> · struck: it counts for nobody</span>}
      </legend>
      <div className="clear-both grid gap-3 grid-cols-[repeat(auto-fill,minmax(10rem,1fr))]">
        {places.map((place) => (
          <PlaceField
            key={place.number}
            question={question}
            place={place}
            text={textAt(place.number)}
            problem={problems.places.get(place.number)}
            onChange={(text) => write(place.number, text)}
          />
        ))}
      </div>
      {hides && <MarksField question={question} answer={answer} problem={problems.marks} onChange={onChange} />}
    </fieldset>
  );
}

interface PlaceProps {
  question: SheetQuestion;
  place: Place;
  text: string;
  problem: string | undefined;
  onChange: (text: string) => void;
}

/** What is written at one number, and below it how that is read. */
function PlaceField({ question, place: { number, title, typed }, text, problem, onChange }: PlaceProps) {
  const { document, letters } = question;
  const read = typed
    ? ''
    : lettersIn(text, letters)
        .map((letter) => document.items[letters.indexOf(letter)]?.label ?? `${letter}?`)
        .join(', ');
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="flex items-baseline gap-2">
        <b className="figures">{number}</b> <span className="text-mute truncate">{title}</span>
      </label>
      <input
        id={id}
        type="text"
        className={`input w-full ${typed ? '' : 'uppercase placeholder:normal-case'} ${problem ? 'input-error' : ''}`}
        value={text}
        maxLength={500}
        autoComplete="off"
        autoCapitalize={typed ? 'off' : 'characters'}
        spellCheck={false}
        placeholder={typed ? 'words' : 'letters'}
        aria-invalid={problem ? true : undefined}
        aria-describedby={`${id}-read`}
        onChange={({ target }) => onChange(target.value)}
      />
      <span id={`${id}-read`} className={`text-sm min-h-5 ${problem ? 'text-brick' : 'text-mute'}`}>
        {problem ?? read}
      </span>
    </div>
  );
}

interface MarksProps {
  question: SheetQuestion;
  answer: SheetAnswer;
  problem: string | null;
  onChange: (answer: SheetAnswer) => void;
}

/** The half of a cross, in scene units. */
const ARM = 9;

/** Where a learner put crosses on the picture: pressed where they are. */
function MarksField({ question: { document }, answer, problem, onChange }: MarksProps) {
  const { marks } = answer;
  const press = ({ currentTarget, clientX, clientY }: PointerEvent<SVGRectElement>) => {
    const at = currentTarget.getBoundingClientRect();
    const x = ((clientX - at.left) / at.width) * document.scene.width;
    const y = ((clientY - at.top) / at.height) * document.scene.height;
    onChange({ ...answer, marks: [...marks, { x: Math.round(x), y: Math.round(y) }] });
  };
  const bare = { ...document, zones: document.zones.filter(({ hidden }) => !hidden), items: [], tray: null };
  return (
    <div className="mt-2">
      <p className="text-mute mb-2">Press on the picture where the crosses are.</p>
      <OnSketch document={bare} label={`${marks.length} crosses`}>
        {marks.map(({ x, y }, i) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: two crosses may lie on one point
            key={i}
            d={`M${x - ARM} ${y - ARM}l${2 * ARM} ${2 * ARM}m0 ${-2 * ARM}l${-2 * ARM} ${2 * ARM}`}
            stroke="var(--color-ink)"
            strokeWidth={4}
            strokeLinecap="round"
          />
        ))}
        <rect
          width={document.scene.width}
          height={document.scene.height}
          fill="transparent"
          className="cursor-crosshair"
          onPointerUp={press}
        />
      </OnSketch>
      <p className="flex items-center gap-3 mt-2">
        <span role="status" className={problem ? 'text-brick' : ''}>
          {problem ?? (marks.length === 1 ? '1 cross' : `${marks.length} crosses`)}
        </span>
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          disabled={marks.length === 0}
          onClick={() => onChange({ ...answer, marks: marks.slice(0, -1) })}
        >
          <Undo2 size={16} aria-hidden /> Take the last back
        </button>
      </p>
    </div>
  );
}
