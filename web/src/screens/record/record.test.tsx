import {
  archetypes,
  foldJob,
  recordOf,
  type Entry,
  type EntryKind,
  type JobFile,
  type VehicleFile,
} from '@iron-cradle/core';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { logOf, Surroundings } from '../../testing/atJob.tsx';
import { LearnSheet } from './LearnSheet.tsx';
import { RecordPage } from './RecordPage.tsx';

const fileOf = (entries: Entry[]): JobFile => ({
  format: 'iron-cradle-job',
  version: 1,
  job: { id: 'job', number: 12 },
  shop: { name: 'The shop' },
  people: { ines: 'Ines Calder' },
  chain: { length: entries.length, last: 'abcd0000000000000000000000000000000000000000000000000000000012ef' },
  entries: entries.map((e, i) => ({ ...e, seq: i + 1, hash: `h${i}` })) as JobFile['entries'],
});
const show = (...entries: { kind: EntryKind; body: unknown }[]) => {
  const record = recordOf(fileOf(logOf(entries)))!;
  render(<RecordPage record={record} standing={null} />, { wrapper: Surroundings });
  return record;
};
const page = () => document.querySelector('[data-record]')!.textContent!;

describe('the record', () => {
  test('opens with five sentences that follow from the log', () => {
    const { sentences } = show(
      { kind: 'complaintTest', body: { test: 'volts at the plug', result: 'shown' } },
      { kind: 'container', body: { number: 1, capacity: 20, litres: 18.5, clean: true } },
      { kind: 'container', body: { number: 2, capacity: 20, litres: 4, clean: false } },
      { kind: 'cleared', body: { key: 'line:vent', tag: 3 } },
      { kind: 'made', body: { key: 'line:vent' } },
      { kind: 'jointSeen', body: { key: 'line:vent', seen: 'dry', checks: ['wiped', 'wet'] } },
      { kind: 'fill', body: { litres: 9 } },
      { kind: 'complaintAgain', body: { result: 'passed' } },
    );
    expect(sentences).toHaveLength(5);
    expect(sentences[2]).toMatch(/^22\.5 L came out and 9 L went back/);
    expect(sentences[3]).toBe('1 end was parted and 1 is closed; 1 joint was seen dry with fuel behind.');
    expect(sentences[4]).toBe('After the repair the same test passed.');
    for (const sentence of sentences) expect(page()).toContain(sentence);
    expect(screen.getByRole('row', { name: /4 L/ }).textContent).toContain('can 2, suspect');
  });

  test('a test that was not run before shows no cure, and a complaint is no finding', () => {
    const { sentences } = show(
      { kind: 'complaintTest', body: { test: 'volts at the plug', result: 'notRun' } },
      { kind: 'finding', body: { what: 'pump', where: 'inside', verdict: 'bad' } },
      { kind: 'finding', body: { what: 'test stop', where: 'a line', verdict: 'bad' } },
      { kind: 'complaintAgain', body: { result: 'passed' } },
    );
    expect(sentences[0]).toContain('it was not run');
    expect(sentences[4]).toMatch(/was not run, so that shows no cure\.$/);
    expect(sentences[1]).toBe('Nothing was found bad on the bench.');
  });

  test('what was left off stands before everything else, with who agreed and until when', () => {
    show(
      { kind: 'cleared', body: { key: 'obstruction:shield' } },
      {
        kind: 'deviation',
        body: {
          debt: 'open:obstruction:shield@job-2',
          what: 'stone shield is off',
          reason: 'bolts gone',
          who: 'owner',
          due: 'next visit',
        },
      },
      { kind: 'complaintTest', body: { test: 'volts', result: 'shown' } },
    );
    expect(page()).toContain('stone shield is off: bolts gone; agreed by owner, due next visit (Ines Calder)');
    expect(page().indexOf('bolts gone')).toBeLessThan(page().indexOf('The test for the complaint'));
  });

  test('a cut says what was not tried before, and what went in for it', () => {
    const log = logOf([
      { kind: 'cut', body: { what: 'clamp', where: 'at the neck', tried: ['slid along the hose'], words: 'seized' } },
    ]);
    const mended = [
      ...log,
      {
        ...logOf([{ kind: 'replaced', body: { key: `cut:${log[1]!.id}`, words: 'new worm clamp' } }])[1]!,
        id: 'later',
      } as Entry,
    ];
    render(<RecordPage record={recordOf(fileOf(mended))!} standing={null} />, { wrapper: Surroundings });
    expect(page()).toContain('clamp at the neck: seized. new worm clamp');
    expect(page()).toContain('Not tried before: its thread soaked 20 min, turned from another side');
    expect(page()).not.toContain('slid along the hose');
  });

  test('not signed, it says so, and that the service information comes first', () => {
    show();
    expect(page()).toContain('Not signed.');
    expect(page()).toMatch(/service information for the vehicle and local codes come before this record/);
    expect(page()).toContain('job 12');
    expect(page()).toContain('abcd…12ef');
  });

  test('a torque stands beside the file’s range, a joint with its shape and word', () => {
    const support = archetypes[0]!.supports[0]!;
    show(
      { kind: 'torque', body: { key: `support:${support.id}`, asWritten: '40 N·m', lo: 40, hi: 40 } },
      { kind: 'cleared', body: { key: 'line:vent', tag: 3 } },
      { kind: 'jointSeen', body: { key: 'line:vent', seen: 'weeps', checks: ['wiped'] } },
    );
    expect(screen.getByRole('row', { name: new RegExp(support.name) }).textContent).toContain('40 N·m');
    const row = screen.getByRole('row', { name: /front vent/ });
    expect(row.textContent).toMatch(/front vent.*weeps.*Ines Calder/);
    expect(within(row).getByRole('img').getAttribute('aria-label')).not.toMatch(/^go/);
  });

  test('the whole log can be read, what was taken back is not in it', () => {
    const log = logOf([{ kind: 'note', body: { text: 'a' } }]);
    const back = { ...logOf([{ kind: 'takeBack', body: { entry: log[1]!.id } }])[1]!, id: 'back' } as Entry;
    render(<RecordPage record={recordOf(fileOf([...log, back]))!} standing={null} />, { wrapper: Surroundings });
    expect(page()).toContain('the whole log, 1 entries that count');
  });

  test('a file without its opening entry is no record', () => {
    expect(recordOf(fileOf([]))).toBeNull();
  });
});

describe('what a job taught', () => {
  let kept: VehicleFile | null = null;
  let put: () => Response;
  /** The vehicle files, once the server answers. */
  let files: Promise<VehicleFile[]>;
  beforeEach(() => {
    kept = null;
    files = Promise.resolve([]);
    put = () => Response.json([]);
    globalThis.fetch = (async (_: string, init?: RequestInit) => {
      if (init?.method !== 'PUT') return Response.json(await files);
      kept = JSON.parse(init.body as string) as VehicleFile;
      return put();
    }) as typeof fetch;
  });
  const felt = (vehicle?: VehicleFile) =>
    foldJob(
      null,
      logOf(
        [
          { kind: 'moved', body: { to: { f: 25, r: 25 } } },
          { kind: 'surprise', body: { what: 'holds', key: 'line:vent', lets: 55 } },
          { kind: 'surprise', body: { what: 'holds', key: 'line:plug', lets: 80 } },
        ],
        vehicle,
      ),
    )!;
  const open = (state = felt()) =>
    render(
      <Surroundings>
        <LearnSheet state={state} hands={[]} onClose={() => undefined} />
      </Surroundings>,
    );

  test('is offered line by line; only what is ticked is kept, in a file of its own', async () => {
    const user = userEvent.setup();
    open();
    const rows = await screen.findAllByRole('checkbox');
    expect(rows.map((r) => r.dataset.lesson)).toEqual(expect.arrayContaining(['slack vent', 'slack plug']));
    for (const row of rows) if (row.dataset.lesson !== 'slack vent') await user.click(row);
    await user.click(screen.getByText(`Keep 1 of ${rows.length}`));
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/The next one begins with it/));
    expect(kept!.id.startsWith('archetype-')).toBe(false);
    const [vent, plug] = ['vent', 'plug'].map((id) => kept!.connections.find((c) => c.id === id)!);
    // Seen once at 55: ±30 %, 38.5 to 71.5; that it lets 40 at the least was known before.
    expect([vent!.slack.lo, vent!.slack.hi]).toEqual([40, 71.5]);
    expect(plug!.slack).toMatchObject(archetypes[0]!.connections.find((c) => c.id === 'plug')!.slack);
  });

  test('nothing ticked keeps nothing, and says what it waits for', async () => {
    const user = userEvent.setup();
    open();
    for (const row of await screen.findAllByRole('checkbox')) await user.click(row);
    const strap = document.querySelector<HTMLElement>('[data-action=learn]')!;
    expect(strap.textContent).toContain('tick what it taught');
    await user.click(strap);
    expect(kept).toBeNull();
  });

  test('a server that refuses is said, and what was ticked stays', async () => {
    const user = userEvent.setup();
    put = () => Response.json({ title: 'Not now', detail: 'try again' }, { status: 503 });
    open();
    await screen.findAllByRole('checkbox');
    await user.click(document.querySelector('[data-action=learn]')!);
    await waitFor(() => expect(screen.getByRole('status').className).toContain('halt'));
    expect(screen.getAllByRole('checkbox').every((r) => r.getAttribute('aria-checked') === 'true')).toBe(true);
  });

  test('before the vehicle files are here nothing is kept: it would begin a second file of a vehicle that has one', async () => {
    const user = userEvent.setup();
    const own: VehicleFile = { ...archetypes[0]!, id: 'fleet-7', name: 'Fleet 7' };
    let answer: (all: VehicleFile[]) => void = () => undefined;
    files = new Promise((resolve) => (answer = resolve));
    open(felt(own));
    expect(screen.getByRole('status').textContent).toContain('Reading the vehicle files');
    expect(document.querySelector('[data-action=learn]')).toBeNull();
    answer([own]);
    await screen.findAllByRole('checkbox');
    await user.click(document.querySelector('[data-action=learn]')!);
    await waitFor(() => expect(kept).toMatchObject({ id: 'fleet-7', name: 'Fleet 7' }));
  });

  test('vehicle files that cannot be read are said, and nothing is kept', async () => {
    files = Promise.reject(new TypeError('network'));
    open();
    await waitFor(() => expect(screen.getByRole('status').className).toContain('halt'));
    expect(document.querySelector('[data-action=learn]')).toBeNull();
  });

  test('a job that felt nothing teaches nothing', async () => {
    open(foldJob(null, logOf([]))!);
    expect(await screen.findByText(/Guesses teach nothing/)).toBeTruthy();
  });
});
