import { RichText } from '../../../scene/RichText';
import { phrase } from '../../../words';
import type { SittingView } from '../types';
import './sources.css';

/** The sources beside a question: open on a wide page, and foldable. */
export function Sources({ sitting: { id, sources } }: { sitting: SittingView }) {
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
          <Shown url={`/api/sittings/${id}/sources/${source.n}`} source={source} />
        </details>
      ))}
    </aside>
  );
}

function Shown({
  url,
  source: { medium, captioned, title, address },
}: {
  url: string;
  source: SittingView['sources'][number];
}) {
  if (address) {
    // No other host is contacted: the external player has a stand-in.
    const asked = new URLSearchParams({ address, ...(captioned ? { captions: `${url}?captions` } : {}) });
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
  if (medium.kind === 'picture') return <img src={`${url}?w=640`} alt={medium.description} loading="lazy" />;
  const Played = medium.kind === 'film' ? 'video' : 'audio';
  return (
    <Played controls preload="metadata" src={url} aria-label={medium.description || title}>
      {captioned && <track kind="captions" src={`${url}?captions`} default />}
    </Played>
  );
}
