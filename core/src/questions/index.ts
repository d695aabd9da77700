export { answerKind, answersSlice, type AnswersSlice } from './answer.ts';
export {
  answerOf,
  answerTo,
  askChoice,
  askNumber,
  askText,
  type Answered,
  type Question,
  type ValueOf,
} from './question.ts';
