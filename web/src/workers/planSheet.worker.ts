import { planSheet, type JobState, type PlanSheet } from '@iron-cradle/core';
import type { Told } from './useAnswer.ts';

/** The plan on one page, both ways searched out of the way of the hand. */
self.onmessage = ({ data }: MessageEvent<JobState>) => {
  const tell = (told: Told<PlanSheet>) => self.postMessage(told);
  try {
    tell({ answer: planSheet(data) });
  } catch (error) {
    tell({ problem: error instanceof Error ? error.message : 'the search failed' });
  }
};
