import { isSimplePolygon } from '../geometry/simplePolygon';
import { belongsIn } from '../judge/keyed';
import { questionModel, UNREAD } from '../judge/model';
import { boardFromPlacements } from '../judge/placements';
import { materialProblems } from './materialReferences';
import type { Problem } from './problem';
import { MAX_CORNERS, type Question } from './schema';
import { whenProblems } from './whenReferences';

/**
 * What a schema of shapes cannot check: that names are unique and exist, and that the parts of a key entry fit
 * together.
 */
export function referenceProblems(question: Question): Problem[] {
  const problems = [
    ...duplicateIds('items', question.items),
    ...duplicateIds('zones', question.zones),
    ...duplicateIds('fixtures', question.fixtures),
    ...shapeProblems(question),
    ...ridingProblems(question),
    ...typedProblems(question),
    ...keyProblems(question),
    ...eitherProblems(question),
    ...poolProblems(question),
    ...materialProblems(question),
    ...whenProblems(question),
    ...benchProblems(question),
  ];
  return problems.length > 0 ? problems : startProblems(question);
}

/** A zone rides on an item that exists, of which there is one. */
function ridingProblems({ items, zones }: Question): Problem[] {
  return zones.flatMap(({ ridesOn }, i) => {
    if (ridesOn === null) return [];
    const carrier = items.find((item) => item.id === ridesOn);
    if (!carrier) return [{ path: `zones[${i}].ridesOn`, message: `There is no item "${ridesOn}".` }];
    return carrier.copies === 1
      ? []
      : [{ path: `zones[${i}].ridesOn`, message: `Item "${ridesOn}" carries a zone, so it has to have one copy.` }];
  });
}

function typedProblems({ items, zones }: Question): Problem[] {
  const ids = new Set<string>(items.map((item) => item.id));
  return zones.flatMap(({ typed }, i) =>
    Object.keys(typed?.accept ?? {}).flatMap((id) =>
      ids.has(id) ? [] : [{ path: `zones[${i}].typed.accept.${id}`, message: `There is no item "${id}".` }],
    ),
  );
}

/** What the Bench notes of things is of things that exist; a thing is in one group at most. */
function benchProblems({ bench, items, zones, fixtures }: Question): Problem[] {
  const standing = new Set<string>([
    ...items.map(({ id }) => `item:${id}`),
    ...zones.map(({ id }) => `zone:${id}`),
    ...fixtures.map(({ id }) => `fixture:${id}`),
  ]);
  const named = (path: string, refs: readonly string[]) =>
    refs.flatMap((ref, i): Problem[] =>
      standing.has(ref) ? [] : [{ path: `${path}[${i}]`, message: `There is no "${ref}" on the scene.` }],
    );
  const grouped = new Set<string>();
  const twice = bench.groups.flatMap((group, i) =>
    group.flatMap((ref, j): Problem[] => {
      const again = grouped.has(ref);
      grouped.add(ref);
      return again ? [{ path: `bench.groups[${i}][${j}]`, message: `"${ref}" is in a group already.` }] : [];
    }),
  );
  return [
    ...named('bench.locked', bench.locked),
    ...named('bench.veiled', bench.veiled),
    ...bench.groups.flatMap((group, i) => named(`bench.groups[${i}]`, group)),
    ...twice,
  ];
}

/** The starting arrangement is one that the zones can hold. */
function startProblems(question: Question): Problem[] {
  if (!question.start) return [];
  const placing = boardFromPlacements(questionModel({ ...question, start: null }), question.start.placements);
  return placing.ok ? [] : [{ path: `start.${placing.path}`, message: `${placing.message}.` }];
}

function duplicateIds(listName: 'items' | 'zones' | 'fixtures', entries: readonly { id: string }[]): Problem[] {
  const seen = new Set<string>();
  return entries.flatMap(({ id }, i) => {
    if (listName === 'items' && id === UNREAD)
      return [
        { path: `items[${i}].id`, message: `The id "${UNREAD}" is reserved for typed texts that nothing accepts.` },
      ];
    const again = seen.has(id);
    seen.add(id);
    return again ? [{ path: `${listName}[${i}].id`, message: `Id "${id}" is used twice among the ${listName}.` }] : [];
  });
}

function shapeProblems(question: Question): Problem[] {
  const corners = question.zones.reduce(
    (sum, { shape }) => sum + (shape.type === 'polygon' ? shape.points.length : 0),
    0,
  );
  if (corners > MAX_CORNERS)
    return [
      {
        path: 'zones',
        message: `The outlines of the zones have ${corners} corners together: at most ${MAX_CORNERS} are taken.`,
      },
    ];
  return question.zones.flatMap(({ shape, rotation }, i) => {
    if (shape.type !== 'polygon') return [];
    if (rotation !== 0)
      return [
        { path: `zones[${i}].rotation`, message: 'A polygon is turned by its points: its rotation has to be 0.' },
      ];
    return isSimplePolygon(shape.points)
      ? []
      : [{ path: `zones[${i}].shape.points`, message: 'The outline crosses or touches itself.' }];
  });
}

function keyProblems(question: Question): Problem[] {
  const items = new Map(question.items.map((item) => [item.id, item]));
  const zones = new Set(question.zones.map((zone) => zone.id));
  const keyed = new Set<string>();
  return question.key.flatMap((entry, i) => {
    const at = `key[${i}]`;
    const problems: Problem[] = [];
    const say = (field: string, message: string) => problems.push({ path: `${at}.${field}`, message });
    if (!zones.has(entry.zone)) say('zone', `There is no zone "${entry.zone}".`);
    else if (keyed.has(entry.zone)) say('zone', `Zone "${entry.zone}" has a key entry already.`);
    keyed.add(entry.zone);

    const named = new Set<string>();
    for (const [j, id] of (entry.belongs ?? []).entries()) {
      if (!items.has(id)) say(`belongs[${j}]`, `There is no item "${id}".`);
      else if (named.has(id)) say(`belongs[${j}]`, `Item "${id}" is listed twice.`);
      named.add(id);
    }

    if (entry.need?.rule === 'between' && entry.need.min > entry.need.max) say('need', 'Need has a min above its max.');
    if (entry.sum && entry.sequence) say('sequence', 'A sequence cannot have a sum as well.');
    if (entry.belongs === null && !entry.sum) say('belongs', 'Belongs is missing.');
    if (entry.belongs?.length === 0 && entry.sum)
      say('belongs', 'With a sum, belongs has to list one item or more, or be left out.');
    if (entry.need === null && !entry.sum && !entry.sequence) say('need', 'Need is missing.');
    if (entry.sequence) {
      if (entry.belongs?.length === 0) say('belongs', 'A sequence has to list one item or more.');
      if (entry.need && entry.need.rule !== 'all') say('need', 'The need of a sequence is all.');
      for (const [j, id] of (entry.belongs ?? []).entries())
        if (items.has(id) && items.get(id)?.copies !== 1)
          say(`belongs[${j}]`, `Item "${id}" stands in a sequence, so it has to have one copy.`);
    }
    if (entry.need?.rule === 'all' && belongsIn(question, entry).some((id) => items.get(id)?.copies === 'endless'))
      say('need', 'All of an endless item cannot be needed.');
    return problems;
  });
}

function eitherProblems(question: Question): Problem[] {
  const items = new Map<string, Question['items'][number]>(question.items.map((item) => [item.id, item]));
  const own = new Map<string, Question['key'][number]>(question.key.map((entry) => [entry.zone, entry]));
  const zones = new Set<string>(question.zones.map(({ id }) => id));
  const keyed = new Set<string>();
  return question.either.flatMap(({ belongs, zones: into, need }, i) => {
    const problems: Problem[] = [];
    const say = (field: string, message: string) => problems.push({ path: `either[${i}].${field}`, message });
    const named = new Set<string>();
    if (into.length < 2) say('zones', 'An either entry names two zones or more.');
    for (const [j, id] of into.entries()) {
      if (!zones.has(id)) say(`zones[${j}]`, `There is no zone "${id}".`);
      else if (named.has(id)) say(`zones[${j}]`, `Zone "${id}" is named twice.`);
      else if (own.get(id)?.sequence) say(`zones[${j}]`, `Zone "${id}" wants a sequence: it cannot be one of several.`);
      named.add(id);
    }
    for (const [j, id] of belongs.entries()) {
      const there = into.find((zone) => own.get(zone)?.belongs?.includes(id));
      if (!items.has(id)) say(`belongs[${j}]`, `There is no item "${id}".`);
      else if (keyed.has(id)) say(`belongs[${j}]`, `Item "${id}" is in an either entry already.`);
      else if (there !== undefined) say(`belongs[${j}]`, `Item "${id}" belongs in zone "${there}" by its own entry.`);
      keyed.add(id);
    }
    if (need.rule === 'between' && need.min > need.max) say('need', 'Need has a min above its max.');
    if (need.rule === 'all' && belongs.some((id) => items.get(id)?.copies === 'endless'))
      say('need', 'All of an endless item cannot be needed.');
    return problems;
  });
}

function poolProblems({ items, zones, pools }: Question): Problem[] {
  const ids = new Set<string>(items.map(({ id }) => id));
  const carriers = new Set<string | null>(zones.map(({ ridesOn }) => ridesOn));
  const pooled = new Set<string>();
  return pools.flatMap((pool, i) => {
    const problems = pool.items.flatMap((id, j): Problem[] => {
      const path = `pools[${i}].items[${j}]`;
      const again = pooled.has(id);
      pooled.add(id);
      if (!ids.has(id)) return [{ path, message: `There is no item "${id}".` }];
      if (again) return [{ path, message: `Item "${id}" is in a pool already.` }];
      return carriers.has(id) ? [{ path, message: `Item "${id}" carries a zone, so it cannot be drawn.` }] : [];
    });
    if (pool.take > pool.items.length)
      problems.push({
        path: `pools[${i}].take`,
        message: `There are only ${pool.items.length} items to take ${pool.take} of.`,
      });
    return problems;
  });
}
