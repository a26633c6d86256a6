import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { persist } from 'zustand/middleware';
import {
  type CallBy,
  callOne,
  callUp,
  drawTeams,
  newTurns,
  notNow,
  type Person,
  setAbsent,
  type Turns,
  withPeople,
} from '../../core';

/** The edge of the screen along which the controls lie: small children reach only the bottom. */
export type Edge = 'bottom' | 'top' | 'left' | 'right';
export const EDGES: readonly Edge[] = ['bottom', 'top', 'left', 'right'];

export interface Team {
  /** Of the four colours and shapes. */
  readonly sign: number;
  readonly members: readonly string[];
  /** How many placements of theirs came right. */
  readonly tally: number;
}
export const MOST_TEAMS = 4;

/** What the board keeps in this browser, so that a reload goes on where the class was. */
interface Kept {
  readonly edge: Edge;
  /** Where the names are from; null: nobody is called up yet. */
  readonly namesFrom: string | null;
  /** Their ids are those of learners' accounts. */
  readonly areLearners: boolean;
  readonly turns: Turns | null;
  readonly by: CallBy;
  readonly teams: readonly Team[];
  /** The team whose turn it is: what comes right counts for it. */
  readonly teamUp: number;
  /** By question: the day, and the shortest time of it, in seconds. */
  readonly best: Readonly<Record<string, { readonly day: string; readonly seconds: number }>>;
  /** Counted down from so many seconds; null: counted up. */
  readonly from: number | null;
  /** A sound at the end of a countdown. */
  readonly bell: boolean;
}

export interface ClassState extends Kept {
  setEdge(edge: Edge): void;
  setNames(from: string, people: readonly Person[], areLearners: boolean): void;
  setBy(by: CallBy): void;
  call(): void;
  callOne(id: string): void;
  notNow(): void;
  setAbsent(id: string, isAbsent: boolean): void;
  forget(): void;
  makeTeams(count: number): void;
  setTeam(id: string, sign: number | null): void;
  endTeams(): void;
  passTo(team: number): void;
  count(team: number, right: number): void;
  setBest(question: string, day: string, seconds: number): void;
  setFrom(seconds: number | null): void;
  setBell(on: boolean): void;
}
export type ClassStore = UseBoundStore<StoreApi<ClassState>>;

/** The class at one board; `name`: under which it is kept. */
export function classStore(name: string): ClassStore {
  return create<ClassState>()(
    persist(
      (set) => {
        const turned = (change: (turns: Turns) => Turns) => () =>
          set(({ turns }) => (turns ? { turns: change(turns) } : {}));
        return {
          edge: 'bottom',
          namesFrom: null,
          areLearners: false,
          turns: null,
          by: 'chance',
          teams: [],
          teamUp: 0,
          best: {},
          from: null,
          bell: true,
          setEdge: (edge) => set({ edge }),
          setNames: (namesFrom, people, areLearners) =>
            set(({ turns, namesFrom: before }) => ({
              namesFrom,
              areLearners,
              turns: turns && before === namesFrom ? withPeople(turns, people) : newTurns(crypto.randomUUID(), people),
              teams: [],
            })),
          setBy: (by) => set({ by }),
          call: () => set(({ turns, by }) => (turns ? { turns: callUp(turns, by) } : {})),
          callOne: (id) => turned((turns) => callOne(turns, id))(),
          notNow: turned(notNow),
          setAbsent: (id, isAbsent) => turned((turns) => setAbsent(turns, id, isAbsent))(),
          forget: turned((turns) => newTurns(crypto.randomUUID(), turns.people)),
          makeTeams: (count) =>
            set(({ turns }) => {
              const drawn = turns ? drawTeams(turns, count) : null;
              const members = drawn?.teams ?? Array.from({ length: count }, () => []);
              return {
                ...(drawn ? { turns: drawn.turns } : {}),
                teams: members.map((people, sign) => ({ sign, members: people.map(({ id }) => id), tally: 0 })),
                teamUp: 0,
              };
            }),
          setTeam: (id, sign) =>
            set(({ teams }) => ({
              teams: teams.map((team) => {
                const others = team.members.filter((member) => member !== id);
                return { ...team, members: team.sign === sign ? [...others, id] : others };
              }),
            })),
          endTeams: () => set({ teams: [], teamUp: 0 }),
          passTo: (teamUp) => set({ teamUp }),
          count: (at, right) =>
            set(({ teams }) => ({
              teams: teams.map((team, i) => (i === at ? { ...team, tally: team.tally + right } : team)),
            })),
          setBest: (question, day, seconds) => set(({ best }) => ({ best: { ...best, [question]: { day, seconds } } })),
          setFrom: (from) => set({ from }),
          setBell: (bell) => set({ bell }),
        };
      },
      { name, version: 1 },
    ),
  );
}
