import type { Station } from './store';

const STATIONS: readonly Station[] = ['kind', 'layOut', 'key', 'behaviour', 'words', 'proof'];

/** Where the author is sent at the Bench by a link: a station, a cell of what is said, and where to go back to. */
export interface Aim {
  readonly station: Station | null;
  readonly cell: { readonly item: string; readonly zone: string } | null;
  /** The release whose results sent them here, and the place of the question in it. */
  readonly release: { readonly id: string; readonly question: string } | null;
}

export function aimIn(search: string): Aim {
  const params = new URLSearchParams(search);
  const station = STATIONS.find((name) => name === params.get('station')) ?? null;
  const [item, zone] = [params.get('item'), params.get('zone')];
  const [id, question] = [params.get('release'), params.get('question')];
  return {
    station,
    cell: item && zone ? { item, zone } : null,
    release: id && question && /^[\w-]{1,60}$/.test(id) && /^\d{1,4}$/.test(question) ? { id, question } : null,
  };
}
