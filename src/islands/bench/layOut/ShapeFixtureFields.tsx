import { type Fixture, setFixture } from '../../../core';
import { ColourField } from '../parts/ColourField';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';

export function ShapeFixtureFields({
  store,
  fixture,
}: {
  store: BenchStore;
  fixture: Extract<Fixture, { type: 'shape' }>;
}) {
  const act = store.getState().do;
  const question = () => store.getState().question;
  return (
    <>
      <Setting label="Fill">
        <ColourField
          label="Fill"
          value={fixture.fill}
          onChoose={(colour) => act(setFixture(question(), fixture.id, 'fill', colour ?? null))}
        />
      </Setting>
      <Setting label="Edge">
        <ColourField
          label="Edge"
          value={fixture.edge}
          onChoose={(colour) => act(setFixture(question(), fixture.id, 'edge', colour ?? null))}
        />
        <NumberSetting
          label="Width of the edge"
          value={fixture.edgeWidth}
          least={0}
          most={100}
          onSet={(width) => width !== null && act(setFixture(question(), fixture.id, 'edgeWidth', width))}
        />
      </Setting>
    </>
  );
}
