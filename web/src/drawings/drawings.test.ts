import {
  logWriter,
  bindings,
  chords,
  foldJob,
  holdersAt,
  nextStop,
  marksAhead,
  type JobState,
  type Pose,
  type UnitSystem,
} from '@iron-cradle/core';
import { ahead as lookAhead } from '@iron-cradle/core/foresight';
import { randomVehicle, seeded } from '@iron-cradle/core/rehearsal';
import { archetypes, exactly, sectionOf, shapeLitres, type TankShape, type VehicleFile } from '@iron-cradle/core';
import { layTank, type Px } from './tank/layout.ts';
import { layoutHang } from './hang/layout.ts';
import type { HangLayout } from './hang/types.ts';
import { bar, FULL } from './ladder/layout.ts';
import { layoutWell, spread } from './well/layout.ts';

/** A random vehicle some stops down; what is drawn must be what the core says. */
function some(seed: number, stops = 1 + (seed % 4)): JobState {
  const rng = seeded(seed);
  const write = logWriter('job');
  let state = foldJob(null, [
    write('opened', {
      name: 'Van',
      complaint: 'pump',
      vehicle: randomVehicle(archetypes[seed % archetypes.length]!, rng),
    }),
  ])!;
  for (let i = 0; i < stops && !state.out; i++) {
    const stop = nextStop(state);
    if (stop.kind === 'held') break;
    const body = {
      to: stop.pose,
      off: stop.actions.map((a, k) => ({ key: a.key, tag: i * 20 + k + 1 })),
      capped: [],
      look: { asked: true, tight: [], nearly: [], allFist: false, reachable: [] },
      notDone: [],
    };
    state = foldJob(state, [write(stop.kind === 'creep' ? 'crept' : 'stopDone', body)])!;
  }
  return state;
}
const seeds = Array.from({ length: 60 }, (_, i) => i);
const hang = (
  state: JobState,
  { units = 'metric' as UnitSystem, height = 580, width = 680, ghost = null as Pose | null } = {},
) => {
  const stop = { pose: state.pose, holders: holdersAt(bindings(state), state.pose, state.vehicle.length) };
  return { stop, at: layoutHang({ state, stop, ghost, width, height, units }) };
};

/** Letters of 16 px, narrowed, are seldom narrower than 6 px; one of their lines covers 12. */
const covers = ({ lines, x, y, anchor }: HangLayout['blocks'][number]['name']) => {
  const width = Math.max(...lines.map((line) => line.length)) * 6;
  const from = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { left: from, right: from + width, top: y - 12, bottom: y + (lines.length - 1) * 18 };
};
type Covered = ReturnType<typeof covers>;
const apart = (a: Covered, b: Covered) =>
  a.left >= b.right || b.left >= a.right || a.top >= b.bottom || b.top >= a.bottom;

describe('the hang', () => {
  test.each(seeds)('vehicle %d: ports to scale across, drop enlarged as stated, the tightest line marked', (seed) => {
    const state = some(seed);
    const { stop, at } = hang(state);
    const { vehicle } = state;
    expect(at.tank.width / vehicle.length).toBeCloseTo(at.scale, 9);
    // One mm of drop is as many px as the scale across times the number stated.
    expect(at.y(100) - at.y(0)).toBeCloseTo(100 * at.scale * at.enlarged, 6);
    expect(at.tank.y).toBeCloseTo((at.y(state.pose.f) + at.y(state.pose.r)) / 2, 6);
    // Each port hangs as low as the tank does there.
    for (const line of at.lines) {
      const { x } = vehicle.connections.find((c) => c.id === line.id)!;
      expect(line.port.y).toBeCloseTo(at.y(state.pose.f + ((state.pose.r - state.pose.f) * x) / vehicle.length), 6);
    }
    // A rail begins where a hand gets to the joint for certain, and not where it only may.
    for (const line of at.lines) {
      const { sure, perhaps } = line.reach;
      const ways = vehicle.connections.find((c) => c.id === line.id)!.part;
      if (sure) expect(ways.some((w) => Math.abs(at.y(w.reachFrom.hi) - sure.top) < 1e-6)).toBe(true);
      if (sure && perhaps) expect(perhaps.foot).toBeLessThanOrEqual(sure.top + 1e-6);
    }
    // Its outline is the section of its shape, to scale across, inside the place the tank has.
    const outline = at.outline(state.pose);
    const xs = outline.map((p) => p[0]);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(at.tank.width, 6);
    expect(Math.min(...outline.map((p) => p[1]))).toBeCloseTo(at.tank.y, 6);
    expect(Math.max(...outline.map((p) => p[1]))).toBeCloseTo(at.tank.y + at.tank.height, 6);
    const on = bindings(state).filter((b) => b.line);
    expect(at.lines.map((l) => l.id).sort()).toEqual(on.map((b) => b.line!.id).sort());
    for (const line of at.lines) {
      const holder = stop.holders.find((h) => h.key === `line:${line.id}`)!;
      expect(line.room).toEqual({ lo: holder.room.lo, hi: holder.room.hi });
      expect(line.port.y).toBeCloseTo(at.y(state.pose.f), 6);
      const x = at.tank.x + vehicle.connections.find((c) => c.id === line.id)!.x * at.scale;
      // Ports are moved only to keep neighbours apart, never past the tank.
      expect(line.port.x).toBeGreaterThanOrEqual(at.tank.x - 1);
      expect(line.port.x).toBeLessThanOrEqual(at.tank.x + at.tank.width + 1);
      if (at.lines.every((o) => o === line || Math.abs(o.port.x - line.port.x) > 33))
        expect(Math.abs(line.port.x - x)).toBeLessThan(150);
      // It holds where less than one creep, 10 mm, is left.
      expect(line.holds).toBe(stop.holders[0]!.key === holder.key && holder.room.lo < 10);
      expect(line.guessed).toBe(holder.room.lo !== holder.room.hi);
    }
    expect(at.parted).toHaveLength(state.items.filter((i) => i.kind === 'line').length);
    expect(at.tank.y + at.tank.height).toBeLessThan(580);
  });

  test('fuel in a tipped tank is level in the world: nearer to the roof where that end hangs lower', () => {
    const file = archetypes[0]!;
    const opened = { name: 'x', complaint: 'pump', vehicle: file, gauge: 0.5 } as const;
    const state = foldJob(null, [logWriter('job')('opened', opened)])!;
    const pose = { f: 20, r: 60 };
    const stop = { pose, holders: [] };
    const at = layoutHang({ state, stop, ghost: null, width: 680, height: 580, units: 'metric' });
    const under = [at.fuel!.lo[0] - at.y(pose.f), at.fuel!.lo[1] - at.y(pose.r)];
    // 40 mm lower at the second end: 40 mm less between roof and surface there, at the scale of the tank.
    expect(under[0]! - under[1]!).toBeCloseTo(40 * at.scale, 6);
    expect(at.fuel!.hi[0]).toBeLessThanOrEqual(at.fuel!.lo[0]);
  });

  test('no number lies over another, and over no other stub where its other side is free', () => {
    let turned = 0;
    for (const seed of seeds) {
      const { parted } = hang(some(seed)).at;
      // A number of one digit is 26 px wide, each more 9; 9 px from its stub, 19 high; a stub is 3 wide.
      const box = (p: (typeof parted)[number], left: boolean): Covered => {
        const width = 17 + String(p.tag).length * 9;
        return {
          left: left ? p.x - 9 - width : p.x + 9,
          right: left ? p.x - 9 : p.x + 9 + width,
          top: p.low - 17,
          bottom: p.low + 2,
        };
      };
      for (const p of parted) {
        const others = parted.filter((q) => q !== p);
        for (const q of others) expect(apart(box(p, p.left), box(q, q.left))).toBe(true);
        const lies = (here: Covered) =>
          others.some((q) => !apart(here, { left: q.x - 2, right: q.x + 2, top: 0, bottom: q.low }));
        const free = !lies(box(p, true)) && others.every((q) => apart(box(p, true), box(q, q.left)));
        if (free) expect(lies(box(p, p.left))).toBe(false);
        if (p.left) turned += 1;
        expect(p.low).toBeLessThanOrEqual(p.tankY);
      }
    }
    expect(turned).toBeGreaterThan(0);
  });

  test('its scale is in whole inches for whom reads inches, and the drawing stays', () => {
    const [mm, inch] = [hang(some(4)).at, hang(some(4), { units: 'us' }).at];
    expect(inch.tank).toEqual(mm.tank);
    const step = inch.ticks[1]!.drop;
    // 1 in = 25.4 mm by definition.
    expect([25.4, 50.8, 101.6, 203.2]).toContain(step);
    expect(mm.ticks[1]!.drop % 10).toBe(0);
    for (const tick of inch.ticks) expect(Number.isInteger(Math.round((tick.drop / 25.4) * 1e6) / 1e6)).toBe(true);
    expect(inch.lines[0]!.label.text).not.toBe(mm.lines[0]!.label.text);
  });

  test('another vehicle changes hang, well and ladder', () => {
    const [a, b] = [hang(some(4)).at, hang(some(9)).at];
    expect(a.lines.map((l) => [l.id, l.path])).not.toEqual(b.lines.map((l) => [l.id, l.path]));
    expect(a.enlarged === b.enlarged && a.scale === b.scale).toBe(false);
  });

  test('labels in the tank do not cover each other', () => {
    for (const seed of seeds) {
      const { lines } = hang(some(seed)).at;
      for (const a of lines)
        for (const b of lines)
          if (a !== b && a.label.y === b.label.y) expect(Math.abs(a.label.x - b.label.x)).toBeGreaterThan(20);
    }
  });

  test.each([580, 390])('how much is in is written over no label, in a drawing %d px high', (height) => {
    let said = 0;
    for (const seed of seeds) {
      const { lines, fuel } = hang(some(seed), { height }).at;
      if (!fuel) continue;
      const { label } = fuel;
      // Letters of 14 px are 8.4 wide where all have one width; narrowed ones of 16 px seldom less than 6.
      const [from, to] = [label.x, label.x + label.text.length * 8.4];
      for (const other of lines.map((line) => line.label)) {
        const apart = other.x > to || other.x + other.text.length * 6 < from;
        expect(apart || Math.abs(other.y - label.y) >= 12).toBe(true);
      }
      said += 1;
    }
    expect(said).toBeGreaterThan(30);
  });
});

describe('what is written below the tank', () => {
  test.each([
    [580, 680],
    [390, 680],
    [360, 358],
  ])('lies over nothing that is drawn there, in a drawing %d px high and %d wide', (height, width) => {
    let said = 0;
    for (const seed of seeds) {
      const state = some(seed);
      const ahead = state.out ? null : nextStop(state);
      const ghost = ahead && ahead.kind !== 'held' ? { f: state.pose.f + 25, r: state.pose.r + 25 } : null;
      const { at } = hang(state, { height, width, ghost });
      const texts = [...at.blocks.map((b) => b.name), ...(at.next ? [at.next] : [])];
      const { jack, tank } = at;
      const drawn: Covered[] = [
        // The ram is 14 wide, its cylinder 32.
        { left: jack.x - 7, right: jack.x + 7, top: tank.y + tank.height, bottom: height - 36 },
        { left: jack.x - 16, right: jack.x + 16, top: jack.body, bottom: height - 36 },
        { left: tank.x, right: tank.x + tank.width, top: tank.y, bottom: tank.y + tank.height },
        ...at.blocks.map(({ x, y }) => ({ left: x - 30, right: x + 30, top: y, bottom: y + 22 })),
      ];
      texts.forEach((text, i) => {
        const here = covers(text);
        for (const thing of [...drawn, ...texts.slice(0, i).map(covers)]) expect(apart(here, thing)).toBe(true);
        expect(here.left).toBeGreaterThanOrEqual(0);
        expect(here.right).toBeLessThanOrEqual(width);
        said += 1;
      });
    }
    expect(said).toBeGreaterThan(60);
  });

  test.each([580, 340, 300])('in a drawing %d px high no line’s name is, with all of them on', (height) => {
    for (const seed of seeds) {
      const { lines, tank } = hang(some(seed, 0), { height }).at;
      for (const { label } of lines) expect(label.y).toBeLessThanOrEqual(tank.y + tank.height);
    }
  });
});

describe('the ladder', () => {
  test.each(seeds)('vehicle %d: solid for what is certain, hatched for what is guessed, shortest first', (seed) => {
    const { holders } = hang(some(seed)).stop;
    for (const holder of holders) {
      const { solid, guessed } = bar(holder);
      // Drawn lengths read back as the core's millimetres, as far as the scale goes.
      expect(solid * FULL).toBeCloseTo(Math.min(FULL, holder.room.lo), 9);
      expect((solid + guessed) * FULL).toBeCloseTo(Math.min(FULL, holder.room.hi), 9);
    }
    holders.slice(1).forEach((h, i) => expect(h.room.lo).toBeGreaterThanOrEqual(holders[i]!.room.lo));
  });
});

describe('the well', () => {
  test.each(seeds)('vehicle %d: a chord from where it came off to where it must be back', (seed) => {
    const state = some(seed);
    const list = chords(state);
    const at = layoutWell({
      chords: list,
      here: state.pose.f,
      clear: state.vehicle.clear,
      ahead: marksAhead(lookAhead(state).walk),
      width: 240,
      height: 560,
    });
    const perMm = (at.y(40) - at.y(0)) / 40;
    for (const drawn of at.chords) {
      const same = list.filter((c) => c.from === drawn.chord.from && c.by === drawn.chord.by).length;
      expect(drawn.y1 - at.y(0)).toBeGreaterThanOrEqual(drawn.chord.from * perMm - 1e-6);
      expect(drawn.y1 - at.y(0) - drawn.chord.from * perMm).toBeLessThanOrEqual(same * 5);
      expect(drawn.y2 - drawn.y1).toBeCloseTo((drawn.chord.by - drawn.chord.from) * perMm, 6);
    }
    expect(at.y(state.vehicle.clear)).toBe(at.floor);
    const labels = at.chords.map((c) => c.labelY).sort((x, y) => x - y);
    labels.slice(1).forEach((y, i) => expect(y - labels[i]!).toBeGreaterThanOrEqual(26.9));
  });

  test.each(seeds)('vehicle %d: nothing that lies ahead is written over something else, down and at home', (seed) => {
    const state = some(seed);
    for (const here of [state.pose.f, 0]) {
      const ahead = [{ drop: here, names: [] }, ...marksAhead(lookAhead(state).walk)];
      const at = layoutWell({ chords: [], here, clear: state.vehicle.clear, ahead, width: 240, height: 560 });
      const words = at.ahead.map((mark) => mark.labelY).sort((x, y) => x - y);
      // A line of type of 14 px.
      words.slice(1).forEach((y, i) => expect(y - words[i]!).toBeGreaterThanOrEqual(14));
    }
  });

  test('labels are moved apart in order and stay inside', () => {
    expect(spread([10, 12, 100], { step: 20, least: 0, most: 110 })).toEqual([10, 30, 100]);
    expect(spread([100, 100, 100], { step: 20, least: 0, most: 110 })).toEqual([70, 90, 110]);
  });
});

describe('the tank in section', () => {
  const lobes: TankShape = {
    kind: 'lobes',
    length: 1000,
    width: 400,
    height: 250,
    over: 'x',
    hump: { from: 400, to: 640, height: 100, slope: 30 },
  };
  const shapes: TankShape[] = [
    { kind: 'box', length: 1000, width: 400, height: 200, taper: { first: 80, second: 120 } },
    { kind: 'cylinder', length: 900, width: 300, height: 300 },
    lobes,
  ];
  const file = (shape: TankShape): VehicleFile => {
    const litres = shapeLitres(shape);
    const base = archetypes[0]!;
    return { ...base, tank: { ...base.tank, shape, litres: { lo: litres, typ: litres, hi: litres } } };
  };
  const size = (polygons: readonly (readonly Px[])[]) =>
    polygons.reduce(
      (sum, points) =>
        sum +
        Math.abs(
          points.reduce((s, [x, y], i) => {
            const [nx, ny] = points[(i + 1) % points.length]!;
            return s + (x * ny - nx * y) / 2;
          }, 0),
        ),
      0,
    );
  const box = { width: 700, height: 240 };

  test.each(shapes.map((s) => [s.kind, s] as const))(
    '%s: the share of its area is the share of its litres',
    (_, shape) => {
      // Drawn out over its depth a profile holds by its area, level or tipped along the picture.
      for (const share of [0.1, 0.35, 0.8])
        for (const x of shape.kind === 'cylinder' ? [0] : [0, 5]) {
          const vehicle = file(shape);
          const at = layTank({ vehicle, aboard: exactly(share * shapeLitres(shape)), tilt: { x, y: 0 }, box });
          expect(size(at.sure) / size([at.outline])).toBeCloseTo(share, 2);
          expect(size(at.maybe)).toBeCloseTo(size(at.sure), 6);
        }
    },
  );
  test('to scale, inside its box, and a dragged level is the level that is drawn', () => {
    for (const shape of shapes) {
      const at = layTank({ vehicle: file(shape), aboard: exactly(20), tilt: { x: 0, y: 0 }, box });
      const xs = at.outline.map((p) => p[0]);
      const ys = at.outline.map((p) => p[1]);
      const section = sectionOf(shape).outline;
      const run = Math.max(...section.map((p) => p[0])) - Math.min(...section.map((p) => p[0]));
      const tall = Math.max(...section.map((p) => p[1])) - Math.min(...section.map((p) => p[1]));
      expect((Math.max(...xs) - Math.min(...xs)) / run).toBeCloseTo((Math.max(...ys) - Math.min(...ys)) / tall, 6);
      expect(Math.min(...xs)).toBeGreaterThan(-1);
      expect(Math.max(...xs)).toBeLessThan(box.width + 1);
      expect(Math.max(...ys)).toBeLessThan(at.height + 1);
      expect(at.mmAt(at.yOf(73))).toBeCloseTo(73, 6);
      expect(at.mmAt(-500)).toBe(shape.height);
    }
  });
  test('what stays behind the hump is drawn there, as large as the core says', () => {
    const at = layTank({ vehicle: file(lobes), aboard: exactly(60), tilt: { x: 0, y: 0 }, box });
    const scale = 700 / 1000;
    // 375 mm × 100 mm of the far lobe, by hand.
    expect(size(at.behind) / scale ** 2).toBeCloseTo(375 * 100, 0);
    for (const p of at.behind.flat()) expect(p[0]).toBeGreaterThan(0.6 * 700);
  });
  test('tipped, its fuel stays level: every part ends at one height', () => {
    const at = layTank({ vehicle: file(lobes), aboard: exactly(70), tilt: { x: 4, y: 0 }, box });
    const tops = at.sure.map((p) => Math.min(...p.map((q) => q[1])));
    expect(Math.max(...tops) - Math.min(...tops)).toBeLessThan(0.01);
  });
});
