import { phrase } from '../../words';
import type { PlayerData } from './reducer';

/** A button that is there: it can be pressed, or it waits. */
type Button = 'ready' | 'waits';

export interface ActionsOf {
  readonly check: Button | null;
  readonly tryAgain: boolean;
  readonly reset: Button | null;
  readonly hint: boolean;
  /** The learner's progress in words. */
  readonly words: string;
}

type Facts = Pick<
  PlayerData,
  'board' | 'view' | 'told' | 'tries' | 'ended' | 'hintsLeft' | 'modelAnswer' | 'showsModel' | 'connection' | 'checking'
>;

/** What a learner can do with the question now. */
export function actionsFor(facts: Facts): ActionsOf {
  const { board, view, told, ended, hintsLeft, showsModel, connection, checking } = facts;
  const open = !ended && !showsModel;
  const hasMissed = (told?.goingHome.length ?? 0) + (told?.goingEmpty.length ?? 0) > 0;
  const isChecked = view.question.judging !== 'onLand' && !view.place.deferred;
  const isCutOff = connection === 'offline' || connection === 'takenOver';
  const isEmpty = !hasPlaced(facts) && board.letGo.size === 0;
  return {
    check: open && isChecked && !hasMissed ? buttonOf(checking || isCutOff) : null,
    tryAgain: hasMissed && !showsModel,
    reset: open ? buttonOf(checking || isEmpty) : null,
    hint: hintsLeft > 0,
    words: showsModel ? phrase('player.modelAnswer') : [...tryInWords(facts), ...countInWords(facts)].join(' · '),
  };
}

const buttonOf = (waits: boolean): Button => (waits ? 'waits' : 'ready');

/** The number of copies placed. With hidden zones, a loose copy counts as placed. */
const placedOf = ({ board, view }: Facts): number =>
  new Set([...board.zoneOf.keys(), ...(view.question.hides ? board.letGo.keys() : [])]).size + board.texts.size;

/** True if anything is placed, as {@link placedOf} counts it: cheap enough for every change of the store. */
export const hasPlaced = ({ board, view }: Pick<PlayerData, 'board' | 'view'>): boolean =>
  board.zoneOf.size > 0 || board.texts.size > 0 || (view.question.hides && board.letGo.size > 0);

function tryInWords({ view, told, tries, ended }: Facts): string[] {
  if (view.place.finished && told?.try && tries > 1)
    return [phrase('player.tryCounts', { n: told.try.number, of: tries })];
  if (view.place.deferred || view.place.finished) return [];
  const now = tries + (ended || told?.try ? 0 : 1);
  const limit = view.question.tries;
  return [limit === null ? phrase('player.nowTry', { n: now }) : phrase('player.nowTryOf', { n: now, of: limit })];
}

function countInWords(facts: Facts): string[] {
  const { show, items, zones } = facts.view.question;
  if (!show.count) return [];
  const placed = placedOf(facts);
  if (items.some(({ copies }) => copies === 'endless')) return [phrase('player.placed', { n: placed })];
  const all =
    items.reduce((sum, { copies }) => sum + (copies === 'endless' ? 0 : copies), 0) +
    zones.filter(({ typed }) => typed).length;
  // How many are left says nothing of how many ought to be placed.
  if (items.some(({ stays }) => !stays))
    return [phrase('player.placed', { n: placed }), phrase('player.left', { n: all - placed })];
  return [
    items.length > 0 ? phrase('player.pickedSoFar', { n: placed }) : phrase('player.filledOf', { n: placed, of: all }),
  ];
}
