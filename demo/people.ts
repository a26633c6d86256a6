/** The rest of the demo's roster, beside the accounts of the sign-in page: invented people all. */
const FIRST = ['Arlo', 'Beck', 'Cass', 'Dara', 'Edda', 'Flint', 'Greer', 'Hollis', 'Ilse', 'Juno'];
const LAST = ['Amble', 'Brant', 'Corrie', 'Dunlin'];

/** User name and name. */
export const ROSTER: readonly (readonly [username: string, name: string])[] = LAST.flatMap((last) =>
  FIRST.map((first) => [`${first}.${last}`.toLowerCase(), `${first} ${last}`] as const),
);
