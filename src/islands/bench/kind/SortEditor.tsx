import type { Zone } from '../../../core';
import { asCircles, groupPicture, withGroupPicture, withTrap } from '../../../core/kinds';
import { placeFor } from '../layOut/makings';
import { MediumField } from '../media/MediumField';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { become } from './become';

/** Groups: how many there are, what belongs nowhere, a trap, and two of them as circles that overlap. */
export function SortEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const keyed = new Set<string>(question.key.flatMap(({ belongs }) => belongs ?? []));
  const isTrap = (zone: Zone) =>
    question.key.some((entry) => entry.zone === zone.id && entry.need?.rule === 'exactly' && entry.need.n === 0);
  const groups = question.zones.filter((zone) => !isTrap(zone));
  const nowhere = question.items.filter(({ id }) => !keyed.has(id));
  return (
    <Section title="Groups" note={String(groups.length)}>
      <ul>
        {groups.map((zone) => (
          <li key={zone.id} className="border-b border-rule py-0.5 flex items-center gap-2">
            <span className="grow" dir="auto">
              {zone.label || zone.id}{' '}
              <span className="figures text-sm text-mute">
                {question.key.find((entry) => entry.zone === zone.id)?.belongs?.length ?? 0} belong
              </span>
            </span>
            <MediumField
              store={store}
              label={`Picture of ${zone.label || zone.id}`}
              kind="picture"
              value={groupPicture(question, zone)}
              onChoose={(picture) =>
                become(
                  store,
                  (now) => withGroupPicture(now, zone.id, picture),
                  picture ? 'The group shows a picture' : 'The picture is taken away',
                )
              }
            />
          </li>
        ))}
      </ul>
      <p className="mt-1">
        {nowhere.length === 0 ? (
          <span className="text-mute">Every item belongs somewhere.</span>
        ) : (
          `In no group: ${nowhere.map(({ label, id }) => label || id).join(', ')}`
        )}
      </p>
      <div className="flex flex-wrap gap-2 mt-2">
        <button
          type="button"
          className="btn btn-edge btn-xs"
          onClick={() =>
            become(
              store,
              (now) => withTrap(now, 'Trap', { type: 'rect', ...placeFor(now, { w: 200, h: 120 }) }),
              'A trap: whatever is put there is wrong',
            )
          }
        >
          Add a trap
        </button>
        <button
          type="button"
          className="btn btn-edge btn-xs"
          disabled={groups.length < 2}
          onClick={() => become(store, asCircles, 'Two circles, with a zone of their own where they overlap')}
        >
          First two as circles that overlap
        </button>
      </div>
    </Section>
  );
}
