import type * as contract from '../../contract';
import type { SentMove } from '../../core';

export type { BoardView, NamedCopy, SentMove, Told, TryView } from '../../core';

// The server's answers about an attempt.
export type Place = contract.Place;
export type SittingView = contract.Wire<contract.SittingView>;
export type MovesAnswer = contract.Wire<contract.MovesAnswer>;
export type Summary = contract.Wire<contract.Summary>;

type Without<Union, Key extends PropertyKey> = Union extends unknown ? Omit<Union, Key> : never;
/** A move before it is sent. */
export type LocalMove = Without<SentMove, 'id'>;
