/** Which takes are drawn: the same wherever something is compared. */
export const SEED = 1;

/** Of a figure that is read: good to a hundredth. */
export const TAKES = 2000;
