import { archetypes, foldJob, owed, triedFirst, type Entry } from '@iron-cradle/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { atJob, logOf } from '../../testing/atJob.tsx';
import { CutSheet } from './CutSheet.tsx';
import { HowFar } from './HowFar.tsx';
import { OwedSheet } from './prove/OwedSheet.tsx';
import { PoseHead } from './tank/PoseHead.tsx';
import { TagSheet } from './TagSheet.tsx';
import { UpList } from './refit/UpList.tsx';
import { useJob } from '../../log/useJob.ts';

const nothing = () => undefined;

describe('before anything is cut', () => {
  test('what was not tried is named, and it waits for a reason', async () => {
    const user = userEvent.setup();
    const job = atJob(<CutSheet about={null} open onClose={nothing} />);
    const strap = () => document.querySelector<HTMLElement>('[data-action=cut]')!;
    expect(strap().textContent).toContain('say where');
    await user.type(screen.getByLabelText('Where, in words'), 'at the neck');
    expect(strap().textContent).toContain('say why all the same');
    await user.click(strap());
    expect(job.log).toHaveLength(1);
    for (const what of triedFirst.clamp) await user.click(screen.getByRole('button', { name: what }));
    expect(screen.queryByLabelText('Why all the same')).toBeNull();
    await user.click(strap());
    expect(job.log.at(-1)).toMatchObject({
      kind: 'cut',
      body: { what: 'clamp', where: 'at the neck', tried: [...triedFirst.clamp] },
    });
  });

  test('says its caution, and another thing to cut begins anew', async () => {
    const user = userEvent.setup();
    atJob(<CutSheet about={null} open onClose={nothing} />);
    expect(screen.getByText(/Cold cut only/).textContent).toMatch(/service information/);
    await user.click(screen.getByRole('button', { name: triedFirst.clamp[0]! }));
    await user.click(screen.getByRole('radio', { name: 'Body' }));
    for (const what of triedFirst.body)
      expect(screen.getByRole('button', { name: what }).getAttribute('aria-pressed')).toBe('false');
  });
});

describe('what is owed', () => {
  const cut = { what: 'hose' as const, where: 'at the neck', key: 'line:filler', tried: [] };

  test('a cut is made good by saying what went in', async () => {
    const user = userEvent.setup();
    const log = logOf([{ kind: 'cut', body: cut }]);
    const key = `cut:${log[1]!.id}`;
    const job = atJob(<OwedSheet debt={{ id: key, key, text: 'filler hose was cut' }} onClose={nothing} />, log);
    const done = () => document.querySelector<HTMLButtonElement>('[data-action=made-good]')!;
    expect(done().disabled).toBe(true);
    await user.type(screen.getByLabelText(/What went in for it/), 'fuel hose, 340 mm');
    await user.click(done());
    expect(job.log.at(-1)).toMatchObject({ kind: 'replaced', body: { key, words: 'fuel hose, 340 mm' } });
  });

  test('a pulled line is inspected, in words', async () => {
    const user = userEvent.setup();
    const log = logOf([{ kind: 'pulled', body: { key: 'line:vent' } }]);
    const job = atJob(
      <OwedSheet debt={owed(foldJob(null, log)!).find((d) => d.key === 'line:vent')!} onClose={nothing} />,
      log,
    );
    await user.type(screen.getByLabelText(/What you saw/), 'no mark');
    await user.click(screen.getByRole('button', { name: 'Sound' }));
    expect(job.state().pulls).toMatchObject([{ key: 'line:vent', inspected: 'good', words: 'no mark' }]);
  });

  test('a gate leads to its station', () => {
    atJob(
      <OwedSheet
        debt={{ id: 'crossing:4@x', key: 'gate:4', text: 'the key was turned on before gate 4 was passed' }}
        onClose={nothing}
      />,
    );
    expect(screen.getByRole('link', { name: 'Go there' }).getAttribute('href')).toBe('/jobs/job/refit');
  });
});

describe('where the tank hangs', () => {
  const Head = ({ pose }: { pose: { f: number; r: number } }) => <PoseHead state={useJob().state} pose={pose} />;

  test('in mm and the hand’s unit', () => {
    atJob(<Head pose={{ f: 40, r: 40 }} />);
    expect(document.querySelector('[data-height="40"]')!.textContent).toMatch(/^40\s*mm$/);
    expect(screen.getByText('two fingers')).toBeTruthy();
  });

  test('both: millimetres, and inches beside to the nearest sixteenth', () => {
    atJob(<Head pose={{ f: 40, r: 40 }} />, logOf([]), 'both');
    // 40 / 25.4 = 1.575 in, nearest 1 9/16 (1.5625).
    expect(screen.getByText('1 9/16 in, two fingers')).toBeTruthy();
  });

  test('tilted: each end by its name', () => {
    atJob(<Head pose={{ f: 40, r: 75 }} />);
    const head = document.querySelector('[data-height="40/75"]')!;
    expect(head.textContent).toBe('front40rear75mm');
  });

  test('the tape is read once, each end by itself, and from then on known', async () => {
    const user = userEvent.setup();
    const job = atJob(<Head pose={{ f: 40, r: 40 }} />);
    await user.click(screen.getByRole('button', { name: 'read the tape' }));
    await user.type(screen.getByLabelText('Tape, front end'), '652');
    await user.click(screen.getByText('Keep the reading'));
    // Read at home: 40 lower it reads 612.
    expect(await screen.findByRole('button', { name: 'floor front 612 mm' })).toBeTruthy();
    expect(job.log.map((e) => e.kind)).toEqual(['opened', 'answer']);
  });

  test('what no tape reads is refused with what is expected, and the text stays', async () => {
    const user = userEvent.setup();
    const job = atJob(<Head pose={{ f: 0, r: 0 }} />);
    await user.click(screen.getByRole('button', { name: 'read the tape' }));
    const field = screen.getByLabelText('Tape, rear end');
    await user.type(field, '4 mm');
    await user.click(screen.getByText('Keep the reading'));
    expect(screen.getByText(/Expected 50 to 3000 mm/)).toBeTruthy();
    expect((field as HTMLInputElement).value).toBe('4 mm');
    expect(job.log).toHaveLength(1);
  });
});

describe('a tag', () => {
  const off = logOf([{ kind: 'cleared', body: { key: 'line:vent', tag: 8, way: 'vent-top' } }]);

  test('says where it came off and by when it goes back; made with one tap', async () => {
    const user = userEvent.setup();
    const job = atJob(<TagSheet item="line:vent" onClose={nothing} />, off);
    expect(screen.getByText(/Came off at 0 mm/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'It is back now' }));
    expect(job.state().items[0]).toMatchObject({ key: 'line:vent', state: 'closed' });
  });

  test('put off it says until when', async () => {
    const user = userEvent.setup();
    const job = atJob(<TagSheet item="line:vent" onClose={nothing} />, off);
    await user.click(screen.getByRole('button', { name: /Put it off|Put off|later/i }));
    expect(job.state().items[0]!.state).toBe('deferred');
    expect(screen.getByText(/put off: the tank is home/)).toBeTruthy();
  });
});

describe('what is made at a stop', () => {
  const item = (key: string, more: object) => ({
    key,
    name: key.slice(5),
    tag: 3,
    way: null,
    by: 60,
    lastChance: false,
    sure: true,
    hint: 'click, pull, look',
    minutes: { lo: 1, typ: 2, hi: 3, basis: { kind: 'typical' as const } },
    ...more,
  });
  const List = ({ here = true }) => (
    <UpList
      items={[item('line:vent', { lastChance: true }), item('line:plug', {})]}
      state={useJob().state}
      here={here}
      onTag={nothing}
    />
  );

  test('only the first is painted, and only once the tank hangs there', () => {
    const { unmount } = atJob(<List />);
    const rows = within(screen.getByRole('list', { name: 'to make here' })).getAllByRole('listitem');
    expect(within(rows[0]!).getByRole('img', { name: 'next' })).toBeTruthy();
    expect(within(rows[1]!).queryByRole('img', { name: 'next' })).toBeNull();
    expect(rows[0]!.textContent).toContain('last chance here');
    expect(rows[1]!.textContent).toContain('by 60');
    unmount();
    atJob(<List here={false} />);
    expect(screen.queryByRole('img', { name: 'next' })).toBeNull();
  });

  test('in inches for whom reads inches', () => {
    atJob(<List />, logOf([], archetypes[0]), 'us');
    // 60 / 25.4 = 2.362 in, nearest 2 3/8.
    expect(screen.getByText('by 2 3/8')).toBeTruthy();
  });
});

describe('how far down', () => {
  test('part-way is chosen with a tap and unchosen with another', async () => {
    const user = userEvent.setup();
    const job = atJob(<HowFar />);
    const part = () => screen.getByRole('radio', { name: /Part-way, top at 150 mm/ });
    expect(screen.getByRole('radio', { name: /All the way out/ }).getAttribute('aria-checked')).toBe('true');
    await user.click(part());
    expect(job.state().goal).toBe(150);
    expect(part().getAttribute('aria-checked')).toBe('true');
    await user.click(screen.getByRole('radio', { name: /All the way out/ }));
    expect(job.state().goal).toBeNull();
  });

  test('where the tank itself must come out it says why not', () => {
    const [opened] = logOf([]);
    const leak = { ...opened!, body: { ...(opened!.body as object), complaint: 'leak' } } as Entry;
    atJob(<HowFar />, [leak]);
    expect((screen.getByRole('radio', { name: /Part-way/ }) as HTMLButtonElement).disabled).toBe(true);
    expect(screen.getByText('Not part-way: the tank itself must come out.')).toBeTruthy();
  });

  test('once it hangs lower it is too late', () => {
    atJob(<HowFar />, logOf([{ kind: 'moved', body: { to: { f: 200, r: 200 } } }]));
    expect(screen.getByText(/it is lower already/)).toBeTruthy();
  });
});
