import { type Problem, prove, type QuestionModel, questionModel, responder, resultPrinter } from '../core';
import { guardText } from '../core/document';
import { MAX_BYTES, readLines } from './input';
import { lineWriter, say } from './output';
import { readQuestion } from './question';

/** 0: well; 1: the question or an answer is at fault. */
export type ExitCode = 0 | 1;

/** The question ready for judging, or null after its problems were printed. */
async function modelFrom(path: string): Promise<QuestionModel | null> {
  const parsed = await readQuestion(path);
  if (parsed.ok) return questionModel(parsed.question);
  tell(parsed.problems);
  return null;
}

function tell(problems: readonly Problem[]): void {
  for (const { path, message } of problems) say(path === '' ? message : `${path}: ${message}`);
}

export async function check(path: string): Promise<ExitCode> {
  const parsed = await readQuestion(path);
  process.stdout.write(`${JSON.stringify(parsed.ok ? { ok: true } : { ok: false, problems: parsed.problems })}\n`);
  return parsed.ok ? 0 : 1;
}

/** The nesting of longer lines is checked before they are parsed. */
const LONG = 10_000;

type Printer = ReturnType<typeof resultPrinter>;
/** What never changes of a result is printed once for each draw. */
function printers(): (model: QuestionModel) => Printer {
  const known = new WeakMap<QuestionModel, Printer>();
  return (model) => {
    const print = known.get(model) ?? resultPrinter(model);
    known.set(model, print);
    return print;
  };
}

function gradeLine(
  judge: ReturnType<typeof responder>,
  printer: (model: QuestionModel) => Printer,
  text: string | null,
  line: number,
): { ok: boolean; printed: string } {
  const fault = (error: string, id?: unknown) => ({
    ok: false,
    printed: JSON.stringify({ ...(id === undefined ? {} : { id }), error, line }),
  });
  if (text === null) return fault(`The line is longer than ${MAX_BYTES / 1024 / 1024} MiB`);
  let response: unknown;
  try {
    if (text.length > LONG) {
      const guarded = guardText(text);
      if (!guarded.ok) return fault(guarded.problems[0]?.message ?? 'This cannot be read');
      response = guarded.value;
    } else response = JSON.parse(text);
  } catch (error) {
    return fault(`This is not JSON: ${(error as Error).message}`);
  }
  const id = typeof response === 'object' && response !== null ? (response as { id?: unknown }).id : undefined;
  const { model, responded } = judge(response);
  if (!responded.ok) return fault(responded.fault, typeof id === 'string' || typeof id === 'number' ? id : undefined);
  return { ok: true, printed: printer(model)(id, responded) };
}

export async function grade(question: string, responses: string): Promise<ExitCode> {
  const model = await modelFrom(question);
  if (!model) return 1;
  if (model.entries.length === 0) {
    say('The question has no key, so no answer can be graded.');
    return 1;
  }
  const out = lineWriter();
  const [judge, printer] = [responder(model), printers()];
  let code: ExitCode = 0;
  let line = 0;
  for await (const block of readLines(responses))
    for (const text of block) {
      line++;
      if (text !== null && text.trim() === '') continue;
      const { ok, printed } = gradeLine(judge, printer, text, line);
      if (!ok) code = 1;
      const full = out.write(printed);
      if (full) await full;
    }
  await out.end();
  return code;
}

export async function proof(path: string, seconds: number): Promise<ExitCode> {
  const model = await modelFrom(path);
  if (!model) return 1;
  const { solvable, modelAnswer, guessing, findings } = prove(model, seconds * 1000, { now: () => performance.now() });
  const { fullMarkArrangements, chanceOfFullMarks, expectedFraction, method, standardError } = guessing;
  process.stdout.write(
    `${JSON.stringify({ solvable, modelAnswer, fullMarkArrangements, chanceOfFullMarks, expectedFraction, method, standardError, findings })}\n`,
  );
  return findings.some(({ severity }) => severity === 'error') ? 1 : 0;
}
