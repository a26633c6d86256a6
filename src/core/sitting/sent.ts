import type { Move } from '../judge/replay';
import type { Names } from './learnerEdition';

/** A move as a learner's browser sends it: drawn names, and an id it made. */
export type SentMove =
  | {
      readonly id: string;
      readonly kind: 'drop';
      readonly item: string;
      readonly copy: number;
      readonly x: number;
      readonly y: number;
      readonly px: number;
      readonly py: number;
      readonly at?: number | undefined;
    }
  | { readonly id: string; readonly kind: 'put'; readonly item: string; readonly copy: number; readonly zone: string | null; readonly at?: number | undefined }
  | { readonly id: string; readonly kind: 'reset' }
  | { readonly id: string; readonly kind: 'check' };

/** A drawn name that is not of this sitting becomes a name no item has, and is refused with its place like any other. */
export function inOwnNames(sent: SentMove, names: Names): Move {
  switch (sent.kind) {
    case 'reset':
    case 'check':
      return { kind: sent.kind };
    case 'drop': {
      const { id: _, item, ...rest } = sent;
      return { ...rest, item: names.itemId.get(item) ?? '' };
    }
    case 'put': {
      const { id: _, item, zone, ...rest } = sent;
      return { ...rest, item: names.itemId.get(item) ?? '', zone: zone === null ? null : (names.zoneId.get(zone) ?? '') };
    }
  }
}
