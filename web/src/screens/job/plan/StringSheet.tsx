import {
  InputError,
  shortName,
  slackFromString,
  type Estimate,
  type StringLine,
  type StringSlack,
} from '@iron-cradle/core';
import { useState } from 'react';
import { StringDrawing } from '../../../drawings/string/StringDrawing.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

const fields = [
  ['along', 'From the clip to the port, along'],
  ['up', 'Port above the clip (below: minus)'],
  ['free', 'Length of the line between them, by string'],
  ['railAlong', 'Rail it runs over: from the clip, if there is one'],
  ['railUp', 'Rail above the clip'],
] as const;
type Field = (typeof fields)[number][0];

interface StringSheetProps {
  /** The line’s name. */
  line: string;
  onClose: () => void;
  /** Takes the slack that was found, whole mm. */
  onKeep: (mm: number) => Promise<void> | void;
}

/** Room of a line from a string: laid where the line runs, its length says at which drop the line pulls tight. */
export function StringSheet({ line, onClose, onKeep }: StringSheetProps) {
  const [mm, setMm] = useState<Partial<Record<Field, number>>>({ up: 0 });
  const name = shortName(line);
  const put = (field: Field) => (value: Estimate | null) =>
    setMm((old) => {
      const { [field]: _, ...rest } = old;
      return value ? { ...rest, [field]: value.typ * 1000 } : rest;
    });
  const { laid, told, problem } = read(mm);
  const drop = told ? Math.floor(told.slack) : 0;
  const keep = async () => {
    await onKeep(drop);
    onClose();
  };
  return (
    <Sheet
      open
      onClose={onClose}
      title={`Room of the ${name}, by string`}
      hint="Lay a string where the line runs, from its last clip to its port, and measure it. A stiff line gives less: take a margin."
    >
      {laid && told && <StringDrawing line={laid} told={told} />}
      <div className="grid gap-x-4 mid:grid-cols-2">
        {fields.map(([field, label]) => (
          <QuantityField
            key={field}
            label={label}
            dimension="length"
            unit="mm"
            decimals={0}
            {...(field === 'up' ? { initial: '0' } : {})}
            onRead={put(field)}
          />
        ))}
      </div>
      <Strap onClick={() => void keep()} waitsFor={problem ?? undefined}>
        {told ? `It pulls tight at ${drop} mm` : 'Enter it'}
      </Strap>
    </Sheet>
  );
}

function read(mm: Partial<Record<Field, number>>): {
  laid: StringLine | null;
  told: StringSlack | null;
  problem: string | null;
} {
  const { along, up = 0, free, railAlong, railUp } = mm;
  if (along === undefined || free === undefined)
    return { laid: null, told: null, problem: 'two lengths: along, and of the string' };
  if ((railAlong === undefined) !== (railUp === undefined))
    return { laid: null, told: null, problem: 'the rail needs both: where, and how high' };
  const laid: StringLine = {
    clip: [0, 0],
    port: [along, up],
    free,
    ...(railAlong !== undefined && railUp !== undefined ? { over: [[railAlong, railUp]] } : {}),
  };
  try {
    return { laid, told: slackFromString(laid), problem: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { laid, told: null, problem: `${error.field}: expected ${error.expected}` };
  }
}
