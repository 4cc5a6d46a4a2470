// How many copies are laid out to know how close the shapes of a layer lie.

/** More are not laid out: the strip of so many says what the next one takes. */
export const MOST_STANDARD_COPIES = 24;
