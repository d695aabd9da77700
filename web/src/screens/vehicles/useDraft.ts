import { checkVehicle, InputError, type VehicleFile } from '@iron-cradle/core';
import { applyPatches, castDraft, enablePatches, produceWithPatches, type Draft as Changing, type Patch } from 'immer';
import { useMemo, useState } from 'react';

enablePatches();

/** Changes that can be taken back. */
const MOST_UNDONE = 60;

/** What is done to the file: to a draft of it, so that it is written as if it could be changed. */
export type Work = (file: Changing<VehicleFile>) => void;

/** A vehicle file while it is changed. */
export interface Draft {
  /** As it stands now. */
  file: VehicleFile;
  /** Changes a draft of it; every change can be undone. */
  change: (work: Work) => void;
  /** The same where the fields do not know of it yet: they begin anew with what it says. */
  replace: (work: Work) => void;
  /** Another file in its place, as one change. */
  take: (other: VehicleFile) => void;
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
  /** What is wrong at one place of the file, said beside its field. */
  wrongAt: (field: string) => string | undefined;
}

interface Trail {
  file: VehicleFile;
  /** What takes each change back, the newest last. */
  back: readonly Patch[][];
}

/** A vehicle file that is being worked on: checked as the server checks it, nothing lost until it is kept. */
export function useDraft(given: VehicleFile): Draft {
  const [{ file, back }, setTrail] = useState<Trail>({ file: given, back: [] });
  const [turn, setTurn] = useState(0);
  const wrong = useMemo(() => problemOf(file), [file]);
  const change = (work: Work) =>
    setTrail((was) => {
      const [next, , undo] = produceWithPatches(was.file, (draft) => void work(draft));
      return undo.length === 0 ? was : { file: next, back: [...was.back.slice(1 - MOST_UNDONE), undo] };
    });
  const anew = () => setTurn((t) => t + 1);
  const replace = (work: Work) => (change(work), anew());
  return {
    file,
    change,
    replace,
    take: (other) => replace((draft) => void Object.assign(draft, castDraft(structuredClone(other)))),
    undo: () => {
      setTrail((was) => {
        const last = was.back.at(-1);
        return last ? { file: applyPatches(was.file, last), back: was.back.slice(0, -1) } : was;
      });
      anew();
    },
    turn,
    canUndo: back.length > 0,
    dirty: JSON.stringify(file) !== JSON.stringify(given),
    problem: wrong && {
      field: wrong.field,
      text: `${placeOf(file, wrong.field)}: expected ${wrong.expected}, found ${wrong.found || 'nothing'}`,
    },
    wrongAt: (field) => (wrong?.field === field ? `Expected ${wrong.expected}.` : undefined),
  };
}

function problemOf(file: VehicleFile): InputError | null {
  try {
    checkVehicle(file);
    return null;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return error;
  }
}

/** A path like `connections[2].slack` with the name of the thing. */
function placeOf(file: VehicleFile, field: string): string {
  const [, list, n, rest] = /^(connections|obstructions)\[(\d+)\]\.?(.*)$/.exec(field) ?? [];
  if (!list) return field;
  const thing = file[list as 'connections' | 'obstructions'][Number(n)];
  return `${thing?.name || list}${rest ? `, ${rest}` : ''}`;
}
