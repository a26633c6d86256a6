/** The first of `stem-1`, `stem-2`, … that is not taken. */
export function freshId(stem: string, taken: ReadonlySet<string>): string {
  for (let n = 1; ; n++) if (!taken.has(`${stem}-${n}`)) return `${stem}-${n}`;
}
