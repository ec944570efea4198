/** Operations of one change; more go the way of lists brought in. */
export const MOST_OPS = 2000;
