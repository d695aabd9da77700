import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync } from 'node:fs';
import { delimiter, join } from 'node:path';
import { inCradle } from './paths.mjs';
import { say, Stop } from './say.mjs';

const unpacked = inCradle('debian');
const run = (command, args, options = {}) => spawnSync(command, args, { encoding: 'utf8', ...options });

const PROGRAMS = [
  ...(process.env.PATH ?? '').split(delimiter),
  '/usr/sbin',
  '/usr/bin',
  join(unpacked, 'usr/sbin'),
  join(unpacked, 'usr/bin'),
];

/** Finds a program on the machine or among what was unpacked. */
export function find(names, folders = PROGRAMS) {
  for (const name of names)
    for (const folder of folders) if (folder && existsSync(join(folder, name))) return join(folder, name);
  return null;
}

/** Environment for a program that may have been unpacked instead of installed. */
export const envFor = (program) =>
  program.startsWith(unpacked)
    ? {
        ...process.env,
        LD_LIBRARY_PATH: [join(unpacked, 'usr/lib/x86_64-linux-gnu'), join(unpacked, 'usr/lib/aarch64-linux-gnu')].join(
          delimiter,
        ),
      }
    : process.env;

/** Where the files that belong to an unpacked program are; null for an installed one. */
export const baseOf = (program) => (program.startsWith(unpacked) ? join(unpacked, 'usr') : null);

/**
 * Makes sure a program of Debian's is there: installed as root, otherwise unpacked beside the project, otherwise a
 * message that names the package and the command.
 */
export function ensureProgram(what, names, packages) {
  const there = find(names);
  if (there) return there;
  const command = `apt-get install ${packages.join(' ')}`;
  if (!find(['apt-get']))
    throw new Stop(`${what} is missing and this is no Debian. Install it and see that “${names[0]}” is on the path.`);
  say(`Fetching ${what} from Debian’s packages…`);
  if (process.getuid?.() === 0) {
    run('apt-get', ['update', '-qq'], { stdio: 'ignore' });
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], { stdio: 'ignore', env });
  } else unpack(packages);
  const now = find(names);
  if (!now) throw new Stop(`${what} could not be had. As root: ${command}`);
  return now;
}

/** Without root: the packages and what they lack, unpacked under .cradle/. */
function unpack(packages) {
  const simulated = run('apt-get', ['install', '--simulate', '--no-install-recommends', ...packages]);
  const wanted = [...(simulated.stdout ?? '').matchAll(/^Inst (\S+)/gm)].map((m) => m[1]);
  unpackThese(wanted.length > 0 ? wanted : packages);
}

function unpackThese(packages) {
  const folder = inCradle('debian-packages');
  mkdirSync(folder, { recursive: true });
  mkdirSync(unpacked, { recursive: true });
  run('apt-get', ['download', ...packages], { cwd: folder });
  run('sh', ['-c', `for deb in *.deb; do dpkg -x "$deb" '${unpacked}'; done`], { cwd: folder });
}

/**
 * A package's files beside the project, not installed: of one that would start a service, or where only one file of it is needed.
 *
 * @param path a file of it
 * @returns the folder under which that file is
 */
export function ensureUnpacked(name, path) {
  if (existsSync(join('/', path))) return '/';
  if (existsSync(join(unpacked, path))) return unpacked;
  if (process.getuid?.() === 0) run('apt-get', ['update', '-qq'], { stdio: 'ignore' });
  unpackThese([name]);
  if (!existsSync(join(unpacked, path))) throw new Stop(`${name} could not be had from Debian’s packages.`);
  return unpacked;
}
