import { checkVehicle, InputError, type VehicleFile } from '@iron-cradle/core';
import { useMemo, useState } from 'react';

/** A vehicle file while it is changed. */
export interface Draft {
  /** As it stands now. */
  file: VehicleFile;
  /** Changes a copy; every change can be undone. */
  change: (work: (file: VehicleFile) => void) => void;
  /** The same where the fields do not know of it yet: they begin anew with what it says. */
  replace: (work: (file: VehicleFile) => void) => void;
  /** Takes the last change back. */
  undo: () => void;
  /** Goes up whenever fields have to begin anew. */
  turn: number;
  /** Is there a change to take back? */
  canUndo: boolean;
  /** Does it differ from what is kept? */
  dirty: boolean;
  /** What makes no sense, with its place; null when the file is whole. */
  problem: { field: string; text: string } | null;
}

/** A vehicle file that is being worked on: checked as one goes, nothing lost until it is kept. */
export function useDraft(given: VehicleFile): Draft {
  const [trail, setTrail] = useState<VehicleFile[]>([given]);
  const [turn, setTurn] = useState(0);
  const file = trail.at(-1)!;
  const problem = useMemo(() => {
    try {
      checkVehicle(file);
      return null;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return {
        field: error.field,
        text: `${placeOf(file, error.field)}: expected ${error.expected}, found ${error.found || 'nothing'}`,
      };
    }
  }, [file]);
  const change = (work: (file: VehicleFile) => void) => {
    const next = structuredClone(file);
    work(next);
    setTrail([...trail.slice(-60), next]);
  };
  const anew = () => setTurn((t) => t + 1);
  return {
    file,
    change,
    replace: (work) => (change(work), anew()),
    undo: () => {
      if (trail.length < 2) return;
      setTrail(trail.slice(0, -1));
      anew();
    },
    turn,
    canUndo: trail.length > 1,
    dirty: JSON.stringify(file) !== JSON.stringify(given),
    problem,
  };
}

/** A path like `connections[2].slack` with the name of the thing. */
function placeOf(file: VehicleFile, field: string): string {
  const [, list, n, rest] = /^(connections|obstructions)\[(\d+)\]\.?(.*)$/.exec(field) ?? [];
  if (!list) return field;
  const thing = file[list as 'connections' | 'obstructions'][Number(n)];
  return `${thing?.name ?? list}${rest ? `, ${rest}` : ''}`;
}
