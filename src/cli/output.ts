import { once } from 'node:events';

const BLOCK = 64 * 1024;

/** Writes lines to standard output in blocks, waiting for a slower reader. */
export function lineWriter(): { write(line: string): Promise<void> | undefined; end(): Promise<void> } {
  let block = '';
  const flush = async () => {
    const text = block;
    block = '';
    if (!process.stdout.write(text)) await once(process.stdout, 'drain');
  };
  return {
    write: (line) => {
      block += `${line}\n`;
      return block.length >= BLOCK ? flush() : undefined;
    },
    end: flush,
  };
}

export const say = (words: string): void => void process.stderr.write(`${words}\n`);
