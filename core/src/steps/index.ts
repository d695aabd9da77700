export { stepsOf, spokenStop } from './steps.ts';
export { planSheet, heightInWords, type PlanSheet, type SheetStop } from './sheet.ts';
