import { ToggleGroup } from 'radix-ui';

interface PickManyProps {
  things: readonly { id: string; name?: string }[];
  picked: readonly string[];
  onPick: (picked: string[]) => void;
}

/** Any number of things of the file, each a button that stays down. */
export function PickMany({ things, picked, onPick }: PickManyProps) {
  return (
    <ToggleGroup.Root
      type="multiple"
      className="flex flex-wrap gap-2"
      value={[...picked]}
      onValueChange={(next) => onPick(next)}
    >
      {things.map(({ id, name }) => (
        <ToggleGroup.Item key={id} value={id} className="btn min-h-11 text-16">
          {name ?? id}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
