export { answerKind, answersSlice, type AnswerBody, type AnswersSlice } from './answer.ts';
export {
  answerOf,
  answerTo,
  askChoice,
  askNumber,
  askText,
  type AnswerBook,
  type Answered,
  type Question,
  type ValueOf,
} from './question.ts';
