/** A record in which nothing is set is none. */
export const orNull = <Value extends object>(value: Value): Value | null =>
  Object.values(value).every((field) => field === null) ? null : value;
