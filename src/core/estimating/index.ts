// Cutting and weeding times.
export * from './cut-and-weed-time';
export * from './fit-times';
export * from './learn-cutting';
export {
  findGuessProblem,
  isAbsurd,
  groupGuesses,
  sumGuesses,
  type Guess,
  type GuessGroup,
  type GuessProblem,
  type GuessSum,
} from './guesses';
export { explainGuesses, type GuessReason } from './explain-guesses';
