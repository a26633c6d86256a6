// The measurements of the core: grading, overlap, proof, and solving against an integer programming package. Prints a
// table and JSON.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import polygonClipping from 'polygon-clipping';
import { prove, questionModel, respond } from '../src/core';
import { overlapShare, rectOutline } from '../src/core/geometry/outline';
import { ordinary, response, seeded } from './generate';
import { byTurns, type Measured, median, report, shown } from './measure';
import { againstProgramming } from './programming';

function grading(): Measured {
  const question = ordinary(12, 3);
  const model = questionModel(question);
  const next = seeded('grading');
  const answers = Array.from({ length: 500 }, (_, i) => response(question, `r-${i}`, next));
  let at = 0;
  const [grade, clone] = byTurns(
    () => respond(model, answers[at++ % answers.length]),
    () => structuredClone([question, answers[at++ % answers.length]]),
  );
  return {
    name: 'grading an answer (12 items, 3 zones) / structuredClone',
    value: `${shown(grade / clone)} (${shown(grade / 1000)} µs / ${shown(clone / 1000)} µs)`,
    goal: '≤ 1',
    met: grade <= clone,
    grade,
    clone,
  };
}

const LINES = 1_000_000;

async function lines(): Promise<Measured[]> {
  const folder = mkdtempSync(join(tmpdir(), 'vault-drop-bench-'));
  try {
    const question = ordinary(12, 3);
    writeFileSync(join(folder, 'question.json'), JSON.stringify(question));
    const file = join(folder, 'responses.jsonl');
    const next = seeded('lines');
    const some = Array.from({ length: 1000 }, (_, i) => JSON.stringify(response(question, `r-${i}`, next)));
    const out = createWriteStream(file);
    for (let i = 0; i < LINES / 1000; i++) if (!out.write(`${some.join('\n')}\n`)) await once(out, 'drain');
    out.end();
    await once(out, 'finish');

    // JSON.parse alone, over the quickest way to its lines.
    const alone = `import { createReadStream } from 'node:fs'; let rest = ''; let n = 0;
      for await (const chunk of createReadStream(${JSON.stringify(file)}, { highWaterMark: 262144, encoding: 'utf8' })) {
        const lines = (rest + chunk).split('\\n'); rest = lines.pop(); for (const line of lines) n += JSON.parse(line).placements.length; }
      console.log(n);`;
    const parse = await timed(['--input-type=module', '-e', alone]);
    const grade = await timed(['--import', 'tsx', 'src/cli/main.ts', 'grade', join(folder, 'question.json'), file]);
    if (grade.lines !== LINES) throw new Error(`${grade.lines} results for ${LINES} answers`);
    return [
      {
        name: 'vault-drop grade on a million lines / JSON.parse of them',
        value: `${shown(grade.seconds / parse.seconds)} (${shown(grade.seconds, ' s')} / ${shown(parse.seconds, ' s')})`,
        goal: '≤ 3',
        met: grade.seconds <= 3 * parse.seconds,
        grade,
        parse,
      },
      { name: 'its peak memory', value: shown(grade.peak, ' MB'), goal: '≤ 200 MB', met: grade.peak <= 200 },
    ];
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Runs Node.js, counts the lines it prints, and reads its peak memory from the kernel while it runs. */
async function timed(args: readonly string[]): Promise<{ seconds: number; peak: number; lines: number }> {
  const began = performance.now();
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
  let [peak, count] = [0, 0];
  const look = setInterval(() => {
    try {
      peak = Math.max(
        peak,
        Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024,
      );
    } catch {
      // It has ended.
    }
  }, 50);
  child.stdout.on('data', (chunk: Buffer) => {
    for (let i = chunk.indexOf(10); i >= 0; i = chunk.indexOf(10, i + 1)) count++;
  });
  const [code] = (await once(child, 'close')) as [number];
  clearInterval(look);
  if (code !== 0) throw new Error(`${args.join(' ')} ended with ${code}`);
  return { seconds: (performance.now() - began) / 1000, peak, lines: count };
}

function overlap(): Measured {
  const next = seeded('overlap');
  const pairs = Array.from({ length: 400 }, () => {
    const box = () => ({ x: next() * 60, y: next() * 60, w: 40 + next() * 80, h: 30 + next() * 60 });
    const [a, b] = [rectOutline(box(), next() * 360), rectOutline(box(), next() * 360)];
    if (a.type !== 'polygon' || b.type !== 'polygon') throw new Error('A rectangle is a polygon');
    const ring = (corners: typeof a.corners) => [[...corners.map(([x, y]) => [x, y] as [number, number])]];
    return { a, b, ringA: ring(a.corners), ringB: ring(b.corners) };
  });
  let at = 0;
  const [ours, theirs] = byTurns(
    () => {
      const { a, b } = pairs[at++ % pairs.length] as (typeof pairs)[number];
      return overlapShare(a, 1, b);
    },
    () => {
      const { ringA, ringB } = pairs[at++ % pairs.length] as (typeof pairs)[number];
      return polygonClipping.intersection(ringA, ringB);
    },
  );
  return {
    name: 'overlap of turned rectangles: polygon-clipping / ours',
    value: `${shown(theirs / ours)} (${shown(ours)} ns)`,
    goal: '≥ 10',
    met: theirs >= 10 * ours,
    ours,
    theirs,
  };
}

function proofs(): Measured[] {
  const time = (items: number, zones: number, changes: Record<string, unknown> = {}) => {
    const model = questionModel(ordinary(items, zones, changes));
    prove(model, 60_000, performance);
    const rounds = Array.from({ length: 5 }, () => {
      const began = performance.now();
      const { guessing } = prove(model, 60_000, performance);
      return { ms: performance.now() - began, method: guessing.method };
    });
    return { ms: median(rounds.map(({ ms }) => ms)), method: rounds[0]?.method };
  };
  const [small, large] = [time(12, 3), time(40, 8)];
  const costing = { marks: { max: 10, rule: 'perPlacement', extraCosts: 0.5, misplacedCosts: 0.5 } };
  const dear = [time(12, 3, costing), time(40, 8, costing)] as const;
  const growth = [10, 20, 40, 80, 160, 320].map((items) => ({ items, zones: 8, ...time(items, 8) }));
  return [
    {
      name: 'proof, 12 items, 3 zones',
      value: `${shown(small.ms, ' ms')}, ${small.method}`,
      goal: '< 50 ms, exact',
      met: small.ms < 50 && small.method === 'exact',
    },
    {
      name: 'proof, 40 items, 8 zones',
      value: `${shown(large.ms, ' ms')}, ${large.method}`,
      goal: '< 1 s',
      met: large.ms < 1000,
    },
    {
      name: 'the same, wrong ones costing: 12 and 3',
      value: `${shown(dear[0].ms, ' ms')}, ${dear[0].method}`,
      goal: '< 50 ms, exact',
      met: dear[0].ms < 50 && dear[0].method === 'exact',
    },
    {
      name: 'the same, wrong ones costing: 40 and 8',
      value: `${shown(dear[1].ms, ' ms')}, ${dear[1].method}`,
      goal: '< 1 s',
      met: dear[1].ms < 1000,
    },
    ...growth.map(({ items, zones, ms, method }) => ({
      name: `proof, ${items} items, ${zones} zones`,
      value: `${shown(ms, ' ms')}, ${method}`,
      goal: 'how it grows',
      met: true,
      ms,
    })),
  ];
}

report([grading(), overlap(), ...proofs(), ...(await againstProgramming()), ...(await lines())]);
process.exit(0);
