/** A time as it crosses the network: ISO 8601 in UTC, such as 2026-11-25T10:00:00.000Z. */
export type Moment = `${string}T${string}Z`;

/** A value as JSON has it: the same, with its dates as texts. `src/ui/wire.ts` makes one of the other. */
export type Wire<Value> = Value extends Date
  ? Moment
  : Value extends string | number | boolean | bigint | symbol | null | undefined
    ? Value
    : Value extends object
      ? { [Key in keyof Value]: Wire<Value[Key]> }
      : Value;

/** A value as JSON text. `holds` is a type alone. */
export type JsonText<Value> = string & { readonly holds?: Value };
