/**
 * The core from the command line: one JSON problem a line in, one JSON answer a line out, in the
 * same order; or one sound file, named after the word. Exit status 0 when everything was answered,
 * else 2. See docs/compute.md.
 */
import { createInterface } from 'node:readline';
import { z } from '@wide-fern/contract';
import { answers, fileAnswers } from './answers';

const [word = '', file] = process.argv.slice(2);
const answer = answers[word];
const fileAnswer = fileAnswers[word];
if (!answer && !fileAnswer) {
  const known = [...Object.keys(answers), ...Object.keys(fileAnswers)].join(', ');
  process.stderr.write(`Say what to compute: npm run --silent compute -- <${known}>\n`);
  process.exit(2);
}

function inWords(error: unknown): string {
  if (error instanceof z.ZodError) {
    return error.issues
      .map(({ path, message }) => (path.length > 0 ? `${path.join('.')}: ${message}` : message))
      .join('; ');
  }
  if (error instanceof SyntaxError) return `This line is no JSON: ${error.message}`;
  return error instanceof Error ? error.message : String(error);
}

process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  // Whoever reads us stopped reading, as `head` does.
  if (error.code === 'EPIPE') process.exit(2);
  throw error;
});
const write = (result: unknown) => process.stdout.write(`${JSON.stringify(result)}\n`);

/** Writes what is computed, or in words why it cannot be; says whether it could. */
async function tell(compute: () => unknown): Promise<boolean> {
  try {
    write(await compute());
    return true;
  } catch (error) {
    write({ error: inWords(error) });
    return false;
  }
}

let refused = 0;
if (fileAnswer) {
  const named = () => {
    if (file === undefined) throw new Error(`Name a file: compute -- ${word} <file>`);
    return fileAnswer(file);
  };
  if (!(await tell(named))) refused += 1;
} else if (answer) {
  for await (const line of createInterface({ input: process.stdin })) {
    if (!(await tell(() => answer(JSON.parse(line))))) refused += 1;
  }
}
process.exitCode = refused > 0 ? 2 : 0;
