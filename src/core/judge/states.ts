import type { ITEM_STATES, ZONE_STATES } from '../document/appearance';
import type { Verdict } from './verdict';

export type ItemState = (typeof ITEM_STATES)[number];
export type ZoneState = (typeof ZONE_STATES)[number];

/** What happens to one copy. `settled` and `judged` say whether its look puts it away when it is taken. */
export type ItemEvent =
  | { readonly type: 'pickUp' }
  | { readonly type: 'over'; readonly zone: boolean }
  | { readonly type: 'settled'; readonly putAway: boolean }
  | { readonly type: 'turnedAway' }
  /** Only the server can tell, and the browser is offline. */
  | { readonly type: 'waiting' }
  /** Let go in no zone, put back, or sent home. */
  | { readonly type: 'released' }
  | { readonly type: 'judged'; readonly verdict: Verdict; readonly putAway: boolean }
  /** The learner continues after feedback, or a brief effect is over. */
  | { readonly type: 'wentOn' };

/** The next state of a copy. An event that means nothing in a state leaves it as it is. */
export function nextItemState(state: ItemState, event: ItemEvent): ItemState {
  switch (event.type) {
    case 'pickUp':
      return state === 'putAway' ? state : 'inHand';
    case 'over':
      return state === 'inHand' || state === 'overZone' ? (event.zone ? 'overZone' : 'inHand') : state;
    case 'settled':
      return event.putAway ? 'putAway' : 'settled';
    case 'turnedAway':
      return 'turnedAway';
    case 'waiting':
      return 'waiting';
    case 'released':
      return 'rest';
    case 'judged':
      if (state === 'inHand' || state === 'overZone' || state === 'putAway' || event.verdict === 'none') return state;
      return event.verdict === 'right' && event.putAway ? 'putAway' : event.verdict;
    case 'wentOn':
      if (state === 'turnedAway') return 'rest';
      return state === 'right' || state === 'wrong' ? 'settled' : state;
  }
}

/** What happens to one zone. `full`: it holds as many as its capacity, once the event has happened. */
export type ZoneEvent =
  /** Something was picked up: could the zone take it? */
  | { readonly type: 'pickUp'; readonly could: boolean; readonly full: boolean }
  /** What is in hand is over this zone, or over it no longer. */
  | { readonly type: 'over'; readonly here: boolean; readonly could: boolean; readonly full: boolean }
  /** What was in hand was let go, and this zone took it, turned it away, or had nothing to do with it. */
  | { readonly type: 'letGo'; readonly here: 'took' | 'turnedAway' | 'elsewhere'; readonly full: boolean }
  | { readonly type: 'judged'; readonly satisfied: boolean | null; readonly full: boolean }
  | { readonly type: 'wentOn'; readonly full: boolean };

const atRest = (full: boolean): ZoneState => (full ? 'full' : 'rest');

/** The next state of a zone. */
export function nextZoneState(state: ZoneState, event: ZoneEvent): ZoneState {
  switch (event.type) {
    case 'pickUp':
      return event.could ? 'calling' : atRest(event.full);
    case 'over':
      if (event.here) return 'underItem';
      return event.could ? 'calling' : atRest(event.full);
    case 'letGo':
      if (event.here === 'took') return 'taking';
      return event.here === 'turnedAway' ? 'refusing' : atRest(event.full);
    case 'judged':
      if (event.satisfied === null) return state === 'right' || state === 'wrong' ? atRest(event.full) : state;
      return event.satisfied ? 'right' : 'wrong';
    case 'wentOn':
      return atRest(event.full);
  }
}
