import { MediaList } from '../media/MediaList';
import { inBytes, weightOf } from '../media/takeFiles';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { Adding } from './Adding';
import { Arrange } from './Arrange';
import { DressSettings } from './DressSettings';
import { Measures } from './Measures';
import { OrderList } from './OrderList';
import { SceneSettings } from './SceneSettings';
import { Selected } from './Selected';

/** The Lay out station: adding to the scene, and the properties of the selection. */
export function LayOut({ store }: { store: BenchStore }) {
  const selected = store((s) => s.selection.size);
  const weight = store((s) => weightOf(s.question));
  return (
    <>
      <h2 className="text-lg mb-1">
        Lay out <span className="font-sans font-normal text-base text-mute">what is on the scene</span>
      </h2>
      <Adding store={store} />
      <Section title="Selected" note={selected > 1 ? `${selected} things` : ''}>
        <Selected store={store} />
      </Section>
      {selected > 0 && (
        <Section title="Arrange">
          <Arrange store={store} />
        </Section>
      )}
      <Measures store={store} />
      <Section title="Front to back" open={false}>
        <OrderList store={store} />
      </Section>
      <Section title="Scene and tray" open={false}>
        <SceneSettings store={store} />
      </Section>
      <Section title="Ground and letters" open={false}>
        <DressSettings store={store} />
      </Section>
      <Section title="Media" note={weight > 0 ? inBytes(weight) : ''} open={false}>
        <MediaList store={store} />
      </Section>
    </>
  );
}
