// Orders that a channel sends as a file.
export { readFeed, type FeedLine, type FeedOrder, type FeedProblem } from './read-feed';
export { pairLines } from './pair-lines';
