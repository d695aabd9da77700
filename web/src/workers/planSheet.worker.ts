import { planSheet, type JobState } from '@iron-cradle/core';
import { answering } from './answering.ts';

// The plan on one page, both ways searched out of the way of the hand.
answering((state: JobState) => planSheet(state));
