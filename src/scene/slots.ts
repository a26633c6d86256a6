import { createContext, type ReactNode } from 'react';

/** What stands at a slot of a text: by the zone's name. Null: a blank, as at the Bench. */
export const Slots = createContext<((zone: string) => ReactNode) | null>(null);
