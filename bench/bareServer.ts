// What a stored batch of moves is measured against: an HTTP server that does nothing else. It parses the same JSON and
// stores its ten rows under the same durability. MODE `batch`: one raw client batch of ten inserts a request; `row`:
// one insert of ten rows.
import { createServer } from 'node:http';
import type { Sending } from './load';
import { openRawMoves } from './rawMoves';

const { FILE = '', PORT, MODE } = process.env;
const client = await openRawMoves(FILE);
for (const pragma of ['foreign_keys=ON', 'cache_size=-16000']) await client.execute(`PRAGMA ${pragma}`);
const PLACES = '(?, ?, ?, 1, ?, ?, ?)';

async function store({ question, after, moves }: Sending, sitting: string): Promise<void> {
  const at = Date.now();
  const rows = moves.map(({ id, ...body }, i) => [sitting, after + 1 + i, id, question, JSON.stringify(body), at]);
  if (MODE === 'batch')
    await client.batch(
      rows.map((args) => ({ sql: `INSERT INTO move VALUES ${PLACES}`, args })),
      'write',
    );
  else await client.execute({ sql: `INSERT INTO move VALUES ${rows.map(() => PLACES).join(', ')}`, args: rows.flat() });
}

createServer((request, response) => {
  // Is it there?
  if (request.method === 'GET') {
    response.end();
    return;
  }
  const parts: Buffer[] = [];
  request.on('data', (part: Buffer) => parts.push(part));
  request.on('end', async () => {
    const sent = JSON.parse(Buffer.concat(parts).toString('utf8')) as Sending;
    await store(sent, request.url?.split('/')[3] ?? '');
    response
      .writeHead(200, { 'content-type': 'application/json' })
      .end(JSON.stringify({ ok: true, value: { last: sent.after + sent.moves.length, told: null } }));
  });
}).listen(Number(PORT), '127.0.0.1');
