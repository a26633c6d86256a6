import type { Problem } from './problem';

/**
 * Limits that no honest question comes near; they keep hostile input from costing time or memory before the schema sees
 * it.
 */
const MAX_CHARACTERS = 8 * 1024 * 1024;
const DEEPEST = 64;
const MAX_ENTRIES = 10_000;
const MAX_VALUES = 400_000;

/** The limits of a text or value. `values`: entries of all lists and objects together. */
export interface GuardLimits {
  readonly characters: number;
  readonly depth: number;
  readonly values: number;
}
const DOCUMENT_LIMITS: GuardLimits = { characters: MAX_CHARACTERS, depth: DEEPEST, values: MAX_VALUES };

type Guarded = { ok: true; value: unknown } | { ok: false; problems: Problem[] };
const refuse = (message: string, path = ''): Guarded => ({ ok: false, problems: [{ path, message }] });

/**
 * Parses JSON text. Text that is too long, too deep or has too many values is refused first, before anything is built.
 */
export function guardText(text: string, limits: GuardLimits = DOCUMENT_LIMITS): Guarded {
  if (text.length > limits.characters) return refuse(`The document is longer than ${limits.characters} characters.`);
  const { deepest, values } = sizeOf(text);
  if (deepest > limits.depth) return refuse(`The document is nested more than ${limits.depth} levels deep.`);
  if (values > limits.values) return refuse(`The document holds more than ${limits.values} values.`);
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch (error) {
    return refuse(`This is not JSON: ${(error as Error).message}.`);
  }
}

/** The depth of a JSON text and the number of its values (a comma or an opening bracket starts one), in one pass. */
function sizeOf(text: string): { deepest: number; values: number } {
  let depth = 0;
  let deepest = 0;
  let values = 0;
  let inString = false;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (inString) {
      if (code === 92) i++;
      else if (code === 34) inString = false;
    } else if (code === 34) inString = true;
    else if (code === 44) values++;
    else if (code === 91 || code === 123) {
      values++;
      deepest = Math.max(deepest, ++depth);
    } else if (code === 93 || code === 125) depth--;
  }
  return { deepest, values };
}

/**
 * The same for a value that is parsed already (a request's body). It also refuses the name that could reach an object's
 * prototype.
 */
export function guardValue(value: unknown): Guarded {
  const waiting: { value: unknown; path: string; depth: number }[] = [{ value, path: '', depth: 0 }];
  let values = 0;
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    const { value: here, path, depth } = next;
    if (here === null || typeof here !== 'object') continue;
    const entries = Array.isArray(here) ? here.length : Object.keys(here).length;
    if (entries > MAX_ENTRIES) return refuse(`There are more than ${MAX_ENTRIES} entries here.`, path);
    values += entries;
    if (values > MAX_VALUES) return refuse(`The document holds more than ${MAX_VALUES} values.`);
    if (depth > DEEPEST) return refuse(`The document is nested more than ${DEEPEST} levels deep.`);
    if (Array.isArray(here)) {
      for (const [i, entry] of here.entries())
        if (entry !== null && typeof entry === 'object')
          waiting.push({ value: entry, path: `${path}[${i}]`, depth: depth + 1 });
      continue;
    }
    for (const name of Object.keys(here)) {
      const place = path === '' ? name : `${path}.${name}`;
      if (name === '__proto__') return refuse(`${name} is not a field that is known here.`, place);
      waiting.push({ value: (here as Record<string, unknown>)[name], path: place, depth: depth + 1 });
    }
  }
  return { ok: true, value };
}
