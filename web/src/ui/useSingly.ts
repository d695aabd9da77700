import { useEffect, useRef } from 'react';
import { AFTER_CHANGE } from '../app/wetGlass.ts';

/**
 * Safety questions are answered singly: what comes in the first moment after a new question stands there, by finger, mouse or
 * key, was meant for the one before and answers nothing.
 *
 * @param question which question stands there
 * @returns does what it is given, once the question has stood for a moment
 */
export function useSingly(question: string): (answer: () => void) => void {
  const since = useRef(Number.POSITIVE_INFINITY);
  useEffect(() => {
    since.current = performance.now();
  }, [question]);
  return (answer) => {
    if (performance.now() - since.current >= AFTER_CHANGE) answer();
  };
}
