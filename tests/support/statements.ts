// What xAPI 1.0.3 (part 2) asks of a statement, by its tables: written from the standard’s text, apart from what makes
// statements, and stricter than the stand-in store.

type Fields = Record<string, unknown>;
const fields = (value: unknown): Fields => (typeof value === 'object' && value !== null ? (value as Fields) : {});

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-5][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
const MAY: Record<string, readonly string[]> = {
  statement: ['id', 'actor', 'verb', 'object', 'result', 'context', 'timestamp'],
  actor: ['objectType', 'name', 'account'],
  account: ['homePage', 'name'],
  verb: ['id', 'display'],
  object: ['objectType', 'id', 'definition'],
  definition: [
    ...['name', 'description', 'type', 'moreInfo', 'interactionType', 'correctResponsesPattern'],
    ...['choices', 'scale', 'source', 'target', 'steps', 'extensions'],
  ],
  result: ['score', 'success', 'completion', 'response', 'duration', 'extensions'],
  score: ['scaled', 'raw', 'min', 'max'],
  context: ['registration', 'contextActivities', 'statement', 'platform', 'language', 'extensions'],
};
const LISTS: Record<string, readonly string[]> = {
  ...{ choice: ['choices'], sequencing: ['choices'], matching: ['source', 'target'] },
  ...{ 'fill-in': [], numeric: [], other: [] },
};
const isIri = (value: unknown) => typeof value === 'string' && /^https?:\/\/[^\s<>"{}|\\^`]+$/.test(value);

/** Each fault as a sentence with its place. Parts that are not there are passed over, so that a part can be looked at. */
export function problemsOf(whole: unknown): string[] {
  const problems: string[] = [];
  const say = (problem: string) => problems.push(problem);
  const known = (part: unknown, kind: string) => {
    for (const name of Object.keys(fields(part))) if (!MAY[kind]?.includes(name)) say(`${kind}.${name} is unknown`);
  };
  const map = (value: unknown, where: string) => {
    for (const [language, text] of Object.entries(fields(value))) {
      if (!/^[a-zA-Z]{2,8}(?:-[a-zA-Z0-9]{1,8})*$/.test(language)) say(`${where}: ${language} is no language`);
      if (typeof text !== 'string') say(`${where}.${language} is no text`);
    }
  };
  const extensions = (value: unknown, where: string) => {
    for (const name of Object.keys(fields(value))) if (!isIri(name)) say(`${where}: ${name} is no address`);
  };
  const definition = (given: unknown) => {
    const { name, description, type, interactionType, correctResponsesPattern, ...rest } = fields(given);
    known(given, 'definition');
    map(name, 'name');
    map(description, 'description');
    if (!isIri(type)) say('definition.type is no address');
    extensions(rest.extensions, 'definition.extensions');
    if (interactionType === undefined) return;
    const lists = LISTS[String(interactionType)];
    if (!lists) {
      say(`interactionType ${String(interactionType)}`);
      return;
    }
    const ids: Record<string, string[]> = {};
    for (const list of ['choices', 'scale', 'source', 'target', 'steps']) {
      if (rest[list] === undefined) continue;
      if (!lists.includes(list)) say(`${list} with ${String(interactionType)}`);
      ids[list] = (rest[list] as Fields[]).map(({ id, description: words }) => {
        map(words, list);
        if (typeof id !== 'string' || /\s|\[[,.:]\]/.test(id)) say(`${list}: ${String(id)}`);
        return String(id);
      });
      if (new Set(ids[list]).size < (ids[list]?.length ?? 0)) say(`${list} twice`);
    }
    for (const list of lists) if (!ids[list]) say(`no ${list}`);
    for (const pattern of (correctResponsesPattern as string[] | undefined) ?? [])
      response(String(interactionType), pattern, ids);
  };
  /** A response or a pattern, by its interaction: it names only what is there. */
  const response = (form: string, text: string, ids: Record<string, string[]>) => {
    if (typeof text !== 'string') {
      say('response is no text');
      return;
    }
    const parts = text === '' ? [] : text.split('[,]');
    const isKnown = (list: string, id: string) => ids[list]?.includes(id) || say(`${form}: ${id} is not in ${list}`);
    if (form === 'choice' || form === 'sequencing') for (const part of parts) isKnown('choices', part);
    if (form === 'numeric' && !/^(?:-?\d+(?:\.\d+)?)?(?:\[:\](?:-?\d+(?:\.\d+)?)?)?$/.test(text))
      say(`numeric ${text}`);
    if (form === 'matching')
      for (const part of parts) {
        const [source = '', target = '', more] = part.split('[.]');
        if (more !== undefined) say(`a pair of three: ${part}`);
        isKnown('source', source);
        isKnown('target', target);
      }
  };
  const { id, actor, verb, object, result, context, timestamp } = fields(whole);
  const given = fields(object).definition ?? fields(whole).definition;
  if (given) definition(given);
  if (!('id' in fields(whole))) return problems;
  known(whole, 'statement');
  known(actor, 'actor');
  known(fields(actor).account, 'account');
  known(verb, 'verb');
  known(object, 'object');
  known(result, 'result');
  known(fields(result).score, 'score');
  known(context, 'context');
  if (!UUID.test(String(id))) say('id is no UUID');
  if (!isIri(fields(fields(actor).account).homePage)) say('actor.account.homePage');
  if (!isIri(fields(verb).id)) say('verb.id');
  map(fields(verb).display, 'verb.display');
  if (fields(object).objectType !== 'Activity' || !isIri(fields(object).id)) say('object.id');
  if (!/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d+)?Z$/.test(String(timestamp))) say('timestamp');
  const { score, duration, success, completion, response: answer } = fields(result);
  const { scaled, raw, min, max } = fields(score) as Record<string, number | undefined>;
  if (score && !(min !== undefined && max !== undefined && raw !== undefined && min < max && raw >= min && raw <= max))
    say('score');
  if (scaled !== undefined && !(scaled >= -1 && scaled <= 1)) say('score.scaled');
  if (duration !== undefined && !/^PT\d+(?:\.\d{1,2})?S$/.test(String(duration))) say('duration');
  for (const flag of [success, completion]) if (flag !== undefined && typeof flag !== 'boolean') say('a flag');
  extensions(fields(result).extensions, 'result.extensions');
  if (answer !== undefined) {
    const { interactionType, ...lists } = fields(given);
    const ids = Object.fromEntries(
      ['choices', 'source', 'target'].flatMap((list) =>
        lists[list] ? [[list, (lists[list] as { id: string }[]).map((component) => component.id)]] : [],
      ),
    );
    response(String(interactionType), answer as string, ids);
  }
  const { registration, statement, contextActivities } = fields(context);
  if (registration !== undefined && !UUID.test(String(registration))) say('registration');
  if (
    statement !== undefined &&
    !(fields(statement).objectType === 'StatementRef' && UUID.test(String(fields(statement).id)))
  )
    say('context.statement');
  for (const [name, list] of Object.entries(fields(contextActivities))) {
    if (!['parent', 'grouping', 'category', 'other'].includes(name)) say(`contextActivities.${name}`);
    for (const activity of list as Fields[]) if (!isIri(activity.id)) say('a context activity');
  }
  return problems;
}
