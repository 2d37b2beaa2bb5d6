/** Sentences for whoever waits at the terminal. */
export const say = (text) => process.stdout.write(`${text}\n`);

/** Says what goes on, and every few seconds that it still does, until the work is done. */
export async function showing(what, work) {
  say(`${what} …`);
  const began = Date.now();
  const timer = setInterval(() => {
    say(`  still at it, ${Math.round((Date.now() - began) / 1000)} s`);
  }, 5000);
  try {
    return await work();
  } finally {
    clearInterval(timer);
  }
}

/** A problem whose message is all there is to say: no stack is shown. */
export class Trouble extends Error {}

/** Ends with a clear sentence for what is expected to go wrong, and with everything known for the rest. */
export function endWith(error) {
  process.stderr.write(`\n${error instanceof Trouble ? error.message : (error?.stack ?? error)}\n`);
  process.exitCode = 1;
}
