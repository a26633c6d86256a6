import type { ItemId, Question, Zone, ZoneId } from '../../../core';
import { freshId, newItem, newZone } from '../../../core/document';
import { alike, laidOut } from '../../../core/kinds';
import { Choice } from '../../../ui/Choice';
import { Typed } from '../../../ui/Typed';
import { Section } from '../parts/Section';
import type { BenchStore } from '../store';
import { become } from './become';

/** The choices, and which of them are right. */
export function PickEditor({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const zone = pickedIn(question);
  const choices = question.items.filter(({ stays }) => stays);
  const right = new Set<string>(question.key.find((entry) => entry.zone === zone?.id)?.belongs ?? []);
  const one = zone?.capacity === 1;
  return (
    <>
      <Section title="Choices" note={String(choices.length)}>
        {choices.length === 0 && (
          <p className="text-mute">None yet. Type them below, or begin with “From a list or text…”.</p>
        )}
        <ul>
          {choices.map(({ id, label }) => (
            <li key={id} className="border-b border-rule py-0.5">
              <label className="flex items-center gap-2">
                <input
                  type={one ? 'radio' : 'checkbox'}
                  name="right"
                  className={one ? 'radio radio-xs' : 'checkbox checkbox-xs'}
                  checked={right.has(id)}
                  onChange={() => become(store, (now) => withRight(now, id, one), 'The key is changed')}
                />
                <span dir="auto">{label || id}</span>
              </label>
            </li>
          ))}
        </ul>
        <Typed
          label="Another choice"
          placeholder="another choice"
          className="input input-sm w-full mt-1"
          value=""
          onTyped={(label) =>
            label.trim() && become(store, (now) => withChoices(now, [label.trim()]), `${label} is added`)
          }
        />
        {choices.length === 0 && (
          <button
            type="button"
            className="btn btn-edge btn-xs mt-2"
            onClick={() =>
              become(
                store,
                (now) => withRight(howMany(withChoices(now, ['Yes', 'No']), 'one'), 'choice-1' as ItemId, true),
                'Yes or no',
              )
            }
          >
            Yes or no
          </button>
        )}
      </Section>
      {zone && (
        <Section title="How many may be picked">
          <Choice
            label="Pick"
            options={[
              ['one', 'one'],
              ['several', 'several'],
            ]}
            value={one ? 'one' : 'several'}
            onChoose={(many) =>
              become(store, (now) => howMany(now, many), many === 'one' ? 'One may be picked' : 'Several may be picked')
            }
          />
          <p className="text-sm text-mute mt-1">
            {one
              ? 'Picking another lets the first go.'
              : 'What is picked wrongly costs, so that picking everything earns nothing.'}
          </p>
        </Section>
      )}
    </>
  );
}

const pickedIn = ({ zones }: Question): Zone | undefined =>
  zones.find(({ shape, typed }) => shape.type === 'slot' && !typed);

function withChoices(question: Question, labels: readonly string[]): Question {
  const taken = new Set<string>(question.items.map(({ id }) => id));
  const made = labels.map((label) => {
    const id = freshId('choice', taken) as ItemId;
    taken.add(id);
    return newItem({ id, label, stays: true });
  });
  const there = pickedIn(question);
  const zone =
    there ??
    newZone({
      id: freshId('picked', new Set<string>(question.zones.map(({ id }) => id))) as ZoneId,
      label: 'Picked',
      shape: { type: 'slot' },
      capacity: null,
    });
  const sized = alike(
    {
      ...question,
      kind: 'pick',
      items: [...question.items, ...made],
      zones: there ? question.zones : [...question.zones, zone],
    },
    420,
  );
  const widened = {
    ...sized,
    items: sized.items.map((item) => (item.stays ? { ...item, size: { ...item.size, w: item.size.w + 32 } } : item)),
  };
  return laidOut(widened, 'trayBelow');
}

function withRight(question: Question, id: ItemId, one: boolean): Question {
  const zone = pickedIn(question);
  if (!zone) return question;
  const before = question.key.find((entry) => entry.zone === zone.id);
  const listed = before?.belongs ?? [];
  const belongs = one ? [id] : listed.includes(id) ? listed.filter((other) => other !== id) : [...listed, id];
  const entry = {
    ...(before ?? { zone: zone.id, sum: null, sequence: false, weight: null, says: null }),
    belongs,
    need: { rule: 'all' as const },
  };
  const key =
    belongs.length === 0
      ? question.key.filter((other) => other.zone !== zone.id)
      : before
        ? question.key.map((other) => (other.zone === zone.id ? entry : other))
        : [...question.key, entry];
  return { ...question, key };
}

function howMany(question: Question, many: 'one' | 'several'): Question {
  const zone = pickedIn(question);
  if (!zone) return question;
  const one = many === 'one';
  const zones = question.zones.map(
    (other): Zone =>
      other.id === zone.id ? { ...other, capacity: one ? 1 : null, whenFull: one ? 'swap' : 'refuse' } : other,
  );
  const key = question.key.map((entry) =>
    one && entry.zone === zone.id && entry.belongs ? { ...entry, belongs: entry.belongs.slice(0, 1) } : entry,
  );
  return {
    ...question,
    zones,
    key,
    marks: { ...question.marks, extraCosts: Math.max(1, question.marks.extraCosts) },
  };
}
