import { useState } from 'react';
import { type Settle, setZone, type Zone } from '../../../core';
import { Choice } from '../../../ui/Choice';
import { Typed } from '../../../ui/Typed';
import { common } from '../parts/common';
import { LanguageField } from '../parts/LanguageField';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';

const REACHES: readonly [Zone['reach']['rule'], string][] = [
  ['touch', 'touch'],
  ['centre', 'centre'],
  ['share', 'most of it'],
  ['inside', 'whole'],
  ['pointer', 'pointer'],
];
const SETTLES: readonly [Settle['rule'], string][] = [
  ['asDropped', 'as dropped'],
  ['anchor', 'anchor'],
  ['row', 'row'],
  ['column', 'column'],
  ['grid', 'grid'],
  ['pile', 'pile'],
];
const PLACES: readonly [Extract<Settle, { rule: 'anchor' }>['at'], string][] = [
  ['topLeft', 'top left'],
  ['top', 'top'],
  ['topRight', 'top right'],
  ['left', 'left'],
  ['middle', 'middle'],
  ['right', 'right'],
  ['bottomLeft', 'bottom left'],
  ['bottom', 'bottom'],
  ['bottomRight', 'bottom right'],
];
const GAP = 20;
const MOST = 10_000;

function settleBy(rule: Settle['rule'], before: Settle): Settle {
  const gap = 'gap' in before ? before.gap : GAP;
  switch (rule) {
    case 'asDropped':
    case 'pile':
      return { rule };
    case 'anchor':
      return { rule, at: 'middle', gap };
    case 'row':
    case 'column':
    case 'grid':
      return { rule, gap };
  }
}

/** Reach, welcome, capacity and settle, for one or many zones. */
export function ZoneBehaviour({ store, zones }: { store: BenchStore; zones: readonly Zone[] }) {
  const set = <Field extends Exclude<keyof Zone, 'id'>>(field: Field, to: (zone: Zone) => Zone[Field]) => {
    const { question, do: act } = store.getState();
    act(zones.flatMap((zone) => setZone(question, zone.id, field, to(zone))));
  };
  const reach = common(zones, (zone) => zone.reach.rule);
  const share = common(zones, (zone) => (zone.reach.rule === 'share' ? zone.reach.share : null));
  const settle = common(zones, (zone) => zone.settle.rule);
  const gap = common(zones, (zone) => ('gap' in zone.settle ? zone.settle.gap : null));
  const at = common(zones, (zone) => (zone.settle.rule === 'anchor' ? zone.settle.at : null));
  const capacity = common(zones, (zone) => zone.capacity);
  return (
    <section>
      <h3 className="font-semibold">
        {zones.length === 1 ? zones[0]?.label || zones[0]?.id : `${zones.length} zones`}
      </h3>
      <Choice
        label="Reach"
        options={REACHES}
        value={reach ?? null}
        onChoose={(rule) => set('reach', () => (rule === 'share' ? { rule, share: 0.5 } : { rule }))}
      />
      {reach === 'share' && (
        <ShareSetting
          share={share}
          onSet={(to) => set('reach', () => ({ rule: 'share', share: to }))}
          onTry={(to) => store.setState({ shareTried: to })}
        />
      )}
      <Choice
        label="Welcome"
        options={[
          ['anyone', 'anyone'],
          ['keyed', 'only what belongs'],
        ]}
        value={common(zones, (zone) => zone.welcome) ?? null}
        onChoose={(welcome) => set('welcome', () => welcome)}
      />
      <Setting label="Capacity">
        <NumberSetting
          label="Capacity"
          value={capacity}
          least={1}
          most={MOST}
          whole
          empty="any number"
          onSet={(n) => set('capacity', () => n)}
        />
      </Setting>
      {capacity !== null && (
        <Choice
          label="When full"
          options={[
            ['refuse', 'refuse'],
            ['swap', 'swap'],
          ]}
          value={common(zones, (zone) => zone.whenFull) ?? null}
          onChoose={(whenFull) => set('whenFull', () => whenFull)}
        />
      )}
      <Choice
        label="Settle"
        options={SETTLES}
        value={settle ?? null}
        onChoose={(rule) => set('settle', (zone) => settleBy(rule, zone.settle))}
      />
      {settle === 'anchor' && (
        <Choice
          label="At"
          options={PLACES}
          value={at ?? null}
          onChoose={(place) =>
            set('settle', (zone) => (zone.settle.rule === 'anchor' ? { ...zone.settle, at: place } : zone.settle))
          }
        />
      )}
      {gap !== null && (
        <Setting label="Gap">
          <NumberSetting
            label="Gap"
            value={gap}
            least={0}
            most={MOST}
            onSet={(n) =>
              n !== null && set('settle', (zone) => ('gap' in zone.settle ? { ...zone.settle, gap: n } : zone.settle))
            }
          />
        </Setting>
      )}
      <LidSetting store={store} zones={zones} />
      <Setting label="Family">
        <Typed
          label="Family the zone takes"
          className="input input-sm w-40"
          value={common(zones, (zone) => zone.family) ?? ''}
          onTyped={(text) => set('family', () => text.trim() || null)}
        />
        <span className="text-sm text-mute">empty: any</span>
      </Setting>
      <Setting label="Language">
        <LanguageField
          label="Language of the zone’s label"
          value={common(zones, (zone) => zone.lang)}
          empty="the question’s"
          onSet={(lang) => set('lang', () => lang)}
        />
      </Setting>
    </section>
  );
}

/** The share as a number or by a slider; its effect is shown on the scene while the slider moves. */
function ShareSetting({
  share,
  onSet,
  onTry,
}: {
  share: number | null | undefined;
  onSet: (share: number) => void;
  onTry: (share: number | null) => void;
}) {
  const [tried, setTried] = useState<number | null>(null);
  const percent = tried ?? (share === undefined || share === null ? undefined : Math.round(share * 1000) / 10);
  const keep = () => {
    if (tried !== null) onSet(tried / 100);
    setTried(null);
    onTry(null);
  };
  return (
    <Setting label="">
      <NumberSetting
        label="Per cent of the item over the zone"
        value={percent}
        least={1}
        most={100}
        onSet={(to) => to !== null && onSet(to / 100)}
      />
      <span>%</span>
      <input
        type="range"
        className="range range-xs w-32"
        aria-label="Per cent of the item over the zone, by a slider"
        min={1}
        max={100}
        value={percent ?? 50}
        onChange={(event) => {
          setTried(Number(event.target.value));
          onTry(Number(event.target.value) / 100);
        }}
        onPointerUp={keep}
        onKeyUp={keep}
        onBlur={keep}
      />
    </Setting>
  );
}

/** A cover over the zone, which learners open and shut. */
function LidSetting({ store, zones }: { store: BenchStore; zones: readonly Zone[] }) {
  const set = (to: (zone: Zone) => Zone['lid']) => {
    const { question, do: act } = store.getState();
    act(zones.flatMap((zone) => setZone(question, zone.id, 'lid', to(zone))));
  };
  const lid = common(zones, (zone) => zone.lid);
  const has = common(zones, (zone) => (zone.lid ? 'lid' : 'none'));
  return (
    <>
      <Choice
        label="Lid"
        options={[
          ['none', 'none'],
          ['lid', 'covers what is inside'],
        ]}
        value={has ?? null}
        onChoose={(which) => set((zone) => (which === 'none' ? null : (zone.lid ?? { label: '', startsOpen: false })))}
      />
      {has === 'lid' && (
        <Setting label="">
          <Typed
            label="Words on the lid"
            className="input input-sm w-36"
            value={lid?.label ?? ''}
            onTyped={(label) => set((zone) => zone.lid && { ...zone.lid, label })}
          />
          <label className="flex items-center gap-1">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={common(zones, (zone) => zone.lid?.startsOpen) === true}
              onChange={(event) => set((zone) => zone.lid && { ...zone.lid, startsOpen: event.target.checked })}
            />
            open at the start
          </label>
        </Setting>
      )}
    </>
  );
}
