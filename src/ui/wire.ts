import type { JsonText, Wire } from '../contract';

/** A value as JSON has it, for what a page hands to its islands. */
export function toWire<Value>(value: Value): Wire<Value> {
  const made = (part: unknown): unknown => {
    if (part instanceof Date) return part.toISOString();
    if (Array.isArray(part)) return part.map(made);
    if (part === null || typeof part !== 'object') return part;
    return Object.fromEntries(Object.entries(part).map(([key, inner]) => [key, made(inner)]));
  };
  return made(value) as Wire<Value>;
}

/** The same as one text, which a page writes in far less time than a value in many parts. */
export const toJson = <Value>(value: Value): JsonText<Value> => JSON.stringify(value);
export const fromJson = <Value>(text: JsonText<Value>): Wire<Value> => JSON.parse(text) as Wire<Value>;
