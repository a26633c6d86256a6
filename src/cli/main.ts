import { parseArgs } from 'node:util';
import { check, grade, proof } from './commands';
import { Usage } from './input';
import { say } from './output';
import { exportQti, importQti } from './qti';

const HELP = `Usage:
  vault-drop check QUESTION.json                      validates a question document
  vault-drop grade QUESTION.json RESPONSES.jsonl      a result line for each response line
  vault-drop proof QUESTION.json [--seconds 5]        what can be said before anyone answers
  vault-drop qti export QUESTION.json… --out PACKAGE.zip [--media FOLDER]
                                                      writes questions as a package of QTI 3.0
  vault-drop qti import PACKAGE.zip --out FOLDER      reads a package of QTI 3.0, 2.2 or 2.1

A file may be - for standard input. JSON goes to standard output, messages to standard error.
Exit code: 0 well, 1 the question or an answer is at fault, 2 wrong usage.

A response line is {"id"?, "try"?, "placements": [{"item", "copy"?, "zone"}, …]}, in settling order,
or {"id"?, "try"?, "drops": [drops, puts and typed answers]}; with pools also "drawn": [ids]:
  a drop          {"item", "copy"?, "x", "y", "px"?, "py"?, "at"?}
  a put           {"item", "copy"?, "zone", "at"?}, zone null: home
  a typed answer  {"zone", "text"}
The format is described in docs/format/.`;

function words() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        help: { type: 'boolean', short: 'h' },
        seconds: { type: 'string' },
        out: { type: 'string' },
        media: { type: 'string' },
      },
    });
  } catch (error) {
    throw new Usage((error as Error).message);
  }
}

/** The commands for packages of QTI. */
function qti(
  [direction, ...files]: readonly string[],
  { out, media, seconds }: { out?: string; media?: string; seconds?: string },
): Promise<number> {
  if (seconds !== undefined) throw new Usage('--seconds is for proof, not for qti.');
  if (out === undefined) throw new Usage('Say with --out where to write.');
  switch (direction) {
    case 'export':
      if (files.length === 0) throw new Usage('Say which questions to write.');
      return exportQti(files, out, media);
    case 'import': {
      const [file] = files;
      if (file === undefined || files.length !== 1) throw new Usage('Say which package to read: one.');
      if (media !== undefined) throw new Usage('--media is for qti export.');
      return importQti(file, out);
    }
    default:
      throw new Usage(direction === undefined ? 'Say export or import.' : `There is no command qti ${direction}.`);
  }
}

async function main(): Promise<number> {
  const { values, positionals } = words();
  const [command, ...files] = positionals;
  if (values.help) {
    console.log(HELP);
    return 0;
  }
  const [question, responses] = files;
  const takes = (n: number) => {
    if (files.length !== n)
      throw new Usage(`${command} takes ${n === 1 ? 'one file' : `${n} files`}, not ${files.length}.`);
    if (files.filter((file) => file === '-').length > 1)
      throw new Usage('Only one of the files can be standard input.');
    if (values.seconds !== undefined && command !== 'proof')
      throw new Usage(`--seconds is for proof, not for ${command}.`);
    for (const name of ['out', 'media'] as const)
      if (values[name] !== undefined) throw new Usage(`--${name} is for qti, not for ${command}.`);
  };
  switch (command) {
    case 'check':
      takes(1);
      return check(question as string);
    case 'grade':
      takes(2);
      return grade(question as string, responses as string);
    case 'proof': {
      takes(1);
      const seconds = Number(values.seconds ?? 5);
      if (!(seconds > 0 && seconds <= 3600))
        throw new Usage(`--seconds has to be a number above 0 and up to 3600, not ${values.seconds}.`);
      return proof(question as string, seconds);
    }
    case 'qti':
      return qti(files, values);
    default:
      throw new Usage(command === undefined ? 'Say what to do.' : `There is no command ${command}.`);
  }
}

// The reader may close the pipe early (as `head` does).
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 2));
main().then(
  (code) => {
    process.exitCode = code;
  },
  (error: unknown) => {
    if (!(error instanceof Usage)) throw error;
    say(`${error.message}\n\n${HELP}`);
    process.exitCode = 2;
  },
);
