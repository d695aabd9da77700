import { bestTilt, contentsBelow, upOf, type TankShape } from '@iron-cradle/core';
import Module from 'manifold-3d';
import { median, row } from './lib.ts';

/** Contents at a tilt and the best tilt, each against the same done with an exact solid library. */
export async function benchTank(): Promise<void> {
  const wasm = await Module();
  wasm.setup();
  // 501 corners make 2,000 triangles: two lobes with a wavy roof, so that nothing is convex.
  const n = 501;
  const points = Array.from({ length: n }, (_, i): [number, number] => {
    if (i < 3)
      return [
        [0, 0],
        [400, 0],
        [430, 90],
      ][i] as [number, number];
    if (i < 6)
      return [
        [610, 90],
        [640, 0],
        [1000, 0],
      ][i - 3] as [number, number];
    const x = 1000 - (1000 * (i - 6)) / (n - 7);
    return [x, 250 + 10 * Math.sin(x / 30)];
  });
  const shape: TankShape = { kind: 'profile', length: 1000, width: 400, height: 260, points };
  const whole = new wasm.CrossSection([points]).extrude(400);
  const tilt = { x: 4, y: 3 };
  const up = upOf(tilt);
  contentsBelow(shape, 120, tilt);
  const ours = median(() => void contentsBelow(shape, 120, tilt));
  const theirs = median(() => {
    const part = whole.trimByPlane([-up[0], -up[2], -up[1]], -120);
    part.volume();
    part.delete();
  });
  row(`contents at a tilt, ${whole.numTri()} triangles`, theirs, 'ours, by the solid library', ours);

  // The same search: every degree of ±12° × ±12°, the tank cut at its crest, each lobe trimmed at its own level.
  const outlet = [60, 200, 8] as const;
  const near = whole.trimByPlane([-1, 0, 0], -520);
  const far = whole.trimByPlane([1, 0, 0], 520);
  const search = median(() => void bestTilt(shape, { outlet, reach: { x: 12, y: 12 } }), 7);
  const same = median(() => {
    for (let x = -12; x <= 12; x++)
      for (let y = -12; y <= 12; y++) {
        const u = upOf({ x, y });
        const at = (p: readonly [number, number, number]) => u[0] * p[0] + u[1] * p[1] + u[2] * p[2];
        const low = at(outlet);
        const crest = Math.max(low, Math.min(at([520, 0, 90]), at([520, 400, 90])));
        for (const [part, height] of [
          [near, low],
          [far, crest],
        ] as const) {
          const cut = part.trimByPlane([-u[0], -u[2], -u[1]], -height);
          cut.volume();
          cut.delete();
        }
      }
  }, 5);
  row('best tilt over ±12° × ±12°', same, 'ours, by the solid library', search);
  console.log(`  ours in ms: contents ${ours.toFixed(3)}, best tilt ${search.toFixed(1)}`);
}
