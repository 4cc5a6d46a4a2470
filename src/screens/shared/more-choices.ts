// Choices of a list that lead elsewhere: not one of what is listed, but a place to make or look for another.

/** No option is called so. */
export const MORE = '…';
