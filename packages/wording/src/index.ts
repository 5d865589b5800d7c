export { capital } from './capital.js';
export {
  type DistanceLimit,
  distanceRefusal,
  numbersRefusal,
  type PictureRefusal,
  pictureRefusal,
  type TimeLimit,
  timeRefusal,
} from './fields/typedText.js';
export { neededSentence, problemText, type ProblemText, problemView, typeSentence } from './problems/problemText.js';
export { alternatives, lengthText, rangeText } from './problems/ranges.js';
export {
  type Requested,
  type RequestProblemCode,
  type RequestProblemValues,
  requestText,
  type SvgDanger,
} from './problems/requestText.js';
