import type { Marks } from '../../document/schema';
import { allOrNothing } from './allOrNothing';
import { perPlacement } from './perPlacement';
import { perZone } from './perZone';
import type { MarksRule } from './rule';

export const marksRules: { readonly [Rule in Marks['rule']]: MarksRule } = { allOrNothing, perZone, perPlacement };
