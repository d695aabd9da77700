import { spawnSync } from 'node:child_process';

const root = new URL('..', import.meta.url).pathname;

/** A day is a day wherever the machine stands: what is reckoned with days comes out alike in every zone. */
const PROGRAM = `
import { judgeScreens } from './core/src/pickup/index.ts';
const known = { cleaned: ['2026-02-01', '2026-11-27'], filterAhead: false, sock: false };
console.log(JSON.stringify(judgeScreens(known, '2026-11-27').due));
console.log(JSON.stringify(judgeScreens({ ...known, cleaned: ['2026-02-01'] }, '2026-11-27').due));
`;

test.each(['UTC', 'America/New_York', 'Pacific/Auckland'])(
  '%s',
  (TZ) => {
    const run = spawnSync('npx', ['tsx', '--input-type=module', '-e', PROGRAM], {
      cwd: root,
      env: { ...process.env, TZ, NODE_OPTIONS: '' },
      encoding: 'utf8',
    });
    expect(
      run.stderr
        .split('\n')
        .filter((line) => !line.startsWith('npm warn'))
        .join(''),
    ).toBe('');
    // Eight to twelve months after the last one, common practice; by the calendar.
    expect(run.stdout.trim().split('\n')).toEqual([
      '{"from":"2027-07-27","to":"2027-11-27"}',
      '{"from":"2026-10-01","to":"2027-02-01"}',
    ]);
  },
  30_000,
);
