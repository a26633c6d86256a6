import type { Question } from '../document/schema';
import type { Finding } from '../proof/findings/finding';
import { random, seedOf } from '../random/random';
import { allDraws, drawCount, drawFrom } from './draw';

/** As many draws are looked at; of more, this many from a seed. */
export const MAX_DRAWS = 200;

/** The draws to look at, at most so many; `all`: there are no others. */
export function drawsOf(question: Question, most: number): { draws: string[][]; all: boolean } {
  if (drawCount(question) <= most) return { draws: [...allDraws(question)], all: true };
  const next = random(seedOf(question.id));
  return { draws: Array.from({ length: most }, () => drawFrom(question, next)), all: false };
}

/** Each finding once; one that does not hold in every draw says in how many it does. */
export function overDraws(each: readonly (readonly Finding[])[]): Finding[] {
  const found = new Map<string, { finding: Finding; draws: number }>();
  for (const findings of each) {
    const here = new Set<string>();
    for (const finding of findings) {
      const name = JSON.stringify([finding.code, finding.where]);
      if (here.has(name)) continue;
      here.add(name);
      const known = found.get(name);
      if (known) known.draws++;
      else found.set(name, { finding, draws: 1 });
    }
  }
  return [...found.values()].map(({ finding, draws }) =>
    draws === each.length
      ? finding
      : { ...finding, message: `In ${draws} of ${each.length} draws: ${finding.message}` },
  );
}
