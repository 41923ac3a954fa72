/**
 * The version that this program writes beside everything that it keeps: that of the last step. It stands apart from the steps, which know the
 * shelf, so that a page that only names it does not load them.
 */
export const STORED_VERSION = 5;
