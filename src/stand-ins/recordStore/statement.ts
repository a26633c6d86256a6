// What xAPI 1.0.3 (part 2) asks of a statement, as far as a tool for questions can miss it. It shares nothing with the
// tool, so that the two cannot be wrong together.

export interface Statement {
  readonly id: string;
  readonly actor: { readonly name?: string; readonly account: { readonly homePage: string; readonly name: string } };
  readonly verb: { readonly id: string; readonly display?: Readonly<Record<string, string>> };
  readonly object: { readonly id: string; readonly definition?: { readonly name?: Readonly<Record<string, string>> } };
  readonly result?: {
    readonly response?: string;
    readonly success?: boolean;
    readonly score?: { readonly raw: number; readonly max: number };
  };
  readonly timestamp: string;
}

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;
const IRI = /^[a-z][a-z0-9+.-]*:\S+$/i;
const TIME = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d+)?(?:Z|[+-]\d\d:\d\d)$/;
const DURATION = /^P(?:\d+D)?(?:T(?:\d+H)?(?:\d+M)?(?:\d+(?:\.\d+)?S)?)?$/;
const LANGUAGE = /^[a-z]{2,8}(?:-[a-z0-9]{1,8})*$/i;

/** Which lists of components an interaction may have. */
const COMPONENTS: Readonly<Record<string, readonly string[]>> = {
  ...{ 'true-false': [], choice: ['choices'], 'fill-in': [], 'long-fill-in': [], likert: ['scale'] },
  ...{ matching: ['source', 'target'], performance: ['steps'], sequencing: ['choices'], numeric: [], other: [] },
};
const KNOWN = ['id', 'actor', 'verb', 'object', 'result', 'context', 'timestamp', 'version', 'authority', 'stored'];

/** What is wrong with a statement, as sentences; none: it is well. */
export function problemsOf(statement: unknown): string[] {
  if (!isFields(statement)) return ['it is no object'];
  const problems: string[] = [];
  const need = (holds: boolean, problem: string) => {
    if (!holds) problems.push(problem);
  };
  const { id, actor, verb, object, result, context, timestamp } = statement;
  for (const name of Object.keys(statement)) need(KNOWN.includes(name), `${name} is unknown`);
  need(!hasNull(statement), 'a value is null');
  need(typeof id === 'string' && UUID.test(id), 'id is no UUID');
  need(typeof timestamp === 'string' && TIME.test(timestamp), 'timestamp is no ISO 8601 time with a zone');
  const account = isFields(actor) ? actor.account : undefined;
  need(
    isFields(account) && isIri(account.homePage) && typeof account.name === 'string' && account.name !== '',
    'actor has no account',
  );
  need(isFields(verb) && isIri(verb.id) && isLanguageMap(verb.display), 'verb has no address or words');
  need(isFields(object) && isIri(object.id), 'object has no address');
  if (isFields(object)) problems.push(...definitionProblems(object.definition));
  if (result !== undefined) problems.push(...resultProblems(result));
  if (isFields(context) && context.registration !== undefined)
    need(typeof context.registration === 'string' && UUID.test(context.registration), 'registration is no UUID');
  return problems;
}

function definitionProblems(definition: unknown): string[] {
  if (definition === undefined) return [];
  if (!isFields(definition)) return ['definition is no object'];
  const { name, description, type, interactionType, correctResponsesPattern, extensions } = definition;
  const problems: string[] = [];
  for (const [which, map] of Object.entries({ name, description }))
    if (map !== undefined && !isLanguageMap(map)) problems.push(`definition.${which} is no language map`);
  if (type !== undefined && !isIri(type)) problems.push('definition.type is no address');
  if (extensions !== undefined && !isExtensions(extensions)) problems.push('definition.extensions have no addresses');
  const lists = typeof interactionType === 'string' ? COMPONENTS[interactionType] : undefined;
  if (interactionType !== undefined && !lists) problems.push('interactionType is unknown');
  if (
    correctResponsesPattern !== undefined &&
    !(Array.isArray(correctResponsesPattern) && correctResponsesPattern.every((text) => typeof text === 'string'))
  )
    problems.push('correctResponsesPattern is no list of texts');
  for (const list of ['choices', 'scale', 'source', 'target', 'steps'] as const) {
    const components = definition[list];
    if (components === undefined) continue;
    if (!lists?.includes(list)) problems.push(`${list} do not go with ${String(interactionType)}`);
    const ids = Array.isArray(components) ? components.map((component) => isFields(component) && component.id) : [];
    if (ids.length === 0 || ids.some((id) => typeof id !== 'string' || id === '')) problems.push(`${list} lack an id`);
    if (new Set(ids).size < ids.length) problems.push(`${list} have an id twice`);
  }
  return problems;
}

function resultProblems(result: unknown): string[] {
  if (!isFields(result)) return ['result is no object'];
  const { score, success, completion, response, duration, extensions } = result;
  const problems: string[] = [];
  for (const [name, flag] of Object.entries({ success, completion }))
    if (flag !== undefined && typeof flag !== 'boolean') problems.push(`${name} is neither true nor false`);
  if (response !== undefined && typeof response !== 'string') problems.push('response is no text');
  if (duration !== undefined && !(typeof duration === 'string' && DURATION.test(duration)))
    problems.push('duration is none of ISO 8601');
  if (extensions !== undefined && !isExtensions(extensions)) problems.push('extensions have no addresses');
  if (score !== undefined && !isScore(score)) problems.push('score is out of its bounds');
  return problems;
}

function isScore(score: unknown): boolean {
  if (!isFields(score)) return false;
  const { scaled, raw, min, max } = score;
  const numbers = [scaled, raw, min, max].filter((value) => value !== undefined);
  if (!numbers.every((value) => typeof value === 'number' && Number.isFinite(value))) return false;
  const [share = 0, mark = 0, least = Number.NEGATIVE_INFINITY, most = Number.POSITIVE_INFINITY] = [
    ...[scaled, raw, min, max],
  ] as (number | undefined)[];
  return share >= -1 && share <= 1 && least < most && (raw === undefined || (mark >= least && mark <= most));
}

const isIri = (value: unknown): boolean => typeof value === 'string' && IRI.test(value);
const isLanguageMap = (value: unknown): boolean =>
  isFields(value) &&
  Object.entries(value).every(([language, text]) => LANGUAGE.test(language) && typeof text === 'string');
const isExtensions = (value: unknown): boolean => isFields(value) && Object.keys(value).every(isIri);

/** Only extensions may hold null. */
const hasNull = (value: unknown): boolean =>
  value === null ||
  (Array.isArray(value) && value.some(hasNull)) ||
  (isFields(value) && Object.entries(value).some(([name, field]) => name !== 'extensions' && hasNull(field)));
