/**
 * The core from the command line: one JSON problem a line in, one JSON answer a line out, in the
 * same order. Exit status 0 when every line was answered, else 2. See docs/compute.md.
 */
import { createInterface } from 'node:readline';
import { z } from '@wide-fern/contract';
import { answers } from './answers';

const [word = ''] = process.argv.slice(2);
const answer = answers[word];
if (!answer) {
  const known = Object.keys(answers).join(', ');
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

let refused = 0;
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  // Whoever reads us stopped reading, as `head` does.
  if (error.code === 'EPIPE') process.exit(2);
  throw error;
});
for await (const line of createInterface({ input: process.stdin })) {
  let result: unknown;
  try {
    result = answer(JSON.parse(line));
  } catch (error) {
    refused += 1;
    result = { error: inWords(error) };
  }
  process.stdout.write(`${JSON.stringify(result)}\n`);
}
process.exitCode = refused > 0 ? 2 : 0;
