import { ownUnit, roundTo, type Dimension } from '@iron-cradle/core';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { useUnread } from './unread.ts';

interface FileFigureProps {
  label: string;
  value: number;
  onChange: (value: number) => void;
  dimension?: Dimension;
  unit?: string;
  hint?: string;
  /** What is wrong with it, as the file’s check says. */
  error?: string | undefined;
}

/** One whole figure of the file that is no range: a length between two ends, a count. */
export function FileFigure({
  label,
  value,
  onChange,
  dimension = 'length',
  unit = 'mm',
  hint = '',
  error,
}: FileFigureProps) {
  const tell = useUnread(label);
  return (
    <QuantityField
      label={label}
      dimension={dimension}
      unit={unit}
      decimals={0}
      hint={hint}
      error={error}
      initial={String(value)}
      onUnreadable={tell}
      // Emptied it says nothing: the file keeps what it had until there is a figure again.
      onEmpty={() => tell(true)}
      onRead={(read) => read && onChange(roundTo(ownUnit(read.typ, dimension, unit), 1))}
    />
  );
}
