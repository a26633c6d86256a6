import { createContext } from 'react';

/** The language that what is drawn is written in (a tag); null: none is said. */
export const Written = createContext<string | null>(null);
