// Places of a list that are ticked, from 0, as a text of ranges: `0-5,8`; `none`: no place.

export const PLACES = /^(none|\d{1,4}(-\d{1,4})?(,\d{1,4}(-\d{1,4})?)*)$/;

/** The places of a list that are not left out. */
export function tickedPlaces(length: number, leftOut: ReadonlySet<number>): string {
  const ranges: string[] = [];
  for (let from = 0; from < length; from++) {
    if (leftOut.has(from)) continue;
    let to = from;
    while (to + 1 < length && !leftOut.has(to + 1)) to++;
    ranges.push(from === to ? `${from}` : `${from}-${to}`);
    from = to;
  }
  return ranges.join(',') || 'none';
}

/** True for the places of such a text; for all where there is none. */
export function isTicked(places: string | undefined): (place: number) => boolean {
  if (places === undefined) return () => true;
  const ranges = (places === 'none' ? [] : places.split(',')).map((part) => {
    const [from = 0, to = from] = part.split('-').map(Number);
    return { from, to };
  });
  return (place) => ranges.some(({ from, to }) => place >= from && place <= to);
}
