import Module from 'manifold-3d';
import type { Manifold } from 'manifold-3d';
import { seeded } from '../truth/index.ts';
import { contentsBelow, surfaceAt, trappedFuel, upOf, type TankShape } from './index.ts';
import { outlineOf } from './outline.ts';
import { solidOf } from './solid.ts';
import { randomShape } from './testing.ts';

/** The reference: an exact library for solids, given the profile and not our mesh. */
const wasm = await Module();
wasm.setup();

/** Built in its own order of axes: profile in its x and y, drawn out along its z. */
function reference(shape: TankShape): { solid: Manifold; turn: (p: readonly number[]) => [number, number, number] } {
  const { axis, points, depth, sump } = outlineOf(shape);
  let solid = new wasm.CrossSection([points]).extrude(depth);
  if (sump) {
    const [dx, dy] = [sump.x[1] - sump.x[0], sump.y[1] - sump.y[0]];
    // A hair into the tank above it, so that the two become one; taken off the sum by the union itself.
    const box = wasm.Manifold.cube([dx, sump.top + 5, dy]).translate([sump.x[0], 0, sump.y[0]]);
    solid = wasm.Manifold.union(solid, box);
  }
  return { solid, turn: (p) => (axis === 'x' ? [p[0]!, p[2]!, p[1]!] : [p[1]!, p[2]!, p[0]!]) };
}

function belowIt(solid: Manifold, up: [number, number, number], height: number) {
  const part = solid.trimByPlane([-up[0], -up[1], -up[2]], -height);
  const mesh = part.getMesh();
  const at = (i: number): [number, number, number] => [
    mesh.vertProperties[i * mesh.numProp]!,
    mesh.vertProperties[i * mesh.numProp + 1]!,
    mesh.vertProperties[i * mesh.numProp + 2]!,
  ];
  let total = 0;
  const sum = [0, 0, 0];
  for (let t = 0; t < mesh.triVerts.length; t += 3) {
    const [a, b, c] = [at(mesh.triVerts[t]!), at(mesh.triVerts[t + 1]!), at(mesh.triVerts[t + 2]!)];
    const v =
      (a[0] * (b[1] * c[2] - b[2] * c[1]) + a[1] * (b[2] * c[0] - b[0] * c[2]) + a[2] * (b[0] * c[1] - b[1] * c[0])) /
      6;
    total += v;
    for (let k = 0; k < 3; k++) sum[k]! += (v * (a[k]! + b[k]! + c[k]!)) / 4;
  }
  return { volume: part.volume(), centroid: sum.map((s) => s / total) };
}

describe('contents at a tilt against an exact solid library, 200 random tanks', () => {
  const rng = seeded(20);
  test('volume and centroid to one part in a million', () => {
    let worst = 0;
    for (let i = 0; i < 200; i++) {
      const shape = randomShape(rng);
      const tilt = { x: (rng() - 0.5) * 24, y: (rng() - 0.5) * 24 };
      const { solid, turn } = reference(shape);
      const litres = (0.02 + 0.96 * rng()) * (solid.volume() / 1e6);
      const height = surfaceAt(shape, litres, tilt);
      const ours = contentsBelow(shape, height, tilt);
      const theirs = belowIt(solid, turn(upOf(tilt)), height);
      expect(Math.abs(ours.litres * 1e6 - theirs.volume) / theirs.volume).toBeLessThan(1e-6);
      // The level was found for these litres, so the library must see them too.
      expect(Math.abs(litres * 1e6 - theirs.volume) / theirs.volume).toBeLessThan(1e-6);
      const centroid = turn(ours.centroid);
      for (let k = 0; k < 3; k++) {
        const off = Math.abs(centroid[k]! - theirs.centroid[k]!) / shape.length;
        worst = Math.max(worst, off);
        expect(off).toBeLessThan(1e-6);
      }
    }
    expect(worst).toBeGreaterThan(0);
  });

  test('the cells of a tank together are the tank', () => {
    for (let i = 0; i < 50; i++) {
      const solid = solidOf(randomShape(rng));
      const cells = solid.cells.reduce((sum, c) => sum + c.volume, 0);
      expect(cells / solid.volume).toBeCloseTo(1, 9);
    }
  });
});

describe('trapped fuel against lobes cut apart by the library', () => {
  test('the far lobe keeps what lies below its sill, whatever the tilt', () => {
    const rng = seeded(4);
    for (let i = 0; i < 40; i++) {
      const shape: TankShape = {
        kind: 'lobes',
        length: 1000,
        width: 400,
        height: 250,
        over: 'x',
        hump: { from: 400, to: 640, height: 60 + rng() * 100, slope: 30 },
      };
      const tilt = { x: (rng() - 0.5) * 16, y: (rng() - 0.5) * 16 };
      const outlet = [120 + rng() * 150, 150 + rng() * 100, 8] as const;
      const up = upOf(tilt);
      const dot = (p: readonly number[]) => up[0] * p[0]! + up[1] * p[1]! + up[2] * p[2]!;
      const { solid, turn } = reference(shape);
      // The crest runs from one top corner of the hump to the other; the far side spills over its lowest point of both.
      const edge = (x: number) => Math.min(dot([x, 0, shape.hump.height]), dot([x, 400, shape.hump.height]));
      const sill = Math.max(edge(430), edge(610), dot(outlet));
      const half = (from: number, to: number) =>
        solid.intersect(wasm.Manifold.cube([to - from, 300, 500]).translate([from, -10, -50]));
      const far = belowIt(half(610, 1000), turn(up), sill).volume;
      const flank = belowIt(half(430, 610), turn(up), Math.min(sill, Math.max(edge(430), dot(outlet)))).volume;
      const near = belowIt(half(0, 430), turn(up), dot(outlet)).volume;
      const top = belowIt(half(430, 610), turn(up), sill).volume;
      const ours = trappedFuel(shape, outlet, tilt).litres * 1e6;
      // On the top of the hump a wedge may stand when it is tipped away: between none of it and all of it.
      expect(ours).toBeGreaterThan((far + near + flank) * (1 - 1e-6) - 1);
      expect(ours).toBeLessThan((far + near + top) * (1 + 1e-6) + 1);
      solid.delete();
    }
  });
});
