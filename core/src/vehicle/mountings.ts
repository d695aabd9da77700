import type { Mounting } from './types.ts';

export interface MountingKind {
  id: Mounting;
  name: string;
  hint: string;
  /** Usual contents, L. Common practice, no source. */
  litres: [number, number];
  /** Is there an archetype file to plan from? */
  hasFile: boolean;
}

/** The seven ways a tank sits in a vehicle, as one sees them from below. */
export const mountings: readonly MountingKind[] = [
  { id: 'rail', name: 'Along the rail', hint: '60–130 L', litres: [60, 130], hasFile: true },
  { id: 'seat', name: 'Under the seat', hint: 'often two lobes', litres: [45, 75], hasFile: false },
  { id: 'crosswise', name: 'Behind the axle', hint: 'crosswise', litres: [50, 90], hasFile: true },
  { id: 'upright', name: 'Upright', hint: 'behind the seat', litres: [35, 60], hasFile: false },
  { id: 'wing', name: 'In the wing', hint: 'behind the bumper', litres: [50, 80], hasFile: false },
  { id: 'floor', name: 'In the floor', hint: 'flange all round', litres: [45, 80], hasFile: false },
  { id: 'pads', name: 'Loose on pads', hint: '8–35 L', litres: [8, 35], hasFile: false },
];
