import { random, seedOf, shuffled } from '../random/random';

/** Somebody who can be called up. */
export interface Person {
  readonly id: string;
  readonly name: string;
  /** The title of their group; null: none. */
  readonly group: string | null;
}

/**
 * Who has come up in a class, and who comes next. A round is over when everybody present has come once; nobody comes
 * twice before that. It holds everything that is drawn by, so it goes on after a reload where it was.
 */
export interface Turns {
  readonly seed: string;
  /** How many draws there were: each has random numbers of its own. */
  readonly draws: number;
  readonly people: readonly Person[];
  /** Ids of people who are not here: they are passed over. */
  readonly absent: readonly string[];
  readonly round: number;
  /** Ids of those who have come in this round, in their order; those who are up now are among them. */
  readonly came: readonly string[];
  /** Ids of those who are up now. */
  readonly up: readonly string[];
  /** By id: in how many rounds somebody has come. */
  readonly counts: Readonly<Record<string, number>>;
}

/** Who comes next: by chance, by the order of the list, or a whole group by chance. */
export type CallBy = 'chance' | 'order' | 'group';

export const newTurns = (seed: string, people: readonly Person[]): Turns => ({
  ...{ seed, people, draws: 0, absent: [], round: 1, came: [], up: [], counts: {} },
});

const present = ({ people, absent }: Turns) => people.filter(({ id }) => !absent.includes(id));

/** Those present who have not come in this round. */
export const waiting = (turns: Turns): readonly Person[] => present(turns).filter(({ id }) => !turns.came.includes(id));

export const turnsOf = ({ counts }: Turns, id: string): number => counts[id] ?? 0;

/**
 * The next person, or group, is up. When everybody present has come, the next round begins; who came last does not
 * open it, if there is anybody else. Without anybody present nothing changes.
 */
export function callUp(turns: Turns, by: CallBy): Turns {
  const here = present(turns);
  if (here.length === 0) return turns;
  const isOver = waiting(turns).length === 0;
  const now = isOver ? { ...turns, round: turns.round + 1, came: [] } : turns;
  const called = isOver ? withoutTheLast(here, turns.up) : waiting(turns);
  const draws = now.draws + 1;
  const next = random(seedOf(`${turns.seed}/turns/${draws}`));
  const up = by === 'group' ? drawGroup(called, next) : [by === 'order' ? called[0] : drawn(called, next)];
  return came({ ...now, draws }, up as Person[]);
}

/** Somebody chosen by hand is up, even if they have come in this round. */
export function callOne(turns: Turns, id: string): Turns {
  const person = turns.people.find((person) => person.id === id);
  return person ? came({ ...turns, absent: turns.absent.filter((other) => other !== id) }, [person]) : turns;
}

function came(turns: Turns, people: readonly Person[]): Turns {
  const up = people.map(({ id }) => id);
  return {
    ...turns,
    up,
    came: [...turns.came.filter((id) => !up.includes(id)), ...up],
    counts: { ...turns.counts, ...Object.fromEntries(up.map((id) => [id, turnsOf(turns, id) + 1])) },
  };
}

/** Those who are up go back among those who wait: this turn of theirs does not count. */
export const notNow = (turns: Turns): Turns => ({
  ...turns,
  up: [],
  came: turns.came.filter((id) => !turns.up.includes(id)),
  counts: {
    ...turns.counts,
    ...Object.fromEntries(turns.up.map((id) => [id, Math.max(0, turnsOf(turns, id) - 1)])),
  },
});

/** Who is not here is passed over, and not up. Who comes late joins the round as it stands. */
export const setAbsent = (turns: Turns, id: string, isAbsent: boolean): Turns => {
  const at =
    turns.up.includes(id) && isAbsent ? { ...notNow({ ...turns, up: [id] }), up: without(turns.up, id) } : turns;
  return { ...at, absent: isAbsent ? [...without(turns.absent, id), id] : without(turns.absent, id) };
};

/** The same turns with another list of names: who stays keeps their turns. */
export function withPeople(turns: Turns, people: readonly Person[]): Turns {
  const ids = new Set(people.map(({ id }) => id));
  const kept = (list: readonly string[]) => list.filter((id) => ids.has(id));
  const counts = Object.fromEntries(Object.entries(turns.counts).filter(([id]) => ids.has(id)));
  return { ...turns, people, absent: kept(turns.absent), came: kept(turns.came), up: kept(turns.up), counts };
}

/** Those present, drawn into so many teams whose sizes differ by one at most. */
export function drawTeams(turns: Turns, count: number): { readonly turns: Turns; readonly teams: Person[][] } {
  const here = present(turns);
  const draws = turns.draws + 1;
  const order = shuffled(here.length, random(seedOf(`${turns.seed}/turns/${draws}`)));
  const teams: Person[][] = Array.from({ length: count }, () => []);
  for (const [i, at] of order.entries()) teams[i % count]?.push(here[at] as Person);
  return { turns: { ...turns, draws }, teams };
}

const without = (ids: readonly string[], id: string) => ids.filter((other) => other !== id);
const drawn = <Any>(among: readonly Any[], next: () => number) => among[Math.floor(next() * among.length)];

function withoutTheLast(here: readonly Person[], last: readonly string[]): readonly Person[] {
  const others = here.filter(({ id }) => !last.includes(id));
  return others.length > 0 ? others : here;
}

/** All of one group who have not come yet; who has no group comes alone. Each group is as likely as any other. */
function drawGroup(called: readonly Person[], next: () => number): readonly Person[] {
  const groups = [...new Map(called.map((person) => [person.group ?? person.id, person])).values()];
  const one = drawn(groups, next);
  return one?.group == null ? (one ? [one] : []) : called.filter(({ group }) => group === one.group);
}
