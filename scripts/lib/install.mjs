import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { capture, run } from './run.mjs';
import { say, Stop } from './say.mjs';

/** Debian's. */
export const PGBOUNCER = '/usr/sbin/pgbouncer';

export const root = new URL('../../', import.meta.url).pathname.replace(/\/$/, '');

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 9))
    throw new Stop(`Node ${process.versions.node} is too old: version 20.9 or newer is needed.`);
}

/** Installs the packages of the lock file, if they are not those already there. */
export async function ensurePackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.inch-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  say('Installing packages (npm ci) …');
  if ((await run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root })) !== 0)
    throw new Stop('The packages could not be installed (npm ci failed, see above). Is a package registry in reach?');
  writeFileSync(stamp, lock);
}

/** Where PostgreSQL's server programs are: the newest version that is installed; null if none is. */
export function postgresBin() {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return null;
  const versions = readdirSync(base)
    .filter((version) => existsSync(join(base, version, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a));
  return versions[0] ? join(base, versions[0], 'bin') : null;
}

export async function ensurePostgres() {
  if (!postgresBin()) await aptInstall('postgresql', 'Or set DATABASE_URL to a PostgreSQL server that exists.');
  const found = postgresBin();
  if (!found) throw new Stop('PostgreSQL was installed, but its server programs are not under /usr/lib/postgresql.');
  return found;
}

/** The pooler of the trials. */
export async function ensurePgbouncer() {
  if (!existsSync(PGBOUNCER)) await aptInstall('pgbouncer', 'The trial with a pooler needs it.');
}

const CHROMIUM = '/usr/bin/chromium';

/** The oldest with which all browser tests are known to pass; with 150 those of the network fail, though the program works there. */
const LEAST_CHROMIUM = 156;

/** The major version of the Chromium that is installed; 0 where that can't be told. */
const chromiumVersion = () => Number(/Chromium (\d+)/.exec(capture(CHROMIUM, ['--version']).out)?.[1] ?? 0);

/** Installs Chromium where there is none, and brings one up to date that is too old; one that stays so is said, and used. */
export async function ensureChromium() {
  if (!existsSync(CHROMIUM)) await aptInstall('chromium', 'The browser tests need it.');
  if (chromiumVersion() >= LEAST_CHROMIUM) return;
  await aptInstall('chromium', 'The browser tests want a newer one.').catch(() => undefined);
  const version = chromiumVersion();
  if (version < LEAST_CHROMIUM)
    say(`Chromium ${version} is older than ${LEAST_CHROMIUM}: browser tests of the network may fail here although the program works.`);
}

/** Installs a Debian package, as root or through sudo, asking nothing. */
async function aptInstall(name, otherwise) {
  const apt = existsSync('/usr/bin/apt-get');
  const root = process.getuid?.() === 0;
  const sudo = !root && capture('sudo', ['-n', 'true']).ok;
  if (!apt || (!root && !sudo))
    throw new Stop(
      `${name} is not installed, and this user can't install it (${apt ? 'neither root nor sudo without a password' : 'no apt-get here'}). ` +
        `Install Debian's package "${name}" once. ${otherwise}`,
    );
  say(`Installing ${name} (apt-get) …`);
  const as = (args) =>
    run(root ? 'apt-get' : 'sudo', root ? args : ['-n', 'apt-get', ...args], { env: { DEBIAN_FRONTEND: 'noninteractive' } });
  await as(['update', '-qq']);
  if ((await as(['install', '-y', '-qq', '--no-install-recommends', name])) !== 0)
    throw new Stop(`${name} could not be installed (apt-get failed, see above). ${otherwise}`);
}
