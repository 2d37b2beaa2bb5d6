import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { run } from './run.mjs';
import { showing, Trouble } from './say.mjs';

const isRoot = () => process.getuid?.() === 0;

/** Installs packages of Debian's; whoever is not root is told the exact command. */
export async function installDebian(packages, what) {
  const command = `apt-get install --no-install-recommends ${packages.join(' ')}`;
  if (!existsSync('/usr/bin/apt-get')) {
    throw new Trouble(`${what} is missing, and this is no Debian system. Install it by hand.`);
  }
  if (!isRoot()) throw new Trouble(`${what} is missing. Install it with: sudo ${command}`);
  await showing(`Installing ${what}`, async () => {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    const update = await run('apt-get', ['update', '-q'], { env });
    const args = ['install', '-y', '-q', '--no-install-recommends', ...packages];
    const install = await run('apt-get', args, { env });
    if (install.code !== 0) {
      throw new Trouble(
        `${what} could not be installed (${command}).\n` +
          `${update.code === 0 ? '' : update.output}${install.output}`.trim().slice(-2000),
      );
    }
  });
}

const clusterSettings = '/etc/postgresql-common/createcluster.conf';
const noMainCluster = 'create_main_cluster = false';

/**
 * PostgreSQL's server program. On a machine that never had it, its package would also begin and
 * start a machine-wide cluster; that is held back while it is installed.
 */
export async function installPostgres() {
  const isNew = isRoot() && !existsSync('/etc/postgresql-common');
  if (!isNew) {
    await installDebian(['postgresql'], 'PostgreSQL');
    return;
  }
  await installDebian(['postgresql-common'], 'PostgreSQL (first half)');
  const settings = readFileSync(clusterSettings, 'utf8');
  writeFileSync(clusterSettings, `${settings}\n${noMainCluster}\n`);
  try {
    await installDebian(['postgresql'], 'PostgreSQL');
  } finally {
    writeFileSync(clusterSettings, settings);
  }
}
