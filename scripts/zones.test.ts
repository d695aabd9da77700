import { spawnSync } from 'node:child_process';

const root = new URL('..', import.meta.url).pathname;
const zones = ['UTC', 'America/New_York', 'Pacific/Auckland'];

/** A day is a day wherever the machine stands: what is reckoned with days comes out alike in every zone. One program, whose zone is turned. */
const PROGRAM = `
import { judgeScreens } from './core/src/pickup/index.ts';
const known = { cleaned: ['2026-02-01', '2026-11-27'], filterAhead: false, sock: false };
for (const zone of ${JSON.stringify(zones)}) {
  process.env.TZ = zone;
  console.log(JSON.stringify([
    new Date(2026, 0, 1).getTimezoneOffset(),
    judgeScreens(known, '2026-11-27').due,
    judgeScreens({ ...known, cleaned: ['2026-02-01'] }, '2026-11-27').due,
  ]));
}
`;

let told: string[] = [];
beforeAll(() => {
  const run = spawnSync(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', PROGRAM], {
    cwd: root,
    env: { ...process.env, NODE_OPTIONS: '' },
    encoding: 'utf8',
  });
  expect(run.stderr).toBe('');
  told = run.stdout.trim().split('\n');
});

test.each([
  ['UTC', 0],
  ['America/New_York', 300],
  ['Pacific/Auckland', -780],
])('%s', (zone, offset) => {
  // Eight to twelve months after the last one, common practice; by the calendar.
  expect(JSON.parse(told[zones.indexOf(zone)] ?? '')).toEqual([
    offset,
    { from: '2027-07-27', to: '2027-11-27' },
    { from: '2026-10-01', to: '2027-02-01' },
  ]);
});
