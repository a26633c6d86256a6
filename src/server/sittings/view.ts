import { eq } from 'drizzle-orm';
import { type QuestionView, questionView, type Rich } from '../../core';
import { richFromPlain } from '../../core/document';
import type { Context } from '../context';
import { standing } from '../database/tables';
import type { MediumKind } from '../media/kinds';
import type { OpenEdition } from '../releases/editions';
import type { At } from './standing';

/** Where one is in a set. */
export interface Place {
  /** From 0. */
  at: number;
  count: number;
  goBack: boolean;
  reached: number;
  tried: number[];
  ended: number[];
  /** The part of the set it stands in; empty: it has no name. */
  section: string;
  /** Nothing is told before the end, so there is no check to ask for. */
  quiet: boolean;
  /** The sitting is over and looked at only. */
  finished: boolean;
}

/** A source in a learner's terms; its medium and captions are asked for by its number. */
export interface SourceView {
  n: number;
  title: string;
  text: Rich | null;
  medium: { kind: MediumKind; description: string } | null;
  captioned: boolean;
  /** Of a film that lies elsewhere. */
  address: string | null;
}

export interface SittingView extends QuestionView {
  id: string;
  release: string;
  course: string;
  /** The number of the last move the server has. */
  last: number;
  place: Place;
  /** What stands beside the question. */
  sources: SourceView[];
  /** When it has to end, and how many seconds that is from now by the server's clock; null: when the learner likes. */
  ends: { at: string; seconds: number } | null;
}

export const viewOf = (at: At): QuestionView & { id: string; last: number } => ({ id: at.sitting.id, last: at.sitting.last, ...questionView(at, at.standing) });

export const sourcesOf = (sources: OpenEdition['sources'], question: number): SourceView[] =>
  sources.flatMap(({ title, text, medium, captions, address, questions }, n) =>
    questions.includes(question)
      ? [{ n, title, text: richFromPlain(text), medium: medium && { kind: medium.kind, description: medium.description }, captioned: captions !== '', address: address || null }]
      : [],
  );

export const endsOf = ({ sitting: { endsAt } }: At, now: Date): SittingView['ends'] =>
  endsAt && { at: endsAt.toISOString(), seconds: Math.max(0, Math.round((endsAt.getTime() - now.getTime()) / 1000)) };

export async function placeOf({ db }: Pick<Context, 'db'>, at: At, { sections }: OpenEdition, asked: readonly number[]): Promise<Omit<Place, 'quiet' | 'finished'>> {
  const rows = await db.select({ question: standing.question, ended: standing.ended }).from(standing).where(eq(standing.sittingId, at.sitting.id));
  const places = (all: typeof rows) => all.map(({ question }) => asked.indexOf(question)).filter((place) => place !== -1);
  return {
    at: at.place,
    count: asked.length,
    goBack: at.goBack,
    reached: at.sitting.reached,
    tried: places(rows),
    ended: places(rows.filter(({ ended }) => ended)),
    section: sections.find(({ questions }) => questions.includes(at.question))?.title ?? '',
  };
}
