/** The shortest and the longest user name, in UTF-16 units. */
const LENGTH = { min: 2, max: 60 } as const;
/** Letters of any script, digits, and signs between them. Nothing that cannot be seen, and no space. */
const SIGNS = /^[\p{L}\p{N}][\p{L}\p{M}\p{N}._@+-]*$/u;
/** Scripts with letters that look alike: "оdile" with a Cyrillic "о" would be taken for "odile". */
const ALIKE = [/\p{Script=Latin}/u, /\p{Script=Cyrillic}/u, /\p{Script=Greek}/u] as const;

/**
 * A user name as it is stored and compared: names that differ in case, or in how a letter is composed (Unicode
 * normalization form KC), are the same.
 */
export const normalUsername = (username: string): string => username.trim().normalize('NFKC').toLowerCase();

/** True if it can be a user name. */
export function isUsername(text: string): boolean {
  const name = normalUsername(text);
  return (
    name.length >= LENGTH.min &&
    name.length <= LENGTH.max &&
    SIGNS.test(name) &&
    ALIKE.filter((script) => script.test(name)).length <= 1
  );
}

export const USERNAME_RULE =
  '2 to 60 letters or digits, with dots, underscores, hyphens, + or @ between them, in one alphabet';
