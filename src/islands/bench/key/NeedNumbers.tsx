import type { Need } from '../../../core';
import { NumberSetting, Setting } from '../parts/Setting';

const MOST = 10_000;

/** The numbers of a need: exactly so many, at least so many, or between two. */
export function NeedNumbers({ need, onSet }: { need: Need; onSet: (need: Need) => void }) {
  switch (need.rule) {
    case 'all':
      return null;
    case 'exactly':
    case 'atLeast':
      return (
        <Setting label="">
          <NumberSetting
            label={need.rule === 'exactly' ? 'Exactly how many' : 'At least how many'}
            value={need.n}
            least={0}
            most={MOST}
            whole
            onSet={(n) => n !== null && onSet({ ...need, n })}
          />
        </Setting>
      );
    case 'between':
      return (
        <Setting label="">
          <NumberSetting
            label="At the least"
            value={need.min}
            least={0}
            most={need.max}
            whole
            onSet={(min) => min !== null && onSet({ ...need, min })}
          />
          <span>to</span>
          <NumberSetting
            label="At the most"
            value={need.max}
            least={need.min}
            most={MOST}
            whole
            onSet={(max) => max !== null && onSet({ ...need, max })}
          />
        </Setting>
      );
  }
}
