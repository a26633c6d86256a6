// A file with a table of moves like ours, through the client alone: the same keys, WAL, every commit on the disk.
import { type Client, createClient } from '@libsql/client';

const COLUMNS = [
  ...['sitting_id text NOT NULL', 'n integer NOT NULL', 'id text NOT NULL', 'edition integer NOT NULL'],
  ...['question integer NOT NULL', 'body text NOT NULL', 'at integer NOT NULL', 'PRIMARY KEY (sitting_id, n)'],
];

export async function openRawMoves(file: string): Promise<Client> {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  for (const pragma of ['journal_mode=WAL', 'synchronous=FULL']) await client.execute(`PRAGMA ${pragma}`);
  await client.execute(`CREATE TABLE IF NOT EXISTS move (${COLUMNS.join(', ')})`);
  await client.execute('CREATE UNIQUE INDEX IF NOT EXISTS move_id ON move (sitting_id, id)');
  return client;
}
