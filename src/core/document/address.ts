/** True if a text is an https address. */
export function isAddress(text: string): boolean {
  try {
    const { protocol, hostname } = new URL(text);
    return protocol === 'https:' && hostname !== '';
  } catch {
    return false;
  }
}
