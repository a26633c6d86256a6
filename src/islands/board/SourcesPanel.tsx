import type { SourceView } from '../../contract';
import { type SourceAddress, Sources } from '../player/place/Sources';
import { Panel } from './Panel';

/** A source, with where it is read: kept by the page, so that the line may be down. */
export type ShownSource = SourceView & { readonly at: SourceAddress };

/** What stands beside the question, large. */
export function SourcesPanel({ sources, onClose }: { sources: readonly ShownSource[]; onClose: () => void }) {
  const at = new Map(sources.map((source) => [source.n, source.at]));
  return (
    <Panel title="Sources" isWide onClose={onClose}>
      <Sources sources={sources} address={(n) => at.get(n) as SourceAddress} />
    </Panel>
  );
}
