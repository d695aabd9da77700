import { said } from '../job/testing.ts';
import type { Complaint } from '../order/index.ts';
import { foldJob, type JobState, logWriter } from '../job/index.ts';
import { usualArchetypes as archetypes } from '../vehicle/testing.ts';
import { compareList } from '../fit/index.ts';
import { couldStop, neededFor, onceOrder, type Needed } from './index.ts';

const rail = archetypes[0]!;
function job(complaint: Complaint = 'pump', answers: Record<string, string> = {}): JobState {
  const write = logWriter('job');
  return foldJob(null, [
    write('opened', { name: 'Van', complaint, vehicle: rail, gauge: 0.5 }),
    ...Object.entries(answers).map(([question, value]) => write('answer', said(question, value))),
  ])!;
}
const item = (state: JobState, id: string): Needed | undefined => neededFor(state).find((n) => n.id === id);

describe('what is needed (common practice, no source)', () => {
  test('a seal always where the ring is opened, and not where it is not', () => {
    expect(item(job('pump'), 'seal')).toMatchObject({ rule: 'always', here: 'unknown' });
    expect(item(job('hose'), 'seal')).toBeUndefined();
  });
  test('every tool that a way asks for is there once', () => {
    const tools = new Set(
      [
        ...rail.connections.flatMap((c) => [...c.part, ...c.make]),
        ...rail.obstructions.flatMap((o) => [...o.clear, ...o.restore]),
        ...rail.supports.flatMap((x) => [...x.off!, ...x.on!]),
      ].flatMap((w) => w.tools),
    );
    const listed = neededFor(job()).filter((n) => n.id.startsWith('tool-'));
    expect(new Set(listed.map((n) => n.name))).toEqual(tools);
    expect(listed).toHaveLength(tools.size);
  });
  test('counts come from the file: two caps an open end, wet or not, the studs, the clamps', () => {
    // Feed, return, two vents, vapour, filler, breather; plug and ground let nothing out.
    expect(item(job(), 'caps')!.count).toBe(2 * 7);
    expect(item(job(), 'fastener-strap-stud')!.count).toBe(2);
    expect(item(job(), 'worms')!.count).toBe(2);
  });
  test('what carries it by its mounting: a jack for a tank that goes down, none for one on pads or behind a seat', () => {
    const carried = (id: string) => {
      const vehicle = archetypes.find((a) => a.id === `archetype-${id}`)!;
      const state = foldJob(null, [
        logWriter('job')('opened', { name: 'Van', complaint: 'pump', vehicle, gauge: 0.5 }),
      ])!;
      return neededFor(state)
        .filter((n) => n.id === 'jack' || n.id === 'board')
        .map((n) => n.id);
    };
    expect(carried('rail')).toEqual(['jack']);
    expect(carried('crosswise')).toEqual(['jack', 'board']);
    expect(carried('upright')).toEqual(['board']);
    expect(carried('floor')).toEqual([]);
    expect(carried('pads')).toEqual([]);
  });
  test('two of one and none of another is found', () => {
    expect(item(job('pump', { 'kit seal': '0' }), 'seal')!.kit!.outcome).toBe('bad');
    expect(item(job('pump', { 'kit seal': '1' }), 'seal')!.kit!.outcome).toBe('good');
    expect(item(job('pump', { 'kit strainer': '2' }), 'strainer')!.kit!.outcome).toBe('doubtful');
    expect(item(job(), 'seal')!.kit).toBeNull();
  });
});

describe('could stop you', () => {
  test('what is missing for certain stands first, then what nobody looked at', () => {
    const list = couldStop(job('pump', { 'here seal': 'no', 'here pump': 'yes' }), null).map((c) => c.text);
    expect(list[0]).toBe('ring seal not here');
    expect(list.some((t) => t.startsWith('pump or module'))).toBe(false);
    expect(list).toContain('filler cap: try it now');
  });
  test('a shut cap, a plan that is held, a part that differs', () => {
    const list = couldStop(job('pump', { 'cap opens': 'no', 'compare threads': 'different' }), 'feed').map(
      (c) => c.text,
    );
    expect(list).toContain('the filler cap does not open');
    expect(list).toContain('on typical figures feed holds it');
    expect(list.some((t) => t.startsWith('threads'))).toBe(true);
    expect(list).not.toContain('filler cap: try it now');
  });
  test('what is carried over stays open until it is over', () => {
    expect(couldStop(job('level', { 'compare plug': 'carry' }), null).some((c) => c.text.startsWith('plug'))).toBe(
      true,
    );
    expect(couldStop(job('level', { 'compare plug': 'carried' }), null).some((c) => c.text.startsWith('plug'))).toBe(
      false,
    );
  });
});

test('whatever goes in is held against the old one, and brings what it seals with: leak, rust, bad fuel, hose as well', () => {
  const ids = (complaint: Complaint) => compareList(job(complaint)).map((c) => c.id);
  expect(ids('hose')).toEqual(expect.arrayContaining(['bore', 'grade']));
  expect(ids('leak')).toEqual(expect.arrayContaining(['ports', 'flange', 'capacity']));
  expect(ids('rust')).toEqual(ids('leak').filter((id) => id !== 'bore'));
  expect(ids('badFuel')).toContain('filter');
  for (const complaint of ['leak', 'rust', 'badFuel'] as const)
    expect(item(job(complaint), 'seal')).toMatchObject({ rule: 'always' });
  expect(item(job('leak'), 'tank')).toMatchObject({ rule: 'ifBad' });
  expect(item(job('hose'), 'hose-new')).toMatchObject({ rule: 'always' });
});

describe('done once, in one order (common practice, no source)', () => {
  const words = (wheel: boolean) => {
    const vehicle = structuredClone(rail);
    if (wheel) vehicle.connections[0]!.part[0]!.from = 'through the wheel arch';
    return onceOrder({ vehicle }, true).map((s) => s.what);
  };
  test('the pump runs before the battery goes off, and the wheel goes off and on once', () => {
    const list = words(true);
    const at = (part: RegExp) => list.findIndex((w) => part.test(w));
    expect(at(/own pump/)).toBeLessThan(at(/battery negative off/));
    expect(at(/crack the wheel nuts/)).toBeLessThan(at(/up on the lift/));
    expect(at(/wheel off/)).toBeLessThan(at(/wheel on/));
    expect(list.filter((w) => /^wheel off/.test(w))).toHaveLength(1);
    expect(words(false).some((w) => /wheel/.test(w))).toBe(false);
  });
});
