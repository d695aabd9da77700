import { OPEN_REACH, type Dimension, type Range } from '@iron-cradle/core';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { useUnread } from './unread.ts';

interface RangeFieldProps {
  label: string;
  range: Range;
  onChange: (range: Range) => void;
  dimension?: Dimension;
  unit?: string;
  /** How many of the unit there are in what the field reads: mm in a metre, minutes in a second. */
  per?: number;
  hint?: string;
  /** What an empty field means, where it means something. */
  onEmpty?: () => void;
}

/** A figure of the file: one number is measured, “20–60” is a range that is only guessed. */
export function RangeField({
  label,
  range,
  onChange,
  dimension = 'length',
  unit = 'mm',
  per = 1000,
  hint,
  onEmpty,
}: RangeFieldProps) {
  const tell = useUnread(label);
  return (
    <QuantityField
      onUnreadable={tell}
      label={label}
      dimension={dimension}
      unit={unit}
      decimals={0}
      initial={inWords(range)}
      {...(onEmpty ? { onEmpty } : {})}
      hint={hint ?? 'one number if measured, 20–60 if guessed'}
      onRead={(value) => {
        if (!value) return;
        const [lo, typ, hi] = [value.lo, value.typ, value.hi].map((v) => Math.round(v * per * 10) / 10) as [
          number,
          number,
          number,
        ];
        // What was left as it stood keeps its likely figure and where it comes from.
        if (lo === range.lo && hi === range.hi) return;
        onChange({ lo, typ, hi, basis: lo === hi ? { kind: 'measured' } : { kind: 'typical' } });
      }}
    />
  );
}

const inWords = ({ lo, hi }: Range): string =>
  lo >= OPEN_REACH ? '' : lo === hi ? String(lo) : `${lo}–${Math.min(hi, OPEN_REACH)}`;
