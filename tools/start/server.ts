import { fork, type ChildProcess } from 'node:child_process';
import { serverFile, webFolder } from '../build/built';

/** How long a server may take to end in order, in milliseconds. */
const patience = 20_000;

/** A running server process. */
export interface RunningServer {
  readonly child: ChildProcess;
  /** Resolves when the process has ended, by whatever hand. */
  readonly ended: Promise<number | null>;
  readonly stop: () => Promise<void>;
}

/** Starts the built server and waits until it listens. */
export async function startServer(
  root: string,
  env: {
    readonly DATABASE_URL: string;
    readonly PORT: string;
    readonly LOG_LEVEL: string;
    readonly MAIL_FOLDER?: string;
    readonly DATA_DISK?: string;
  },
): Promise<RunningServer> {
  const child = fork(serverFile(root), {
    cwd: root,
    // Short-lived objects are gathered often rather than held.
    execArgv: ['--max-semi-space-size=4'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      WEB_ROOT: webFolder(root),
      // What the threads that read scores held goes back to the machine when they end.
      MALLOC_ARENA_MAX: '2',
      ...env,
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  const ended = new Promise<number | null>((done) => child.once('exit', done));
  await new Promise<void>((done, fail) => {
    child.once('message', () => done());
    child.once('error', fail);
    child.once('exit', (code) => fail(new Error(`The server ended at once, with ${code}.`)));
  });
  const stop = async () => {
    if (child.exitCode === null && child.signalCode === null) child.kill('SIGTERM');
    // It ends by itself within seconds; one that cannot is ended.
    const late = setTimeout(() => child.kill('SIGKILL'), patience);
    await ended;
    clearTimeout(late);
  };
  return { child, ended, stop };
}
