import { InputError, problemInWords } from '@iron-cradle/core';
import { useState } from 'react';
import { FileText } from './FileText.tsx';
import { save } from './save.ts';

interface ReadingsTableProps<T> {
  /** What is here now; nothing to give away where it is empty. */
  readings: readonly T[];
  /** Name of the file that goes out. */
  name: string;
  read: (text: string) => T[];
  write: (readings: readonly T[]) => string;
  onReadings: (all: T[]) => void;
}

/** Readings of another instrument come in as a table, and these go out as one; what can’t be read takes nothing. */
export function ReadingsTable<T>({ readings, name, read, write, onReadings }: ReadingsTableProps<T>) {
  const [problem, setProblem] = useState<string | null>(null);
  const take = (text: string) => {
    try {
      onReadings(read(text));
      setProblem(null);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      // Line and column as they stand: the last word of a path would not do.
      const { field, found, expected } = error;
      setProblem(`${field[0]!.toUpperCase()}${field.slice(1)}: ${problemInWords(new InputError('', found, expected))}`);
    }
  };
  return (
    <div className="grid grid-cols-2 gap-3">
      <FileText accept=".csv,text/csv,text/plain" onText={take}>
        Readings from a CSV file
      </FileText>
      <button
        type="button"
        className="btn"
        disabled={readings.length === 0}
        onClick={() => save(`${name}.csv`, write(readings), 'text/csv')}
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
