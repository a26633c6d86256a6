import PostalMime from 'postal-mime';
import type { Config } from '../config';
import { storedLetters } from './mail';

export interface ReadLetter {
  /** The name of its file. */
  readonly name: string;
  readonly to: string;
  readonly subject: string;
  readonly at: Date;
  readonly text: string;
}

/** The letters that were stored instead of sent, the newest first, read as the program of whoever gets one would. */
export async function readLetters(config: Config, most: number): Promise<ReadLetter[]> {
  const stored = await storedLetters(config, most);
  return Promise.all(
    stored.map(async ({ name, bytes }) => {
      const { to = [], subject = '', date = '', text = '' } = await PostalMime.parse(bytes);
      return { name, to: to.map(({ address }) => address ?? '').join(', '), subject, at: new Date(date), text };
    }),
  );
}
