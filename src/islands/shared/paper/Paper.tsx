import type { ReactNode } from 'react';
import { carrierOf, FINGER, onScene, outlineOf, paperForm, type Question, type Rich } from '../../../core';
import { ItemFace, MediaFrom, RichText, Sketch } from '../../../scene';
import { Slots } from '../../../scene/slots';
import { phrase } from '../../../words';
import { benchMedia, mediumUrl } from '../ownMedia';
import { answersOf, choicesAt, drawnOnPaper, listed, type OnPaper, type Place, placesOf, toldOn } from './onPaper';
import './paper.css';

/** What is put on paper: the questions, lines to write the answers on, or the answers. */
export type Sheet = 'questions' | 'lines' | 'answers';

export interface PaperQuestion extends OnPaper {
  readonly points: number;
  /** The section it begins; null: it stands in the one before it. */
  readonly begins: string | null;
}
export interface PaperSource {
  readonly title: string;
  readonly text: Rich | null;
  readonly picture: { readonly hash: string; readonly description: string } | null;
  /** The question before which it stands. */
  readonly before: number;
}
interface Props {
  title: string;
  sheet: Sheet;
  /** Which of the sheets: what was drawn, and in which order. */
  variant: number;
  questions: readonly PaperQuestion[];
  sources: readonly PaperSource[];
}

/** The width of a printed line and the height that leaves room for writing, in CSS pixels. */
const WIDTH = 640;
const HIGHEST = 560;

/** A set or a release on paper, in black and white. Drawn on the server: nothing of it moves. */
export function Paper({ title, sheet, variant, questions, sources }: Props) {
  const total = questions.reduce((sum, { points }) => sum + points, 0);
  return (
    <article className="paper">
      {/* Stands at the top of every page. */}
      <p className="paper-running">
        <span>{title}</span>
        <b>{phrase('paper.variant', { n: variant })}</b>
      </p>
      <div className="paper-body">
        <header>
          <h1>
            {sheet === 'questions'
              ? title
              : phrase(sheet === 'answers' ? 'paper.answers' : 'paper.answerSheet', { title })}
          </h1>
          {sheet !== 'answers' && (
            <p className="paper-who">
              <span>{phrase('paper.name')}</span>
              <span>{phrase('paper.date')}</span>
              <span>
                {phrase('paper.points')} <b>&emsp;&emsp;/ {round(total)}</b>
              </span>
            </p>
          )}
        </header>
        {questions.map((question, i) => (
          <div key={question.question.id}>
            {question.begins && <h2 className="paper-section">{question.begins}</h2>}
            {sheet === 'questions' &&
              sources
                .filter(({ before, text, picture }) => before === i && (text || picture))
                .map((source) => <Source key={source.title} source={source} />)}
            <section className={`paper-question ${sheet === 'questions' ? 'paper-whole' : ''}`}>
              <h3>
                <span>{i + 1}.</span>{' '}
                <span className="grow">{question.question.title || phrase('paper.untitled')}</span>
                <span className="paper-points">{phrase('paper.pointCount', { n: round(question.points) })}</span>
              </h3>
              {sheet === 'questions' && <Asked asked={question} />}
              {sheet === 'lines' && <Lines asked={question} />}
              {sheet === 'answers' && <Answers asked={question} />}
            </section>
          </div>
        ))}
      </div>
    </article>
  );
}

function Asked({ asked }: { asked: OnPaper }) {
  const { question } = asked;
  const form = paperForm(question);
  const told = toldOn(asked);
  return (
    <MediaFrom source={benchMedia(question.media)}>
      {question.prompt && <RichText rich={question.prompt} />}
      {told && <p className="paper-told">{told}</p>}
      {form === 'drawing' ? <Drawing asked={asked} /> : <Texts asked={asked} />}
      <Things asked={asked} ticks={form === 'ticks'} />
      {form !== 'ticks' && form !== 'text' && <Places places={placesOf(asked)} wide={form === 'lists'} />}
    </MediaFrom>
  );
}

/** The texts of a question, as wide as the page; gaps are lines to write on. */
function Texts({ asked }: { asked: OnPaper }) {
  const texts = asked.question.fixtures.flatMap((fixture) =>
    fixture.type === 'text' && fixture.text ? [{ id: fixture.id, text: fixture.text, y: fixture.y, x: fixture.x }] : [],
  );
  return (
    <Slots value={(zone) => <Gap asked={asked} zone={zone} />}>
      {texts
        .toSorted((a, b) => a.y - b.y || a.x - b.x)
        .map(({ id, text }) => (
          <div key={id} className="paper-text">
            <RichText rich={text} />
          </div>
        ))}
    </Slots>
  );
}

/** A gap to write into, by its number; after it what a menu of its own offers. */
function Gap({ asked, zone }: { asked: OnPaper; zone: string }) {
  const at = asked.question.zones.findIndex(({ id }) => id === zone);
  const found = asked.question.zones[at];
  const choices = found ? choicesAt(asked, found) : [];
  return (
    <>
      <span className="paper-gap">
        <Badge>{asked.numbers[at]}</Badge>
      </span>
      {choices.length > 0 && <small className="paper-choices"> ({choices.join(' / ')})</small>}
    </>
  );
}

const Badge = ({ children }: { children: ReactNode }) => <b className="paper-number">{children}</b>;

/** What is placed, by its letters: a list to read, or choices with boxes to tick. */
function Things({ asked, ticks }: { asked: OnPaper; ticks: boolean }) {
  const { question, letters } = asked;
  const shown = listed(asked);
  if (shown.length === 0 || question.zones.some(({ hidden }) => hidden)) return null;
  return (
    <ul className={ticks ? 'paper-ticks' : 'paper-things'}>
      {shown.map((i) => {
        const item = question.items[i];
        if (!item) return null;
        return (
          <li key={item.id}>
            {ticks && <span className="paper-box" aria-hidden />}
            <b className="paper-letter">{letters[i]}</b>
            <Face question={question} i={i} />
            <Copies copies={item.copies} />
          </li>
        );
      })}
    </ul>
  );
}

function Copies({ copies }: { copies: Question['items'][number]['copies'] }) {
  if (copies === 1) return null;
  return <small>({copies === 'endless' ? phrase('paper.anyNumber') : phrase('paper.times', { n: copies })})</small>;
}

/** The widest that a picture stands among what is placed, in CSS pixels. */
const FACE = 150;

/** The words of an item, or its picture as large as it is drawn. */
function Face({ question, i }: { question: Question; i: number }) {
  const item = question.items[i];
  if (!item) return null;
  if (!item.content?.picture)
    return item.content?.text ? <RichText rich={item.content.text} /> : <span>{item.label}</span>;
  const scale = Math.min(1, FACE / item.size.w, FACE / item.size.h);
  const [width, height] = [Math.max(FINGER, item.size.w * scale), Math.max(FINGER, item.size.h * scale)];
  return (
    <span className="paper-face" style={{ width, height }}>
      <ItemFace label={item.label} lang={item.lang} content={item.content} state="rest" width={width} />
    </span>
  );
}

/** The scene with numbers at its places and letters on what lies there. */
function Drawing({ asked }: { asked: OnPaper }) {
  const { question, homes, letters, numbers } = asked;
  const drawn = drawnOnPaper(asked);
  const { width, height } = drawn.scene;
  const wide = Math.round(Math.min(WIDTH, (HIGHEST * width) / height));
  const scale = wide / width;
  const at = (x: number, y: number) => ({ left: x * scale, top: y * scale });
  return (
    <div className="paper-drawing">
      <Slots value={(zone) => <Gap asked={asked} zone={zone} />}>
        <Sketch question={drawn} width={wide} />
      </Slots>
      {question.zones.map((zone, i) => {
        if (numbers[i] === null || zone.shape.type === 'slot') return null;
        const { shape, rotation } = onScene(zone.shape, zone.rotation, carrierOf(question, zone, homes));
        const box = outlineOf(shape, rotation)?.box;
        return (
          box && (
            <span key={zone.id} className="paper-at" style={at(box.x, box.y)}>
              <Badge>{numbers[i]}</Badge>
            </span>
          )
        );
      })}
      {drawn.items.map(({ id, home, size }) => {
        const letter = letters[question.items.findIndex((item) => item.id === id)];
        return (
          home &&
          letter && (
            <span key={id} className="paper-at" style={at(home.x + size.w / 2, home.y)}>
              <b className="paper-letter">{letter}</b>
            </span>
          )
        );
      })}
    </div>
  );
}

/** A line to write on for each place. */
function Places({ places, wide = false }: { places: readonly Place[]; wide?: boolean }) {
  if (places.length === 0) return null;
  return (
    <ol
      className={
        wide || places.some(({ title, typed }) => typed || title.length > 24) ? 'paper-places wide' : 'paper-places'
      }
    >
      {places.map(({ number, title, begins }) => (
        <li key={number}>
          <Badge>{number}</Badge>
          {title && <span>{title}</span>}
          <span className="paper-line">{begins.join(' ')}</span>
        </li>
      ))}
    </ol>
  );
}

/** The answers of a question on a sheet of their own: a line for each place. */
function Lines({ asked }: { asked: OnPaper }) {
  const places = placesOf(asked);
  if (asked.question.zones.some(({ hidden }) => hidden)) return <p>{phrase('paper.answerOnPage')}</p>;
  return <Places places={places} />;
}

function Answers({ asked }: { asked: OnPaper }) {
  const lines = answersOf(asked);
  if (lines.length === 0) return <p>{phrase('paper.noKey')}</p>;
  return (
    <table>
      <tbody>
        {lines.map(({ place, answer }, i) => (
          // Two places may have one name.
          // biome-ignore lint/suspicious/noArrayIndexKey: see above
          <tr key={i}>
            <th scope="row">{place}</th>
            <td>{answer}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Source({ source: { title, text, picture } }: { source: PaperSource }) {
  return (
    <aside className="paper-source">
      <h3>{title || phrase('paper.source')}</h3>
      {text && <RichText rich={text} />}
      {picture && <img src={mediumUrl(picture.hash)} alt={picture.description} />}
    </aside>
  );
}

const round = (points: number) => Math.round(points * 100) / 100;
