import { inWords, type Sentence } from '@iron-cradle/core';
import { useCallback } from 'react';
import { useUnits } from '../app/units.ts';

/** Words with figures in them, in the units of whoever reads. */
export const Words = ({ of }: { of: Sentence }) => <>{inWords(of, useUnits())}</>;

/** The same as text, for names and labels. */
export function useWords(): (sentence: Sentence) => string {
  const units = useUnits();
  return useCallback((sentence) => inWords(sentence, units), [units]);
}
