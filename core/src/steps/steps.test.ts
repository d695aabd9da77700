import { foldJob, type JobState, logWriter } from '../job/index.ts';
import { actionsOf, nextStop } from '../stops/index.ts';
import { archetypes, type Connection, type VehicleFile } from '../vehicle/index.ts';
import { plainLine, r } from '../vehicle/testing.ts';
import { planSheet, spokenStop, stepsOf } from './index.ts';

const rail = archetypes[0]!;
/** Three minutes to part and to make. */
function line(id: string, slack: number, from: number, more: Partial<Connection> = {}): Connection {
  const plain = plainLine(id, { slack: r(slack), reachFrom: r(from), more });
  const ways = plain.part.map((way) => ({ ...way, minutes: r(3) }));
  return { ...plain, part: ways, make: ways };
}
/** The supports as they come off, once gate 2 is passed. */
const supportsOf = (state: JobState) =>
  nextStop({ ...state, gates: { ...state.gates, 2: { passed: {} } } }).actions.filter((a) => a.type === 'support');
const begin = (more: Partial<VehicleFile>): JobState =>
  foldJob(null, [
    logWriter('job')('opened', {
      name: 'Van',
      complaint: 'pump',
      vehicle: { ...structuredClone(rail), obstructions: [], ...more },
    }),
  ])!;

describe('a stop, hand by hand', () => {
  test('mark first, then how the fitting lets go, then the cap; a wet end carries its caution', () => {
    const state = begin({ connections: [line('feed', 100, 0, { fitting: 'push-tab', wetWhenOpen: true })] });
    const { actions } = nextStop(state);
    const steps = stepsOf(
      state,
      actions.filter((a) => a.type === 'part'),
      { 'line:feed': 7 },
    );
    expect(steps.map((s) => s.text)).toEqual([
      'paint 7 on both ends of the feed line',
      'feed line: take the second safety clip off, if there is one',
      'push the line towards the joint: it unloads the tabs',
      'press both tabs right in and pull straight',
      'cap both ends at once',
    ]);
    expect(steps[1]!.caution).toMatch(/wet inside.*; tabs snap: a spare clip at hand$/);
  });

  test('what cannot be undone asks first', () => {
    const state = begin({ connections: [line('return', 100, 0, { fitting: 'ear-clamp', wetWhenOpen: false })] });
    const steps = stepsOf(
      state,
      nextStop(state).actions.filter((a) => a.type === 'part'),
    );
    expect(steps[1]).toMatchObject({
      text: expect.stringMatching(/cut the ear/) as string,
      caution: expect.stringMatching(/what has not been tried yet/) as string,
    });
  });

  test('the jack carries before the first strap, the last one is a moment for two; head and other side by name', () => {
    const state = begin({ fasteners: [{ ...rail.fasteners[0]!, hex: '15 mm', counter: '13 mm' }] });
    const steps = stepsOf(state, supportsOf(state));
    expect(steps[0]).toMatchObject({
      text: expect.stringMatching(/^padded jacks/) as string,
      caution: expect.any(String) as string,
    });
    expect(steps.filter((s) => s.text.startsWith('padded jacks'))).toHaveLength(1);
    expect(steps[1]!.tools).toEqual(['15 mm socket', '13 mm spanner for the other side']);
    expect(steps[1]!.text).toMatch(/last few threads/);
    expect(steps.at(-1)!.caution).toMatch(/two people/);
  });

  test.each([
    ['upright', /two people hold it/],
    ['floor', /two people hold it/],
    ['pads', /a hand on it/],
    ['crosswise', /board on the jack/],
  ])('%s: the weight is taken by what carries this one', (id, words) => {
    const vehicle = archetypes.find((a) => a.id === `archetype-${id}`)!;
    const state = foldJob(null, [logWriter('job')('opened', { name: 'x', complaint: 'pump', vehicle })])!;
    const texts = stepsOf(state, supportsOf(state)).map((s) => `${s.text} ${s.tools.join()} ${s.caution ?? ''}`);
    expect(texts[0]).toMatch(words);
    if (id !== 'crosswise') expect(texts.join()).not.toMatch(/jack/);
  });

  test('said aloud in one breath', () => {
    const state = begin({ connections: [line('return', 100, 0, { wetWhenOpen: true })] });
    const actions = nextStop(state).actions.filter((a) => a.type === 'part');
    expect(spokenStop({ height: '40 mm, two fingers', actions, tags: { 'line:return': 8 }, look: true })).toBe(
      '40 mm, two fingers. Part return line 8. Cap 8, both ends. Look: anything tight?',
    );
  });
});

describe('the plan on one page', () => {
  test('stops, steps, what each must let, the way up; certain where it is', () => {
    const vent = line('vent', 120, 70, { fitting: 'spring-clamp' });
    const sheet = planSheet(begin({ connections: [line('feed', 60, 30), vent] }));
    expect(sheet.certain).toBe(true);
    expect(sheet.down.map((s) => s.pose.f)).toEqual([0, 25, 30, 70, rail.clear]);
    // On paper too the first stop is a look, no deeper than 25.
    expect(sheet.down[1]!.steps[0]).toMatch(/^look on top/);
    expect(sheet.asks).toEqual([
      { name: 'vent', mm: 70 },
      { name: 'feed', mm: 30 },
    ]);
    // A look, two stops and the floor: 4 moves of 2 min, two lines of 3, two straps of 8; the search leaves out the look.
    expect(sheet.ahead).toMatchObject({ minutes: { typ: 30 }, stops: { lo: 2, typ: 3, hi: 3 }, open: false });
    const down = sheet.down.flatMap((stop) => stop.steps);
    expect(down.filter((step) => /paint pen/.test(step))).toHaveLength(1);
    expect(sheet.down[2]!.steps.join()).toMatch(/feed line: second clip off first; press both tabs/);
    expect(sheet.up.at(-1)!.pose).toEqual({ f: 0, r: 0 });
    const made = sheet.up.flatMap((s) => s.steps);
    // Each by its fitting: a clamp sits behind its bead, a tab clicks. Common practice, no source.
    expect(made).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^feed home: click, pull/),
        expect.stringMatching(/^vent home: past the bead, clamp behind it/),
      ]),
    );
    expect(sheet.caution).toMatch(/service information/);
  });

  test('the clip that comes off on the way down stands on the way up, and a line goes back where it was parted', () => {
    // The clip gives the vent from 40 to 200; without it off no hand reaches it in time.
    const off = { ...line('x', 1, 0).part[0]!, id: 'off' };
    const clip = { id: 'k', name: 'vent clip', slack: r(200), ways: [off] };
    const sheet = planSheet(begin({ connections: [line('vent', 40, 100, { clips: [clip] })] }));
    const said = (stops: typeof sheet.up) => stops.flatMap((s) => s.steps).join('; ');
    expect(said(sheet.down)).toContain('vent clip: off the rail');
    expect(said(sheet.up)).toContain('vent clip back on');
    // The jack carries until the straps do.
    expect(said(sheet.up)).toMatch(/evenly in rounds; vent clip back on$/);
  });

  test('part-way its way up begins where its way down ends, and asks for nothing that stayed on', () => {
    const state = { ...begin({ connections: [line('feed', 60, 30), line('vent', 300, 70)] }), goal: 150 };
    const sheet = planSheet(state);
    expect(sheet.down.at(-1)!.pose).toEqual({ f: 150, r: 150 });
    expect(sheet.up[0]!.pose).toEqual({ f: 150, r: 150 });
    const made = sheet.up.flatMap((s) => s.steps).join('; ');
    expect(made).toContain('feed home');
    expect(made).not.toContain('vent home');
  });

  test('guessed figures are said to be likely only; no way gives an empty way', () => {
    const guessed = begin({ connections: [line('vent', 0, 70, { slack: { lo: 20, typ: 100, hi: 140 } })] });
    expect(planSheet(guessed)).toMatchObject({ certain: false });
    const none = planSheet(begin({ connections: [line('vent', 20, 70)] }));
    expect(none.down).toEqual([]);
    expect(none.ahead).toBeNull();
  });
});

describe('what is not screwed on', () => {
  // Common practice, no source.
  const unscrewed = {
    pads: ['tap-shut', 'hold-clips', 'propped', 'slid-back'],
    seat: ['shield-line-clips', 'brake-pipe-clips'],
    wing: ['lamp-wires', 'changeover-shut', 'exhaust'],
    upright: ['soft-top', 'header-vent-clip'],
    crosswise: ['tow-wire', 'lamp-wires', 'neck', 'wire-through-floor'],
    'floor-hung': ['return-through-frame'],
    floor: ['sealer'],
    rail: ['crossmember', 'strap-1-hook', 'strap-2-hook'],
  };
  test.each(Object.entries(unscrewed))(
    '%s: nobody is told to bag its bolts, or that it goes back on with them',
    (id, ids) => {
      const vehicle = archetypes.find((one) => one.id.endsWith(id))!;
      const state = begin({ ...vehicle, variants: [] });
      for (const thing of ids) {
        const { clear } = vehicle.obstructions.find((one) => one.id === thing)!;
        const said = clear.flatMap((way) =>
          stepsOf(state, actionsOf(state, [{ thing: `obstruction:${thing}`, way: way.id }])).map((step) => step.text),
        );
        expect(said.length).toBeGreaterThan(0);
        expect(said.join('; ')).not.toMatch(/bolt/);
      }
    },
  );

  test('on paper each goes back as its way says, and what holds the tank as its kind does', () => {
    const up = (id: string) => {
      const vehicle = archetypes.find((one) => one.id.endsWith(id))!;
      return planSheet(begin(vehicle)).up.flatMap((stop) => stop.steps);
    };
    expect(up('pads')).toEqual(
      expect.arrayContaining([
        'rear propped up: prop out, let down by hand',
        expect.stringMatching(/^rear bolt: washers and spacers/),
      ]),
    );
    expect(up('floor').filter((step) => step.startsWith('flange screws'))).toEqual([
      expect.stringMatching(/: all of them started by hand, then crosswise in rounds$/),
      expect.stringMatching(/: all of them started by hand, then crosswise in rounds$/),
    ]);
    for (const id of ['pads', 'floor', 'floor-hung']) expect(up(id).join()).not.toMatch(/its pad|arrow/);
    expect(up('rail').join()).toMatch(/front strap: on its pad, arrow to the front/);
  });
});
