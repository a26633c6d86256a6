import type { Role } from '../context';

/** The demo's accounts, shown on the sign-in page of the demo and nowhere else. */
export const DEMO_PASSWORD = 'seedlings-26';
export const DEMO_TEACHER = { username: 'odile', name: 'Odile Marsh' };
/** The colleague with whom the demo's teacher shares a shelf. */
export const DEMO_COLLEAGUE = { username: 'tamsin', name: 'Tamsin Reeve' };
export const DEMO_LEARNERS = [
  ['wren', 'Wren Tallow'],
  ['ash', 'Ash Corran'],
  ['linden', 'Linden Voss'],
  ['sorrel', 'Sorrel Haim'],
  ['bryony', 'Bryony Keld'],
  ['rowan', 'Rowan Pike'],
  ['tansy', 'Tansy Orme'],
  ['hazel', 'Hazel Dunmore'],
  ['alder', 'Alder Finch'],
  ['yarrow', 'Yarrow Stell'],
  ['clover', 'Clover Rigg'],
  ['fennel', 'Fennel Brock'],
] as const;

export const demoAccounts: { username: string; password: string; role: Role }[] = [
  { username: DEMO_TEACHER.username, password: DEMO_PASSWORD, role: 'teacher' },
  { username: DEMO_COLLEAGUE.username, password: DEMO_PASSWORD, role: 'teacher' },
  ...DEMO_LEARNERS.slice(0, 3).map(([username]) => ({ username, password: DEMO_PASSWORD, role: 'learner' as const })),
];
