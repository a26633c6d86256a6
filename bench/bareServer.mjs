// What a stored batch of moves is measured against: an HTTP server that does nothing else. It parses the same JSON and
// stores its ten rows under the same durability. MODE `batch`: one raw client batch of ten inserts a request; `row`: one
// insert of ten rows.
import { createServer } from 'node:http';
import { createClient } from '@libsql/client';

const { DATA, PORT, MODE } = process.env;
const client = createClient({ url: `file:${DATA}/bare.db`, concurrency: 1 });
for (const pragma of ['journal_mode=WAL', 'synchronous=FULL', 'foreign_keys=ON', 'cache_size=-16000'])
  await client.execute(`PRAGMA ${pragma}`);
await client.execute(
  'CREATE TABLE IF NOT EXISTS move (sitting_id text NOT NULL, n integer NOT NULL, id text NOT NULL, edition integer NOT NULL, question integer NOT NULL, body text NOT NULL, at integer NOT NULL, PRIMARY KEY (sitting_id, n))',
);
await client.execute('CREATE UNIQUE INDEX IF NOT EXISTS move_id ON move (sitting_id, id)');
const PLACES = '(?, ?, ?, 1, ?, ?, ?)';

const store = ({ question, after, moves }, sitting) => {
  const at = Date.now();
  const rows = moves.map(({ id, ...body }, i) => [sitting, after + 1 + i, id, question, JSON.stringify(body), at]);
  return MODE === 'batch'
    ? client.batch(
        rows.map((args) => ({ sql: `INSERT INTO move VALUES ${PLACES}`, args })),
        'write',
      )
    : client.execute({ sql: `INSERT INTO move VALUES ${rows.map(() => PLACES).join(', ')}`, args: rows.flat() });
};

createServer((request, response) => {
  // Is it there?
  if (request.method === 'GET') return response.end();
  const parts = [];
  request.on('data', (part) => parts.push(part));
  request.on('end', async () => {
    const sent = JSON.parse(Buffer.concat(parts).toString('utf8'));
    await store(sent, request.url.split('/')[3]);
    response
      .writeHead(200, { 'content-type': 'application/json' })
      .end(JSON.stringify({ ok: true, value: { last: sent.after + sent.moves.length, told: null } }));
  });
}).listen(Number(PORT), '127.0.0.1');
