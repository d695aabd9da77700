export { stepsOf, spokenStop, type Step } from './steps.ts';
export { planSheet, heightInWords, type PlanSheet, type SheetStop } from './sheet.ts';
