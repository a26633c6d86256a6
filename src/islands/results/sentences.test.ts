import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import {
  alphaWithout,
  correlation,
  cronbach,
  discrimination,
  facility,
  feldt,
  fisher,
  type Random,
  random,
  seedOf,
  wilson,
} from '../../core';
import { discriminationInWords, facilityInWords, reliabilityInWords, timeInWords, withoutInWords } from './analysis';

const QUESTIONS = 6;
const WORTH = Array<number>(QUESTIONS).fill(4);

/** A learner's shares of four-part questions, by how likely they know a part of each; and how long they took. */
interface Sat {
  readonly shares: readonly number[];
  readonly seconds: readonly number[];
}
const sat = (roll: Random, knows: (question: number) => number, pace = 20): Sat => {
  const shares = WORTH.map(
    (parts, q) => Array.from({ length: parts }, () => roll() < knows(q)).filter(Boolean).length / parts,
  );
  return { shares, seconds: shares.map(() => pace * (0.5 + roll())) };
};
const classOf = (name: string, n: number, one: (roll: Random, i: number) => Sat): Sat[] => {
  const roll = random(seedOf(name));
  return Array.from({ length: n }, (_, i) => one(roll, i));
};

/** Everything that is said of a class: of each question, then of the set. */
function saidOf(learners: readonly Sat[]): string[] {
  const shares = learners.map((one) => one.shares);
  const n = learners.length;
  const whole = cronbach(shares, WORTH);
  const alpha = whole === null ? null : feldt(whole, n, QUESTIONS, jStat.centralF.inv);
  const questions = WORTH.map((_, q) => {
    const own = shares.map((row) => row[q] as number);
    const full = own.filter((share) => share === 1).length;
    const mean = facility(shares, q);
    const told = discrimination(shares, WORTH, q);
    const pace = correlation(
      learners.map(({ seconds }) => seconds[q] as number),
      own,
    );
    return [
      facilityInWords({
        asked: n,
        fullShare: wilson(full / Math.max(1, n), n),
        facility: mean === null ? null : wilson(mean, n),
      }),
      discriminationInWords(told === null ? null : fisher(told, n), n),
      withoutInWords(alphaWithout(shares, WORTH, q), alpha),
      timeInWords(pace === null ? null : fisher(pace, n), n),
    ]
      .filter(Boolean)
      .join(' ');
  });
  return [...questions.map((said, q) => `${q + 1}: ${said}`), `set: ${reliabilityInWords(alpha, QUESTIONS, n)}`];
}

describe('what is said of a class', () => {
  it('that guesses', () => {
    expect(saidOf(classOf('guessers', 60, (roll) => sat(roll, () => 0.25)))).toMatchInlineSnapshot(`
      [
        "1: Hardly anybody had it right: look at its key and its words.",
        "2: Hardly anybody had it right: look at its key and its words. It hardly separates strong from weak.",
        "3: Hardly anybody had it right: look at its key and its words.",
        "4: Hardly anybody had it right: look at its key and its words.",
        "5: Hardly anybody had it right: look at its key and its words.",
        "6: Hardly anybody had it right: look at its key and its words.",
        "set: The questions have little in common, or are too few: do not compare learners by the total.",
      ]
    `);
  });

  it('of experts', () => {
    expect(saidOf(classOf('experts', 60, (roll) => sat(roll, () => 0.99)))).toMatchInlineSnapshot(`
      [
        "1: Nearly all had it right.",
        "2: Nearly all had it right. It hardly separates strong from weak.",
        "3: Nearly all had it right.",
        "4: Nearly all had it right. It hardly separates strong from weak.",
        "5: Nearly all had it right.",
        "6: Nearly all had it right. Who did well elsewhere did better here.",
        "set: The questions have little in common, or are too few: do not compare learners by the total.",
      ]
    `);
  });

  it('in two camps, of which one has a question the wrong way round', () => {
    const camps = classOf('camps', 60, (roll, i) =>
      sat(roll, (q) => (i % 2 === 0 ? (q === 5 ? 0.1 : 0.95) : q === 5 ? 0.9 : 0.35), i % 2 === 0 ? 60 : 20),
    );
    expect(saidOf(camps)).toMatchInlineSnapshot(`
      [
        "1: It separates strong from weak very well. Who took longer earned more.",
        "2: It separates strong from weak very well. Who took longer earned more.",
        "3: It separates strong from weak very well. Who took longer earned more.",
        "4: Fewer than half had all of it right. It separates strong from weak very well. Who took longer earned more.",
        "5: It separates strong from weak very well. Who took longer earned more.",
        "6: Fewer than half had all of it right. Who did well elsewhere did worse here: look at its key. The total would be more reliable without it. Who took longer earned less.",
        "set: The total compares learners only roughly: do not rely on single marks.",
      ]
    `);
  });

  it('of five', () => {
    expect(saidOf(classOf('five', 5, (roll, i) => sat(roll, () => i / 5)))).toMatchInlineSnapshot(`
      [
        "1: ",
        "2: ",
        "3: ",
        "4: ",
        "5: ",
        "6: ",
        "set: It takes ten learners to say how reliable a set is.",
      ]
    `);
  });

  it('of nobody', () => {
    expect(saidOf([])).toMatchInlineSnapshot(`
      [
        "1: ",
        "2: ",
        "3: ",
        "4: ",
        "5: ",
        "6: ",
        "set: It takes ten learners to say how reliable a set is.",
      ]
    `);
  });
});
