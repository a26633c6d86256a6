// Our small set of components over daisyUI. A learner's page imports the files it needs, so that tables and dates stay
// out of it.
export { type ApiError, ApiFailure, type ApiResult, api, ask, conflictIn, mapped } from './api';
export { type Columns, DataTable } from './DataTable';
export { Dialog } from './Dialog';
export { Field } from './Field';
export { shownMark } from './figures';
export { useRequestForm } from './form';
export { Scrolls } from './Scrolls';
export { ago, asTyped, asTypedDay, clock, day, duration, elsewhere, moment, typedTime } from './when';
export { zone } from './zone';
