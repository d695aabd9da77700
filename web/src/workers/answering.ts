import type { Told } from './useAnswer.ts';

/**
 * What a worker does with each question: looks, says how far it is, and tells the answer or why there is none.
 *
 * @example answering((state: JobState) => planSheet(state))
 */
export function answering<A, R>(look: (ask: A, onProgress: (share: number) => void) => R): void {
  const tell = (told: Told<R>) => self.postMessage(told);
  self.onmessage = ({ data }: MessageEvent<A>) => {
    try {
      tell({ answer: look(data, (progress) => tell({ progress })) });
    } catch (error) {
      tell({ problem: error instanceof Error ? error.message : 'the search failed' });
    }
  };
}
