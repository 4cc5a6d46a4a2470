// Orders that a channel sends as a file.
export {
  FEED_COLUMNS,
  guessFeedColumns,
  keyOfHeader,
  readFeed,
  readFeedHeader,
  type FeedColumn,
  type FeedColumns,
  type FeedLine,
  type FeedOrder,
  type FeedProblem,
} from './read-feed';
export { pairLines } from './pair-lines';
