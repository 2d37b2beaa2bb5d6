import { fork, type ChildProcess } from 'node:child_process';
import { serverFile, webFolder } from '../build/built';

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
  env: { readonly DATABASE_URL: string; readonly PORT: string; readonly LOG_LEVEL: string },
): Promise<RunningServer> {
  const child = fork(serverFile(root), {
    cwd: root,
    execArgv: [],
    env: { ...process.env, NODE_ENV: 'production', WEB_ROOT: webFolder(root), ...env },
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
    await ended;
  };
  return { child, ended, stop };
}
