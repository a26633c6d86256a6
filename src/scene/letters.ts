import { type CSSProperties, useEffect, useMemo, useState } from 'react';
import { type Face, type Fixture, ITEM_SIZE, type Letters, type Look, type Question, type WidthIn } from '../core';
import type { MediaSource, Shown } from './media';

/** How a face is called in CSS, and the one weight in which it is drawn, so that it is as wide as the core says. */
export const FAMILIES: Readonly<Record<Face, { readonly family: string; readonly weight: number }>> = {
  school: { family: 'Andika', weight: 400 },
  joined: { family: 'Playwrite FR Moderne', weight: 400 },
  steady: { family: 'OpenDyslexic', weight: 400 },
  book: { family: 'Source Serif 4', weight: 600 },
  round: { family: 'Nunito', weight: 600 },
  narrow: { family: 'Barlow Condensed', weight: 600 },
  hand: { family: 'Patrick Hand', weight: 400 },
  code: { family: 'Atkinson Hyperlegible Mono', weight: 400 },
};

/** The family of a font of the author's: each file has one of its own. */
const familyOf = ({ url }: Shown) => `own ${encodeURIComponent(url)}`;

interface Chosen {
  readonly face?: Face | null | undefined;
  readonly ownFace?: string | null | undefined;
}

function chosen({ face, ownFace }: Chosen, media: MediaSource): { family: string; weight: number } | null {
  const own = ownFace ? media(ownFace) : null;
  if (own) return { family: `"${familyOf(own)}", var(--font-sans)`, weight: 400 };
  return face ? { family: `"${FAMILIES[face].family}", var(--font-sans)`, weight: FAMILIES[face].weight } : null;
}

/** The CSS of a face, on what is drawn in it. */
export function faceCss(of: Chosen, media: MediaSource): CSSProperties {
  const found = chosen(of, media);
  return found ? { fontFamily: found.family, fontWeight: found.weight } : {};
}

/** The CSS of letters, on what everything inside is drawn in. */
export function lettersCss(letters: Letters | null | undefined, media: MediaSource): CSSProperties {
  const found = letters ? chosen(letters, media) : null;
  return {
    ...(found ? { '--letters': found.family, '--letters-weight': found.weight } : {}),
    ...(letters?.size ? { '--letters-grow': letters.size / ITEM_SIZE } : {}),
  } as CSSProperties;
}

/** What says in which letters a question is drawn. */
export interface Lettered {
  readonly dress: Question['dress'];
  readonly looks: Readonly<Record<string, Look>>;
  readonly fixtures: readonly Fixture[];
}

export const lettersIn = ({ dress, looks, fixtures }: Lettered): Chosen[] => [
  ...(dress?.letters ? [dress.letters] : []),
  ...fixtures.flatMap((fixture) => (fixture.type === 'text' && fixture.letters ? [fixture.letters] : [])),
  ...Object.values(looks).flatMap(({ states }) =>
    Object.values((states ?? {}) as Record<string, Chosen | undefined>).flatMap((style) => style ?? []),
  ),
];

/** Loads the letters that a question is drawn in; those that ship with the application only where one is used. */
export function useLetters(lettered: Lettered, media: MediaSource): void {
  const all = lettersIn(lettered);
  const shipped = all.some(({ face }) => face);
  const own = [...new Set(all.flatMap(({ ownFace }) => ownFace ?? []))].flatMap((id) => media(id) ?? []);
  const addresses = own.map(({ url }) => url).join(' ');
  useEffect(() => {
    if (shipped) void import('./faces.css');
  }, [shipped]);
  useEffect(() => {
    for (const url of addresses.split(' ').filter(Boolean)) {
      const family = familyOf({ url } as Shown);
      if ([...document.fonts].some((face) => face.family.replaceAll('"', '') === family)) continue;
      const face = new FontFace(family, `url("${url}")`);
      document.fonts.add(face);
      // Until it is there, or if it never comes, words stand in the page's own letters.
      face.load().catch(() => document.fonts.delete(face));
    }
  }, [addresses]);
}

/** The families of the page's own letters: what items are in, and what titles are in. */
const OWN_LETTERS = ['--font-sans', '--font-heading'];
const OWN_WEIGHT = 600;
/** So many widths are kept; more are measured again. */
const MOST_KEPT = 4000;

/** How wide texts are in one line on this page, in the unit of their size; of the page's own letters, the wider. */
export function useWidths(media: MediaSource): WidthIn {
  const [loaded, setLoaded] = useState(0);
  useEffect(() => {
    let here = true;
    const again = () => here && setLoaded((times) => times + 1);
    void document.fonts.ready.then(again);
    document.fonts.addEventListener('loadingdone', again);
    return () => {
      here = false;
      document.fonts.removeEventListener('loadingdone', again);
    };
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: with other letters, other widths
  return useMemo(() => measuring(media), [media, loaded]);
}

function measuring(media: MediaSource): WidthIn {
  let pen: CanvasRenderingContext2D | null = null;
  let own: string[] = [];
  const kept = new Map<string, number>();
  return (text, lettering) => {
    if (!pen) {
      pen = document.createElement('canvas').getContext('2d');
      const page = getComputedStyle(document.documentElement);
      own = OWN_LETTERS.map((name) => page.getPropertyValue(name) || 'sans-serif');
    }
    const found = chosen(lettering, media);
    // A variable has no meaning on a canvas.
    const fonts = found
      ? [`${found.weight} ${lettering.size}px ${found.family.replace(', var(--font-sans)', '')}`]
      : own.map((family) => `${OWN_WEIGHT} ${lettering.size}px ${family}`);
    return Math.max(
      ...fonts.map((font) => {
        const key = `${font} ${text}`;
        const known = kept.get(key);
        if (known !== undefined || !pen) return known ?? 0;
        pen.font = font;
        const { width } = pen.measureText(text);
        if (kept.size < MOST_KEPT) kept.set(key, width);
        return width;
      }),
    );
  };
}
