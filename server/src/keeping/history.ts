import { spawnSync } from 'node:child_process';
import { createReadStream, existsSync, mkdtempSync, openSync, closeSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { InputError } from '@iron-cradle/core';
import type { Manifest } from './files.ts';

/** What plays the database's own history of changes (its binary log) back: only for the shop's own MariaDB. */
export interface HistoryTools {
  /** Where it writes that history. */
  folder: string;
  /** Program that reads it. */
  reader: string;
  /** Program that plays what was read. */
  player: string;
  /** Where the database listens for whoever owns it. */
  socket: string;
}

const MOMENT = /^\d{4}-\d{2}-\d{2} \d{2}:\d{2}(:\d{2})?$/;
const EXPECTED = 'a moment of this machine’s clock after the copy, like 2026-11-27 17:20';

/**
 * The moment up to which history is played.
 *
 * @throws InputError for what is none, or lies before the copy
 * @example momentOf('2026-11-27 17:20', '2026-11-27T09:00:00.000Z') // '2026-11-27 17:20'
 */
export function momentOf(text: string, made: string): string {
  const at = MOMENT.test(text) ? new Date(text.replace(' ', 'T')) : null;
  if (!at || Number.isNaN(at.getTime()) || at.getTime() <= Date.parse(made))
    throw new InputError('until', text, EXPECTED);
  return text;
}

/** The files of history from the one the copy was made in. @throws InputError where it is not kept so far back */
function filesSince(folder: string, file: string): string[] {
  const all = existsSync(folder) ? readdirSync(folder).filter((name) => /\.\d{6}$/.test(name)) : [];
  const since = all.filter((name) => name >= file).sort();
  if (since[0] !== file)
    throw new InputError(
      'until',
      `a history that begins with ${all.sort()[0] ?? 'nothing'}`,
      `one that holds ${file}: choose a newer copy`,
    );
  return since.map((name) => join(folder, name));
}

function ran(program: string, args: readonly string[], stdin: number | 'ignore' = 'ignore'): void {
  const { status, stderr, error } = spawnSync(program, args, { stdio: [stdin, 'ignore', 'pipe'], encoding: 'utf8' });
  if (status !== 0) throw new Error(`${program} ended with ${status}: ${error?.message ?? stderr}`);
}

/**
 * Plays what the database noted since a copy was made, up to a moment, into the tables that were filled from the copy.
 *
 * @param names the database that was copied, and the one it is put together in
 * @throws InputError where history does not reach back so far, or the shop was put back in between
 * @example await playHistory(tools, { since: manifest.history, until: '2026-11-27 17:20', names: { from: 'cradle', into: 'cradle_making' } })
 */
export async function playHistory(
  tools: HistoryTools,
  { since, until, names }: { since: Manifest['history']; until: string; names: { from: string; into: string } },
): Promise<void> {
  if (!since) throw new InputError('until', 'a copy without its place in history', 'one made while history was kept');
  const place = mkdtempSync(join(tmpdir(), 'cradle-history-'));
  const read = join(place, 'history.sql');
  try {
    ran(tools.reader, [
      '--no-defaults',
      `--rewrite-db=${names.from}->${names.into}`,
      `--database=${names.from}`,
      `--start-position=${since.position}`,
      `--stop-datetime=${until.length === 16 ? `${until}:00` : until}`,
      `--result-file=${read}`,
      ...filesSince(tools.folder, since.file),
    ]);
    // A statement with names of databases in it would be played where it stood: only a shop that was put back has one.
    for await (const line of createInterface({ input: createReadStream(read), crlfDelay: Infinity }))
      if (/^RENAME TABLE/i.test(line))
        throw new InputError('until', 'a shop that was put back in between', 'a copy made after that');
    const client = [
      '--no-defaults',
      `--user=${userInfo().username}`,
      `--socket=${tools.socket}`,
      '--max-allowed-packet=64M',
    ];
    const unlogged = ['--init-command=SET SESSION sql_log_bin = 0'];
    const sql = openSync(read, 'r');
    try {
      // Sessions and states are not in a copy: what changes a row of theirs that is not there is passed over.
      ran(tools.player, [...client, '--execute=SET GLOBAL slave_exec_mode = IDEMPOTENT']);
      ran(tools.player, [...client, ...unlogged], sql);
    } finally {
      closeSync(sql);
      ran(tools.player, [...client, '--execute=SET GLOBAL slave_exec_mode = STRICT']);
    }
  } finally {
    rmSync(place, { recursive: true, force: true });
  }
}
