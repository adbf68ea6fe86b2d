/** Milliseconds without a further press after which what a row of arrow presses has made is kept, as one edit. */
export const PAUSE = 450;
