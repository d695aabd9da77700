interface PickManyProps {
  things: readonly { id: string; name?: string }[];
  picked: readonly string[];
  onPick: (picked: string[]) => void;
}

/** Any number of things of the file, each a button that stays down. */
export function PickMany({ things, picked, onPick }: PickManyProps) {
  return (
    <div className="flex flex-wrap gap-2">
      {things.map(({ id, name }) => {
        const on = picked.includes(id);
        return (
          <button
            key={id}
            type="button"
            className="btn min-h-11 text-16"
            aria-pressed={on}
            onClick={() => onPick(on ? picked.filter((other) => other !== id) : [...picked, id])}
          >
            {name ?? id}
          </button>
        );
      })}
    </div>
  );
}
