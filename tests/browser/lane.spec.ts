import { randomUUID } from 'node:crypto';
import { origin } from './server';
import { DEMO, expect, test } from './support';

// Moves and steps to another question are answered before the page pipeline. An address with a query goes through the
// pipeline, to the same endpoint: both have to say the same.

const cookiesIn = (answer: Response) => answer.headers.getSetCookie().map((line) => line.split(';')[0] ?? '');

async function asWren(): Promise<string> {
  const answer = await fetch(`${origin()}/api/auth/sign-in/username`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: origin() },
    body: JSON.stringify({ username: 'wren', password: 'seedlings-26' }),
  });
  expect(answer.status).toBe(200);
  return cookiesIn(answer).join('; ');
}

const send = (path: string, body: BodyInit, headers: Record<string, string>) =>
  fetch(`${origin()}${path}`, { method: 'POST', body, headers });

/** What an answer says, but for the times that no two requests share. */
async function saidBy(answer: Response) {
  const headers = Object.fromEntries(
    [...answer.headers].filter(
      ([name]) =>
        !['date', 'content-length', 'transfer-encoding', 'connection', 'keep-alive', 'set-cookie'].includes(name),
    ),
  );
  const cookies = answer.headers.getSetCookie().map((line) =>
    line
      .replace(/=[^;]*/, '=…')
      .split('; ')
      .toSorted(),
  );
  return { status: answer.status, headers, cookies, body: await answer.text() };
}

test('the fast lane says what the page pipeline says, whatever it is sent', async () => {
  const wren = await asWren();
  const json = { 'content-type': 'application/json' };
  const own = { ...json, origin: origin() };
  const opened = await send(`/api/releases/${DEMO.retakes}/sittings`, '{}', { ...own, cookie: wren });
  expect(opened.status).toBe(200);
  const { value } = (await opened.json()) as { value: { open: { id: string; last: number } } };
  const moves = (...ids: string[]) =>
    JSON.stringify({ question: 0, after: value.open.last, moves: ids.map((id) => ({ id, kind: 'reset' })) });
  const again = moves(randomUUID());
  const first = await send(`/api/sittings/${value.open.id}/moves`, again, { ...own, cookie: wren });
  expect(first.status).toBe(200);
  // Only who is let in by the session is given a ticket.
  expect(cookiesIn(first)).toHaveLength(1);
  const ticket = [wren, ...cookiesIn(first)].join('; ');

  const sent: readonly (readonly [what: string, path: string, body: string, headers: Record<string, string>])[] = [
    ['the same moves again, by the session', 'moves', again, { ...own, cookie: wren }],
    ['the same moves again, by the ticket', 'moves', again, { ...own, cookie: ticket }],
    ['a ticket without its session', 'moves', again, { ...own, cookie: ticket.split('; ').at(-1) ?? '' }],
    ['nobody', 'moves', again, own],
    ['from another site', 'moves', again, { ...json, origin: 'https://elsewhere.example', cookie: ticket }],
    ['from nowhere', 'moves', again, { ...json, cookie: ticket }],
    ['no JSON', 'moves', '{"question":', { ...own, cookie: ticket }],
    ['a body of another shape', 'moves', '{"question":"x","moves":[{}]}', { ...own, cookie: ticket }],
    ['more than is taken', 'moves', JSON.stringify({ x: 'y'.repeat(700_000) }), { ...own, cookie: ticket }],
    ['to a question', 'at', '{"question":0}', { ...own, cookie: wren }],
    ['to no question', 'at', '{"question":77}', { ...own, cookie: wren }],
    ['to a question, nobody', 'at', '{"question":0}', own],
    ['a program without a token of ours', 'at', '{"question":0}', { ...json, authorization: 'Bearer nothing' }],
  ];
  for (const [what, path, body, headers] of sent) {
    const address = `/api/sittings/${value.open.id}/${path}`;
    const fast = await saidBy(await send(address, body, headers));
    expect(fast, what).toEqual(await saidBy(await send(`${address}?slow=1`, body, headers)));
  }
  const foreign = await send(`/api/sittings/${randomUUID()}/moves`, again, { ...own, cookie: wren });
  expect(foreign.status).toBe(404);
});
