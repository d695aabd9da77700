import type { Mounting } from './types.ts';

interface MountingKind {
  id: Mounting;
  name: string;
  hint: string;
  /** Usual contents, L. Common practice, no source. */
  litres: [number, number];
}

/** The seven ways a tank sits in a vehicle, as one sees them from below. */
export const mountings: readonly MountingKind[] = [
  { id: 'rail', name: 'Along the rail', hint: '60–130 L', litres: [60, 130] },
  { id: 'seat', name: 'Under the seat', hint: 'often two lobes', litres: [45, 75] },
  { id: 'crosswise', name: 'Behind the axle', hint: 'crosswise', litres: [50, 90] },
  { id: 'upright', name: 'Upright', hint: 'behind the seat', litres: [35, 60] },
  { id: 'wing', name: 'In the wing', hint: 'behind the bumper', litres: [50, 80] },
  { id: 'floor', name: 'In the floor', hint: 'flange all round', litres: [45, 80] },
  { id: 'pads', name: 'Loose on pads', hint: '8–35 L', litres: [8, 35] },
];
