/**
 * npm test: does all of its own set-up, then types, lint, arrows, unit tests, the build and the
 * browser tests. Ends with one line, «N passed, N failed». Uses nothing but Node before the packages
 * are there.
 */
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { installDebian, installPostgres } from '../setup/debian.mjs';
import { checkNode, installPackages } from '../setup/packages.mjs';
import { run } from '../setup/run.mjs';
import { endWith, say, showing } from '../setup/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
const browsers = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];
const node = process.execPath;

let passed = 0;
let failed = 0;
const count = (good, bad) => {
  passed += good;
  failed += bad;
};

const freePort = () =>
  new Promise((done, fail) => {
    const probe = createServer()
      .once('error', fail)
      .listen(0, '127.0.0.1', () => {
        const { port } = probe.address();
        probe.close(() => done(port));
      });
  });

/** A step that either holds or does not: it counts as one test. */
async function check(what, command, args) {
  const { code, output } = await showing(what, () => run(command, args, { cwd: root }));
  if (code !== 0) say(output.trim());
  say(`  ${code === 0 ? 'passed' : 'FAILED'}`);
  count(code === 0 ? 1 : 0, code === 0 ? 0 : 1);
  return code === 0;
}

const readReport = (path) =>
  existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : undefined;

const failures = [];
/** The tests that failed, by name, with the first lines of why: said once more at the very end. */
function noteFailures({ testResults }) {
  for (const { name, message, assertionResults } of testResults) {
    const file = relative(root, name);
    const bad = assertionResults.filter(({ status }) => status === 'failed');
    for (const { fullName, failureMessages } of bad) {
      failures.push(`${file}: ${fullName}\n${failureMessages.join('\n').slice(0, 600)}`);
    }
    if (message && assertionResults.length === 0)
      failures.push(`${file}: ${message.slice(0, 600)}`);
  }
}

const secondTries = [];
/** The browser tests that passed only when they were tried again: said at the very end too. */
function noteSecondTries({ suites = [], specs = [], file = '' }) {
  for (const { title, tests } of specs) {
    if (tests.some(({ status }) => status === 'flaky')) secondTries.push(`${file}: ${title}`);
  }
  for (const suite of suites) noteSecondTries(suite);
}

async function unitTests(folder) {
  const report = join(folder, 'unit.json');
  say('Unit tests …');
  const flags = ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'];
  const { code } = await run(
    node,
    [...flags, 'node_modules/jest/bin/jest.js', '--silent', '--json', `--outputFile=${report}`],
    { cwd: root, show: true },
  );
  const result = readReport(report);
  if (!result) return count(0, 1);
  noteFailures(result);
  // A file that cannot even be loaded has no tests, and counts as one that failed.
  const broken = result.numRuntimeErrorTestSuites;
  count(result.numPassedTests, result.numFailedTests + broken);
  if (code !== 0 && result.numFailedTests + broken === 0) count(0, 1);
}

async function browserTests(folder) {
  const report = join(folder, 'browser.json');
  say('Browser tests …');
  const { code } = await run(
    node,
    [
      'node_modules/@playwright/test/cli.js',
      'test',
      '--config',
      'packages/e2e/playwright.config.ts',
    ],
    {
      cwd: root,
      show: true,
      env: { ...process.env, E2E_REPORT: report, E2E_PORT: String(await freePort()) },
    },
  );
  const result = readReport(report);
  if (!result) return count(0, 1);
  const { stats, errors = [] } = result;
  noteSecondTries(result);
  count(stats.expected + stats.flaky, stats.unexpected);
  if (stats.unexpected === 0 && (code !== 0 || errors.length > 0)) count(0, 1);
}

async function setUp() {
  checkNode();
  await installPackages(root);
  const hasPostgres = existsSync('/usr/lib/postgresql') || process.env.PG_BIN;
  if (!hasPostgres) await installPostgres();
  if (!process.env.CHROMIUM && !browsers.some((path) => existsSync(path))) {
    await installDebian(['chromium-headless-shell'], 'Chromium');
  }
}

const folder = mkdtempSync(join(tmpdir(), 'wide-fern-reports-'));
try {
  await setUp();
  await check('Types', node, ['tools/test/typecheck.mjs']);
  await check('Lint', 'npm', ['run', '--silent', 'lint']);
  await check('Arrows between folders', 'npm', ['run', '--silent', 'arrows']);
  await unitTests(folder);
  if (await check('Build', 'npm', ['run', '--silent', 'build'])) await browserTests(folder);
} catch (error) {
  endWith(error);
  count(0, 1);
} finally {
  rmSync(folder, { recursive: true, force: true });
}
for (const tried of secondTries) say(`ONLY AT THE SECOND TRY ${tried}\n`);
for (const failure of failures) say(`FAILED ${failure}\n`);
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
say(`${passed} passed, ${failed} failed`);
