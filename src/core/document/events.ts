/** What a fixture can answer: the first four follow from the arrangement, the others from how it was judged. */
export const WHEN_EVENTS = ['taking', 'full', 'holds', 'putAway', 'right', 'partly', 'wrong'] as const;

/** Is an event always one of a zone? */
export const isOfZone = (on: (typeof WHEN_EVENTS)[number]): boolean =>
  on === 'taking' || on === 'full' || on === 'holds';
