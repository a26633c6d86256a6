import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { findings, prove, questionModel } from '../src/core';
import { parseQuestionText } from '../src/core/document';
import { stringify } from '../src/formats/csv';
import { allowsOrigin } from '../src/server/accounts/origins';
import { ownPath } from '../src/server/http/enter';
import { makeTicket, readTicket, TICKET_SECONDS } from '../src/server/sittings/ticket';
import { madeQuestions } from './support/demoMedia';

describe('a sitting’s ticket', () => {
  const now = new Date('2026-03-02T10:00:00Z');
  const ticket = { sittingId: 'a-sitting', learnerId: 'a-learner' };
  const text = makeTicket('secret', ticket, 'session-1', now);
  it('is good under the sign-in it was given', () =>
    expect(readTicket('secret', text, 'session-1', now)).toEqual(ticket));
  it.each([
    ['another sign-in', 'secret', text, 'session-2', now],
    ['nobody signed in', 'secret', text, undefined, now],
    ['another secret', 'other', text, 'session-1', now],
    ['a changed learner', 'secret', text.replace('a-learner', 'b-learner'), 'session-1', now],
    ['its time run out', 'secret', text, 'session-1', new Date(now.getTime() + (TICKET_SECONDS + 1) * 1000)],
    ['no ticket', 'secret', 'nonsense', 'session-1', now],
  ])('is worth nothing with %s', (_, secret, given, session, at) =>
    expect(readTicket(secret, given, session, at)).toBeNull(),
  );
});

describe('an origin', () => {
  it.each([
    ['http://127.0.0.1:4321', '127.0.0.1:4321', null, true],
    ['http://localhost:4321', 'localhost:4321', null, true],
    ['http://[::1]:4321', '[::1]:4321', null, true],
    ['http://evil.example', 'evil.example', null, false],
    ['http://127.0.0.1:9999', '127.0.0.1:4321', null, false],
    ['null', '127.0.0.1:4321', null, false],
    ['https://vault.example', 'anything', 'https://vault.example', true],
    ['http://127.0.0.1:4321', '127.0.0.1:4321', 'https://vault.example', false],
  ])('%s to %s with PUBLIC_URL %s: %s', (origin, host, publicUrl, allowed) => {
    expect(allowsOrigin({ publicUrl: publicUrl ? new URL(publicUrl) : null }, origin, host)).toBe(allowed);
  });
});

it.each([
  ['/vault', '/vault'],
  ['//evil.example', '/'],
  ['/\\evil.example', '/'],
  ['https://evil.example', '/'],
  [null, '/'],
])('after sign-in, %s leads to %s', (to, path) => expect(ownPath(to)).toBe(path));

it('a cell that a spreadsheet would take for a formula is disarmed', () => {
  expect(
    stringify(
      ['name', 'mark'],
      [
        ['=HYPERLINK("x")', -3],
        ['a,"b"', null],
      ],
    ),
  ).toBe('name,mark\r\n"\'=HYPERLINK(""x"")",-3\r\n"a,""b""",\r\n');
});

describe('the demo', () => {
  const folder = join(import.meta.dirname, '../demo/questions');
  it.each(readdirSync(folder))('%s is sound', (file) => {
    const parsed = parseQuestionText(readFileSync(join(folder, file), 'utf8'));
    expect(parsed.ok ? findings(questionModel(parsed.question)) : parsed.problems).toEqual([]);
  });

  it.each(madeQuestions().map((question) => [question.title, question] as const))(
    '%s is as it should be',
    (title, question) => {
      const { solvable, findings: found } = prove(questionModel(question), 3000, { now: () => performance.now() });
      const severe = found.filter(({ severity }) => severity !== 'note');
      if (title.startsWith('Faulty'))
        expect([solvable, severe.filter(({ severity }) => severity === 'error').length]).toEqual([false, 6]);
      else expect([solvable, severe]).toEqual([true, []]);
    },
  );
});
