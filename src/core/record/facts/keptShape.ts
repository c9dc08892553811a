/**
 * The number of the shape that commands are kept in now; it goes up whenever what is kept would be read differently. In the first, moments
 * were what the clock of the collection's zone showed; in the second they bear their offset; in the third there are acts and timers, and
 * the others are as they were.
 */
export const SHAPE = 3;
