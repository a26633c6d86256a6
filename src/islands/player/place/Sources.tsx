import { RichText } from '../../../scene/RichText';
import type { SittingView } from '../types';
import './sources.css';

/** What stands beside a question: open on a wide page, folded away by whoever needs the room. */
export function Sources({ sitting: { id, sources } }: { sitting: SittingView }) {
  return (
    <aside className="sources" aria-label="Beside the question">
      {sources.map((source) => (
        <details key={source.n} open className="source">
          <summary dir="auto">{source.title || 'Source'}</summary>
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

function Shown({ url, source: { medium, captioned, title } }: { url: string; source: SittingView['sources'][number] }) {
  if (!medium) return null;
  const name = medium.description || title;
  const track = captioned && <track kind="captions" src={`${url}?captions`} label="Captions" default />;
  switch (medium.kind) {
    case 'picture':
      return <img src={`${url}?w=640`} alt={medium.description} loading="lazy" />;
    case 'sound':
      // biome-ignore lint/a11y/useMediaCaption: where the author has captions, they are here
      return <audio controls preload="none" src={url} aria-label={name} />;
    case 'film':
      return (
        // biome-ignore lint/a11y/useMediaCaption: where the author has captions, they are here
        <video controls preload="metadata" src={url} aria-label={name}>
          {track}
        </video>
      );
  }
}
