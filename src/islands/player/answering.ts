import { type Board, type Fixture, type FixtureAnswer, holdsByArrangement, isPutAway, type Said } from '../../core';
import { phrase } from '../../words';
import { plain } from './plain';
import type { PlayerData } from './reducer';

/** A fixture as it stands now. `content`: what it shows instead of itself. `answers`: because something has happened. */
export interface FixtureNow {
  readonly fixture: Fixture;
  readonly content: Said | null;
  readonly answers: boolean;
}

type Scene = Pick<PlayerData, 'model' | 'view' | 'answered'> & { readonly board: Board };

/** The fixtures that are there, in the order in which they are drawn. */
export function fixturesNow({ model, view: { question }, board, answered }: Scene): FixtureNow[] {
  const told = new Map(answered.map((answer) => [answer.fixture, answer]));
  const coming = answered.flatMap(({ comes }) => comes ?? []);
  const come = (before: number): FixtureNow[] =>
    coming.flatMap((one) => (one.before === before ? [{ fixture: one.fixture, content: null, answers: true }] : []));
  const standing = question.fixtures.map((fixture): FixtureNow | null => {
    const { when } = fixture;
    if (!when) return { fixture, content: null, answers: false };
    const answer = told.get(fixture.id);
    const answers = answer !== undefined || isAnswering({ model, question, board }, when);
    if (when.does === 'shows')
      return { fixture, answers, content: answers ? (answer?.shows ?? (when.content as Said | null)) : null };
    return answers === (when.does === 'appears') ? { fixture, content: null, answers } : null;
  });
  return [...standing.flatMap((now, i) => [...come(i), ...(now ? [now] : [])]), ...come(standing.length)];
}

const isAnswering = (
  { model, question, board }: Pick<PlayerData, 'model'> & Pick<PlayerData['view'], 'question'> & { board: Board },
  when: NonNullable<Fixture['when']>,
): boolean =>
  when.events.some((event) =>
    holdsByArrangement(model, board, (item) => isPutAway(question, question.items[item]?.look ?? null), event),
  );

/** What stays answered after a move: what lasts until everything is put back, and what the move itself brought. */
export function answeredAfter(
  state: Pick<PlayerData, 'model' | 'view' | 'answered'>,
  board: Board,
  reset: boolean,
): readonly FixtureAnswer[] {
  const { model, view, answered } = state;
  const { question } = view;
  const kept = reset ? [] : answered.filter(({ until }) => until === 'reset');
  const brought = question.fixtures.flatMap((fixture): FixtureAnswer[] => {
    const { id, when } = fixture;
    if (when?.until !== 'reset' || kept.some((answer) => answer.fixture === id)) return [];
    if (!isAnswering({ model, question, board }, when)) return [];
    return [{ fixture: id, until: 'reset', comes: null, shows: when.content as Said | null }];
  });
  return kept.length === answered.length && brought.length === 0 ? answered : [...kept, ...brought];
}

/** What has come, gone or changed on the scene, as a sentence for screen readers; empty: nothing. */
export function changesInWords(
  before: readonly FixtureNow[],
  now: readonly FixtureNow[],
  media: PlayerData['media'],
): string {
  const earlier = new Map(before.map((one) => [one.fixture.id, one]));
  const later = new Set(now.map(({ fixture }) => fixture.id));
  const came = now.flatMap((one) => {
    const old = earlier.get(one.fixture.id);
    if (old && old.content === one.content) return [];
    const words = wordsOf(one, media);
    return words ? [phrase(old ? 'player.nowShows' : 'player.appears', { words })] : [];
  });
  const went = before.flatMap((one) => {
    const words = later.has(one.fixture.id) ? '' : wordsOf(one, media);
    return words ? [phrase('player.gone', { words })] : [];
  });
  return [...came, ...went].join('. ');
}

function wordsOf({ fixture, content }: FixtureNow, media: PlayerData['media']): string {
  const described = (id: string | null | undefined) => (id ? (media[id]?.description ?? '') : '');
  if (content) return plain(content.text) || described(content.picture) || described(content.sound);
  if (fixture.type === 'text') return plain(fixture.text);
  return 'media' in fixture ? described(fixture.media) : '';
}
