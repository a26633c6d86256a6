/** A text for `like … escape '\'`, in which SQLite's wildcards stand for themselves. */
export const literally = (text: string): string => text.replace(/[%_\\]/g, '\\$&');
