import {
  bindings,
  chords,
  foldJob,
  holdersAt,
  nextStop,
  planDescent,
  marksAhead,
  type JobState,
} from '@iron-cradle/core';
import { logWriter, randomVehicle, seeded } from '@iron-cradle/core/rehearsal';
import { archetypes } from '@iron-cradle/core';
import { layoutHang } from './hang/layout.ts';
import { bar, FULL } from './ladder/layout.ts';
import { layoutWell, spread } from './well/layout.ts';

/** A random vehicle some stops down; what is drawn must be what the core says. */
function some(seed: number): JobState {
  const rng = seeded(seed);
  const write = logWriter('job');
  let state = foldJob(null, [
    write('opened', { name: 'Van', complaint: 'pump', vehicle: randomVehicle(archetypes[seed % 2]!, rng) }),
  ])!;
  for (let i = 0; i < 1 + (seed % 4) && !state.out; i++) {
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
const hang = (state: JobState) => {
  const stop = { pose: state.pose, holders: holdersAt(bindings(state), state.pose.f) };
  return { stop, at: layoutHang({ state, stop, ghost: null, width: 680, height: 580 }) };
};

describe('the hang', () => {
  test.each(seeds)('vehicle %d: ports to scale across, drop enlarged as stated, the tightest line marked', (seed) => {
    const state = some(seed);
    const { stop, at } = hang(state);
    const { vehicle } = state;
    expect(at.tank.width / vehicle.length).toBeCloseTo(at.scale, 9);
    // One mm of drop is as many px as the scale across times the number stated.
    expect(at.y(100) - at.y(0)).toBeCloseTo(100 * at.scale * at.enlarged, 6);
    expect(at.tank.y).toBeCloseTo(at.y(state.pose.f), 6);
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
      expect(line.holds).toBe(stop.holders[0]!.key === holder.key);
      expect(line.guessed).toBe(holder.room.lo !== holder.room.hi);
    }
    expect(at.parted).toHaveLength(state.items.filter((i) => i.kind === 'line').length);
    expect(at.tank.y + at.tank.height).toBeLessThan(580);
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
      ahead: marksAhead(planDescent(state)),
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

  test('labels are moved apart in order and stay inside', () => {
    expect(spread([10, 12, 100], 20, 0, 110)).toEqual([10, 30, 100]);
    expect(spread([100, 100, 100], 20, 0, 110)).toEqual([70, 90, 110]);
  });
});
