import { InputError, problemInWords, readHold, writeHold } from '@iron-cradle/core';
import { useState } from 'react';
import { FileText } from '../../../../ui/FileText.tsx';
import { save } from '../../../../ui/save.ts';
import type { HoldReading } from './useReadings.ts';

interface HoldTableProps {
  readings: readonly HoldReading[];
  onReadings: (all: HoldReading[]) => void;
}

/** Readings of another gauge come in as a table, and these go out as one. */
export function HoldTable({ readings, onReadings }: HoldTableProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const read = (text: string) => {
    try {
      onReadings(readHold(text));
      setProblem(null);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setProblem(
        `${error.field[0]!.toUpperCase()}${error.field.slice(1)}: ${problemInWords(new InputError('', error.found, error.expected))}`,
      );
    }
  };
  return (
    <div className="grid grid-cols-2 gap-3">
      <FileText accept=".csv,text/csv,text/plain" onText={read}>
        Readings from a CSV file
      </FileText>
      <button
        type="button"
        className="btn"
        disabled={readings.length === 0}
        onClick={() => save('hold.csv', writeHold(readings), 'text/csv')}
      >
        These as CSV
      </button>
      {problem && (
        <p role="alert" className="col-span-2 font-semibold text-halt">
          {problem}
        </p>
      )}
    </div>
  );
}
