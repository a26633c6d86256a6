import { RichText } from '../../../scene/RichText';
import { phrase } from '../../../words';
import type { SittingView } from '../types';
import './sources.css';

/** Where what a source shows is read: its file (a picture in a width), and its captions. */
export interface SourceAddress {
  readonly file: string;
  readonly picture: string;
  readonly captions: string;
}

/** As the server gives them to a learner. */
export const sittingSource =
  (id: string) =>
  (n: number): SourceAddress => {
    const file = `/api/sittings/${id}/sources/${n}`;
    return { file, picture: `${file}?w=640`, captions: `${file}?captions` };
  };

interface Props {
  sources: readonly SittingView['sources'][number][];
  address: (n: number) => SourceAddress;
}

/** The sources beside a question: open on a wide page, and foldable. */
export function Sources({ sources, address }: Props) {
  return (
    <aside className="sources" aria-label={phrase('player.beside')}>
      {sources.map((source) => (
        <details key={source.n} open className="source">
          <summary dir="auto">{source.title}</summary>
          {source.text && (
            <div className="source-text" dir="auto">
              <RichText rich={source.text} />
            </div>
          )}
          <Shown at={address(source.n)} source={source} />
        </details>
      ))}
    </aside>
  );
}

function Shown({
  at,
  source: { medium, captioned, title, address },
}: {
  at: SourceAddress;
  source: SittingView['sources'][number];
}) {
  if (address) {
    // No other host is contacted: the external player has a stand-in.
    const asked = new URLSearchParams({ address, ...(captioned ? { captions: at.captions } : {}) });
    return (
      <iframe
        title={title}
        src={`/stand-in/film?${asked}`}
        sandbox="allow-same-origin"
        loading="lazy"
        allow="fullscreen"
      />
    );
  }
  if (!medium) return null;
  if (medium.kind === 'picture') return <img src={at.picture} alt={medium.description} loading="lazy" />;
  const Played = medium.kind === 'film' ? 'video' : 'audio';
  return (
    <Played controls preload="metadata" src={at.file} aria-label={medium.description || title}>
      {captioned && <track kind="captions" src={at.captions} default />}
    </Played>
  );
}
