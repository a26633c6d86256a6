import { isDeepStrictEqual } from 'node:util';
import { problemsOf, type Statement } from './statement';
import { storePage } from './storePage';

/** Who may send: as an administrator types it into the tool. */
export const KEY = 'tarn-hollow';
export const SECRET = 'sachets-at-minus-twenty';

export interface KeptStatements {
  /** The latest last. */
  statements: (Statement & { stored: string })[];
  /** It answers nobody. */
  down: boolean;
}

export const noStatements = (): KeptStatements => ({ statements: [], down: false });

/** So many are kept: it is there to try things. */
const MAX_KEPT = 5000;
const VERSION = '1.0.3';

const json = (value: unknown, status = 200): Response =>
  new Response(JSON.stringify(value), {
    status,
    headers: { 'content-type': 'application/json', 'x-experience-api-version': VERSION },
  });
const refused = (status: number, message: string): Response => json({ error: message }, status);

/** A small record store (xAPI 1.0.3, part 3): statements are posted, looked at, and told on a page. */
export class RecordStore {
  constructor(
    private readonly kept: KeptStatements,
    /** Called after each change. */
    private readonly keep: () => void = () => undefined,
  ) {}

  /** Answers a request to one of its addresses. `path`: after that of the store, without a slash before it. */
  async answer(request: Request, path: string, base: string): Promise<Response> {
    const { method } = request;
    if (path === '' && method === 'GET')
      return new Response(storePage(base, this.kept, { key: KEY, secret: SECRET }), {
        headers: { 'content-type': 'text/html; charset=utf-8' },
      });
    if (path === 'switch' && method === 'POST') {
      this.kept.down = !this.kept.down;
      this.keep();
      return new Response(null, { status: 303, headers: { location: base } });
    }
    if (this.kept.down) return new Response('Down', { status: 503, headers: { 'retry-after': '1' } });
    if (path === 'about' && method === 'GET') return json({ version: [VERSION] });
    if (path !== 'statements') return refused(404, 'There is nothing here.');
    const wanted = `Basic ${Buffer.from(`${KEY}:${SECRET}`).toString('base64')}`;
    if (request.headers.get('authorization') !== wanted) return refused(401, 'The key or the secret is not right.');
    if (!(request.headers.get('x-experience-api-version') ?? '').startsWith('1.0'))
      return refused(400, 'This store takes version 1.0 of xAPI.');
    if (method === 'GET') return this.#one(new URL(request.url).searchParams.get('statementId'));
    return method === 'POST' ? this.#take(await request.text()) : refused(405, 'Statements are posted here.');
  }

  #one(id: string | null): Response {
    if (id === null) return json({ statements: this.kept.statements.toReversed(), more: '' });
    const found = this.kept.statements.find((statement) => statement.id === id);
    return found ? json(found) : refused(404, 'There is no such statement.');
  }

  #take(text: string): Response {
    let given: unknown;
    try {
      given = JSON.parse(text);
    } catch {
      return refused(400, 'This is not JSON.');
    }
    const sent = Array.isArray(given) ? (given as unknown[]) : [given];
    const problems = sent.flatMap((statement, i) => problemsOf(statement).map((problem) => `[${i}] ${problem}`));
    if (problems.length > 0) return refused(400, problems.join('; '));
    const statements = sent as Statement[];
    const known = new Map(this.kept.statements.map(({ stored: _, ...statement }) => [statement.id, statement]));
    for (const statement of statements) {
      const before = known.get(statement.id);
      if (before && !isDeepStrictEqual(before, statement))
        return refused(409, `Another statement is stored as ${statement.id}.`);
    }
    const stored = new Date().toISOString();
    const fresh = statements.filter(({ id }) => !known.has(id)).map((statement) => ({ ...statement, stored }));
    this.kept.statements = [...this.kept.statements, ...fresh].slice(-MAX_KEPT);
    this.keep();
    return json(statements.map(({ id }) => id));
  }
}
