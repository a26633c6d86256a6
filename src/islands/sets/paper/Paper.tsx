import { drawnBySeed, type Question, type Rich } from '../../../core';
import { MediaFrom, RichText, Sketch } from '../../../scene';
import { Slots } from '../../../scene/slots';
import { phrase } from '../../../words';
import { benchMedia, mediumUrl } from '../../shared/ownMedia';
import { answersOf, onPaper, zoneNames } from './onPaper';
import './paper.css';

/** What is put on paper: the questions, lines to write the answers on, or the answers. */
export type Sheet = 'questions' | 'lines' | 'answers';

export interface PaperQuestion {
  readonly question: Question;
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
  /** The number of the variant. */
  seed: string;
  questions: readonly PaperQuestion[];
  sources: readonly PaperSource[];
}

const WIDTH = 640;
const HIGHEST = 560;

/** A set on paper, in black and white. Drawn on the server: nothing of it moves. */
export function Paper({ title, sheet, seed, questions, sources }: Props) {
  const total = questions.reduce((sum, { points }) => sum + points, 0);
  return (
    <article className="paper">
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
      {questions.map(({ question: whole, points, begins }, i) => {
        // Questions and answers of one variant are of one draw.
        const question = drawnBySeed(whole, `${seed}/${whole.id}`);
        return (
          <div key={question.id}>
            {begins && <h2 className="paper-section">{begins}</h2>}
            {sheet === 'questions' &&
              sources
                .filter(({ before }) => before === i)
                .map((source) => <Source key={source.title} source={source} />)}
            <section className="paper-question">
              <h3>
                <span>{i + 1}.</span> <span className="grow">{question.title || phrase('paper.untitled')}</span>
                <span className="paper-points">{phrase('paper.pointCount', { n: round(points) })}</span>
              </h3>
              {sheet === 'questions' ? (
                <Asked question={question} seed={`${seed}/${question.id}`} />
              ) : (
                <Answers question={question} blank={sheet === 'lines'} />
              )}
            </section>
          </div>
        );
      })}
    </article>
  );
}

function Asked({ question, seed }: { question: Question; seed: string }) {
  const shown = onPaper(question, seed);
  const names = zoneNames(question);
  const { width, height } = shown.scene;
  return (
    <>
      {question.prompt && <RichText rich={question.prompt} />}
      <MediaFrom source={benchMedia(question.media)}>
        <Slots value={(zone) => <Gap question={question} zone={zone} name={names.get(zone) ?? ''} />}>
          <Sketch question={shown} width={Math.round(Math.min(WIDTH, (HIGHEST * width) / height))} />
        </Slots>
      </MediaFrom>
    </>
  );
}

/** A gap to write into; one answered from a menu names what there is to choose from. */
function Gap({ question, zone, name }: { question: Question; zone: string; name: string }) {
  const found = question.zones.find(({ id }) => id === zone);
  const choices = found?.menu
    ? question.items.filter(({ family }) => found.family === null || family === found.family).map(({ label }) => label)
    : [];
  return (
    <span className="paper-gap">
      <small>{name}</small>
      {choices.length > 0 ? ` ${choices.join(' / ')} ` : ''}
    </span>
  );
}

function Answers({ question, blank }: { question: Question; blank: boolean }) {
  const names = zoneNames(question);
  const lines = blank
    ? question.zones.filter(({ hidden }) => !hidden).map(({ id }) => ({ zone: names.get(id) ?? '', answer: '' }))
    : answersOf(question);
  if (lines.length === 0) return <p>{phrase(blank ? 'paper.answerOnPage' : 'paper.noKey')}</p>;
  return (
    <table>
      <tbody>
        {lines.map(({ zone, answer }, i) => (
          // Two zones may have one label.
          // biome-ignore lint/suspicious/noArrayIndexKey: see above
          <tr key={i}>
            <th scope="row">{zone}</th>
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
