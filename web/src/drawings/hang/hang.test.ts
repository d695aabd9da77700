import { archetypes, bindings, foldJob, logWriter } from '@iron-cradle/core';
import { hang, seeds, some } from '../testing.ts';
import { layoutHang } from './layout.ts';

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

  test('another vehicle changes the hang', () => {
    const [a, b] = [hang(some(4)).at, hang(some(9)).at];
    expect(a.lines.map((l) => [l.id, l.path])).not.toEqual(b.lines.map((l) => [l.id, l.path]));
    expect(a.enlarged === b.enlarged && a.scale === b.scale).toBe(false);
  });
});
