import { checkBody, type Entry, foldJob, logWriter, owed } from '../job/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { cutKinds, judgeCut, triedFirst } from './index.ts';
import { cutKey } from './cuts.ts';

const write = logWriter('job');
const opened = write('opened', { name: 'Van', complaint: 'hose', vehicle: archetypes[0]! });
const cut = (body: object): Entry => write('cut', body as never);

describe('what can’t be undone asks what has not been tried', () => {
  test.each(cutKinds)('%s: doubtful while something gentler is left, each named; good once all was tried', (kind) => {
    const [first, ...rest] = triedFirst[kind];
    const some = judgeCut(kind, rest);
    expect(some.outcome).toBe('doubtful');
    expect(some.next).toEqual([`try first: ${first}`]);
    expect(judgeCut(kind, triedFirst[kind])).toMatchObject({ outcome: 'good', next: [] });
    expect(judgeCut(kind, ['prayed']).next).toHaveLength(triedFirst[kind].length);
  });

  test('a cut hose is parted there, and owed until a new one is entered', () => {
    const entry = cut({ what: 'hose', where: 'at the neck', key: 'line:filler', tag: 9, tried: [] });
    const state = foldJob(null, [opened, entry])!;
    expect(state.items.find((i) => i.key === 'line:filler')).toMatchObject({ state: 'open', tag: 9 });
    const debt = owed(state).find((d) => d.key === cutKey(entry.id))!;
    expect(debt.text).toBe('filler hose was cut at the neck: what went in for it is not entered');
    const mended = foldJob(state, [write('replaced', { key: cutKey(entry.id), words: 'new, 340 mm' })])!;
    expect(owed(mended).map((d) => d.key)).not.toContain(cutKey(entry.id));
    // Its joint is still open: that is another debt.
    expect(owed(mended).map((d) => d.key)).toContain('line:filler');
  });

  test('a sawn clamp or a cut in the body parts nothing, and is owed as well; taken back, nothing of it is left', () => {
    const entry = cut({
      what: 'body',
      where: 'floor over the pump',
      tried: [triedFirst.body[0]!],
      words: 'rusted through',
    });
    const state = foldJob(null, [opened, entry])!;
    expect(state.items).toEqual([]);
    expect(state.cuts[0]).toMatchObject({ what: 'body', untried: triedFirst.body.slice(1) });
    expect(owed(state).find((d) => d.key === cutKey(entry.id))!.text).toMatch(/^body was cut floor over the pump/);
    const back = foldJob(null, [opened, entry, write('takeBack', { entry: entry.id })])!;
    expect(back.cuts).toEqual([]);
    const left = {
      debt: cutKey(entry.id),
      what: 'body was cut',
      reason: 'plate later',
      who: 'owner',
      due: 'next visit',
    };
    expect(owed(foldJob(state, [write('deviation', left)])!).map((d) => d.key)).not.toContain(cutKey(entry.id));
  });

  test('an unknown thing to cut is refused with what is expected', () => {
    expect(() => checkBody('cut', { what: 'tank', where: 'x', tried: [] })).toThrow(/hose, pipe, clamp/);
  });
});
