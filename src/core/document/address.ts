/** Is a text the address of something elsewhere on the web, over https? */
export function isAddress(text: string): boolean {
  try {
    const { protocol, hostname } = new URL(text);
    return protocol === 'https:' && hostname !== '';
  } catch {
    return false;
  }
}
