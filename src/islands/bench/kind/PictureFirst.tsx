import { ImagePlus, MapPin, Ungroup } from 'lucide-react';
import { useState } from 'react';
import type { MediaId } from '../../../core';
import { mediumUrl } from '../../shared/ownMedia';
import { TakeApart } from '../apart/TakeApart';
import { addThings } from '../commands/arranging';
import { naturalSize } from '../layOut/Adding';
import { mediumFixture } from '../layOut/makings';
import { MediaDialog } from '../media/MediaDialog';
import type { BenchStore } from '../store';

/** The picture of a question about places, and then the tool that sets them on it by pressing. */
export function PictureFirst({ store, words }: { store: BenchStore; words: string }) {
  const picture = store((s) => s.question.fixtures.find((fixture) => fixture.type === 'picture') ?? null);
  const tool = store((s) => s.tool);
  const [choosing, setChoosing] = useState(false);
  const [apart, setApart] = useState(false);
  const add = async (id: MediaId) => {
    setChoosing(false);
    const medium = store.getState().question.media[id];
    const natural = medium ? await naturalSize(mediumUrl(medium.hash)) : null;
    addThings(
      store,
      'fixtures',
      [mediumFixture(store.getState().question, 'picture', id, natural)],
      'The picture is there',
    );
    store.getState().select([]);
    store.setState({ tool: 'name' });
  };
  return (
    <div className="flex flex-wrap gap-2">
      <button
        type="button"
        className={`btn btn-sm ${picture ? 'btn-quiet' : 'btn-primary'}`}
        onClick={() => setChoosing(true)}
      >
        <ImagePlus size={15} aria-hidden /> {picture ? 'Another picture…' : 'Choose a picture…'}
      </button>
      <button
        type="button"
        className="btn btn-edge btn-sm"
        disabled={picture === null}
        aria-pressed={tool === 'name'}
        onClick={() => store.setState({ tool: tool === 'name' ? 'select' : 'name' })}
      >
        <MapPin size={15} aria-hidden /> {words}
      </button>
      {picture && (
        <button type="button" className="btn btn-edge btn-sm" onClick={() => setApart(true)}>
          <Ungroup size={15} aria-hidden /> Take it apart…
        </button>
      )}
      {picture?.type === 'picture' && apart && (
        <TakeApart store={store} picture={picture} onClose={() => setApart(false)} />
      )}
      {choosing && (
        <MediaDialog store={store} kind="picture" onClose={() => setChoosing(false)} onChoose={(id) => void add(id)} />
      )}
    </div>
  );
}
