import { spawn } from 'node:child_process';

/**
 * Runs a command to its end. Answers with its exit code and all it printed; with `show` it prints as
 * it goes.
 */
export function run(command, args, { show = false, ...options } = {}) {
  return new Promise((done, fail) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], ...options });
    let output = '';
    for (const stream of ['stdout', 'stderr']) {
      child[stream].setEncoding('utf8');
      child[stream].on('data', (text) => {
        output += text;
        if (show) process[stream].write(text);
      });
    }
    child.once('error', fail);
    child.once('close', (code) => done({ code, output }));
  });
}
