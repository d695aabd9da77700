import { type EntryKind, type JobFile } from '../job/index.ts';
import { archetypes } from '../vehicle/index.ts';
import {
  cellText,
  hoursTable,
  jointsTable,
  ownersPage,
  photoLetters,
  photoList,
  readCode,
  recordCode,
  recordOf,
  recordSections,
  sectionsFirst,
  tagCode,
  torquesTable,
} from './index.ts';

const rail = archetypes[0]!;
/** A job as its file, an entry a minute from eight on. */
function fileOf(...said: [EntryKind, unknown, string?][]): JobFile {
  const minutes: [EntryKind, unknown, string?][] = [
    ['opened', { name: 'Van', complaint: 'pump', vehicle: rail }],
    ...said,
  ];
  const entries = minutes.map(([kind, body, at], i) => ({
    id: `e${i}`,
    version: 1,
    kind,
    body,
    by: i % 2 ? 'ines' : 'bo',
    device: 'one',
    n: i + 1,
    at: at ?? new Date(Date.UTC(2026, 0, 5, 8, i)).toISOString(),
    on: null,
    seq: i + 1,
    received: '2026-01-05T08:00:00.000Z',
    hash: `h${i}`,
  }));
  return {
    format: 'iron-cradle-job',
    version: 1,
    job: { id: 'job', number: 12 },
    shop: { name: 'The shop' },
    people: { ines: 'Ines', bo: 'Bo' },
    chain: { length: entries.length, last: 'ab' },
    entries: entries as unknown as JobFile['entries'],
  };
}
const recordWith = (...said: [EntryKind, unknown, string?][]) => recordOf(fileOf(...said))!;

describe('the record', () => {
  test('own fuel put back is counted once', () => {
    const { sentences } = recordWith(
      ['container', { number: 1, capacity: 20, litres: 11, clean: true }],
      ['fill', { litres: 9, from: 'cans' }],
      ['fuelMoved', { what: 'disposed', litres: 2 }],
    );
    expect(sentences[2]).toBe('11 L came out and 9 L went back, 2 L disposed of.');
  });

  test('what was left off and what was cut stand first; a section with nothing to say is left out', () => {
    const record = recordWith(
      ['deviation', { debt: 'identity', what: 'shield', reason: 'bent', who: 'owner', due: 'next service' }],
      ['cut', { what: 'wire', where: 'at the hitch', tried: [] }],
    );
    expect(sectionsFirst(record, 'metric').map(({ title }) => title)).toEqual([
      'Left off, with a reason',
      'Cut, and what went in for it',
    ]);
    expect(sectionsFirst(record, 'metric')[1]!.lines[0]).toMatch(/^wire at the hitch\. Not joined\./);
    const titles = recordSections(record, 'metric').map(({ title }) => title);
    expect(titles).toContain('Gates');
    expect(titles).not.toContain('Torques');
    expect(titles).not.toContain('Joints');
  });

  test('a joint with its shape, its word and what wetted it; in the reader’s units', () => {
    const record = recordWith(
      ['cleared', { key: 'line:feed', tag: 7 }],
      ['made', { key: 'line:feed' }],
      ['jointSeen', { key: 'line:feed', seen: 'dry', checks: ['wiped', 'wet'] }],
    );
    const [row] = jointsTable(record, { units: 'metric' }).rows;
    expect(row!.slice(0, 2)).toEqual(['7', rail.connections.find(({ id }) => id === 'feed')!.name]);
    expect(row![2]).toEqual({ outcome: 'good', text: 'dry' });
    expect(cellText(row![2]!)).toBe('go: dry');
    expect(row![3]).toMatch(/^pump or engine running, \d+ L in it$/);
    expect(jointsTable(record, { units: 'us' }).rows[0]![3]).toMatch(/gal in it$/);
  });

  test('a joint that was not wet says so, not what would have wetted it', () => {
    const record = recordWith(
      ['cleared', { key: 'line:filler', tag: 9 }],
      ['made', { key: 'line:filler' }],
      ['jointSeen', { key: 'line:filler', seen: 'dry', checks: ['wiped', 'wet'], aboard: { lo: 8, hi: 10 } }],
    );
    expect(jointsTable(record, { units: 'metric' }).rows[0]![3]).toMatch(/^nothing stood behind it/);
  });

  test('a torque as it was written, and N·m beside it', () => {
    const key = `support:${rail.supports[0]!.id}`;
    const record = recordWith(['torque', { key, asWritten: '30 ft-lb', lo: 40.7, hi: 40.7, lubricant: 'oiled' }]);
    expect(torquesTable(record, { units: 'metric' }).rows[0]!.slice(1, 3)).toEqual(['30 ft-lb', '40.7']);
    expect(torquesTable(record, { units: 'metric' }).rows[0]![4]).toBe('oiled');
  });

  test('hours by person and day; a gap of an hour is not work', () => {
    const at = (hour: number, minute: number) => new Date(2026, 0, 5, hour, minute).toISOString();
    const note = (text: string, time: string): [EntryKind, unknown, string] => ['note', { text }, time];
    const file = fileOf(
      note('a', at(9, 0)),
      note('x', at(9, 5)),
      note('b', at(9, 25)),
      note('y', at(9, 7)),
      note('c', at(10, 30)),
      note('z', at(9, 9)),
      note('d', at(10, 50)),
    );
    // Ines wrote at 9:00, 9:25, 10:30 and 10:50: 25 and 20 minutes of work, to the quarter hour.
    const ines = hoursTable(recordOf(file)!).rows.filter(([who, day]) => who === 'Ines' && day === '2026-01-05');
    expect(ines).toEqual([['Ines', '2026-01-05', '0.75', '4']]);
  });

  test('the owner reads plain words: what went in, the fuel, what is still to be done', () => {
    const page = ownersPage(
      recordWith(
        ['container', { number: 1, capacity: 20, litres: 11, clean: true }],
        ['fill', { litres: 9, from: 'cans' }],
        ['replaced', { key: 'line:vent', words: 'low-permeation hose, 320 mm' }],
        ['deviation', { debt: 'identity', what: 'shield left off', reason: 'bent', who: 'owner', due: 'next service' }],
        ['complaintTest', { test: 'volts', result: 'shown' }],
        ['complaintAgain', { result: 'passed' }],
      ),
      'metric',
    );
    const of = (title: string) => page.find((part) => part.title === title)!.lines;
    expect(of('What went in')).toEqual(['Low-permeation hose, 320 mm.']);
    expect(of('Your fuel')).toEqual(['11 L came out; 9 L of it went back in.']);
    expect(of('How it was proved')).toEqual(['The fault is gone, by the same test as before.']);
    expect(of('Still to be done')[0]).toBe('Shield left off: next service.');
    expect(of('Still to be done').at(-1)).toMatch(/do not drive on/);
  });

  test('a file that opens no job is no record', () => {
    expect(recordOf({ ...fileOf(), entries: [] })).toBeNull();
  });
});

test('photos by their letters, those of one thing together', () => {
  const record = recordWith(
    ['cleared', { key: 'line:vent', tag: 7 }],
    ['photo', { file: 'photo-one', key: 'line:vent' }],
    ['photo', { file: 'photo-two' }],
    ['photo', { file: 'photo-three', key: 'line:vent' }],
  );
  const list = photoList(record);
  expect(list.map(({ letter, file }) => `${letter} ${file}`)).toEqual(['a photo-one', 'b photo-two', 'c photo-three']);
  expect(list[0]!.caption).toMatch(/^7 .*vent/);
  expect(list[1]!.caption).toMatch(/^the job, /);
  expect([...photoLetters(list)]).toEqual([['line:vent', 'a, c']]);
});

describe('codes on paper', () => {
  test('what is written is read; anything else is none of ours', () => {
    expect(readCode(tagCode('job-1', 7))).toEqual({ job: 'job-1', tag: 7 });
    expect(readCode(` ${recordCode({ id: 'job-1', number: 12 }, 'ab12')} `)).toEqual({ job: 'job-1', head: 'ab12' });
    const seal = {
      seq: 9,
      hash: 'c'.repeat(64),
      at: '2026-11-27T10:00:00.000Z',
      publicKey: 'MCow',
      signature: 'abc+/=',
    };
    const sealed = recordCode({ id: 'job-1', number: 12 }, 'ab12', [{ ...seal, seq: 4 }, seal]);
    expect(sealed).toBe(`iron-cradle job 12 job-1 ab12 sealed 9 ${'c'.repeat(64)} 2026-11-27T10:00:00.000Z abc+/=`);
    expect(readCode(sealed)).toEqual({ job: 'job-1', head: 'ab12' });
    expect(recordCode({ id: 'job-1', number: 12 }, seal.hash, [seal])).toContain(' sealed 9 = 2026');
    for (const text of [
      '',
      'https://example.org/jobs/1',
      'iron-cradle tag job 1 x',
      'iron-cradle tag ../x 3',
      '{"can":1}',
    ])
      expect(readCode(text)).toBeNull();
  });
});

test('a clock that was off prints first, once a device, at its worst; one that was right says nothing', () => {
  const file = fileOf(['note', { text: 'a' }], ['note', { text: 'b' }], ['note', { text: 'c' }]);
  const off = [undefined, 150, -864_000, 7_200];
  const entries = file.entries.map((entry, i) => ({
    ...entry,
    device: i === 3 ? 'two-tablet' : 'one-tablet',
    ...(off[i] === undefined ? {} : { behind: off[i] }),
  })) as JobFile['entries'];
  expect(sectionsFirst(recordOf({ ...file, entries })!, 'metric')).toEqual([
    {
      title: 'Times are as each device showed them',
      lines: [
        'Device one-: its clock was 10 days ahead of the shop’s.',
        'Device two-: its clock was 2 hours behind the shop’s.',
      ],
    },
  ]);
  expect(sectionsFirst(recordOf(file)!, 'metric')).toEqual([]);
});
