/** Is it the name of a time zone (IANA), as `Europe/London`? */
export function isZone(name: string): boolean {
  try {
    return name.length <= 60 && new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}
