/** What is said when the kitchen's computer cannot be reached, and what that means for what was typed. */
export const noAnswer = (so: string): string => `The kitchen’s computer does not answer; ${so}.`;

/** For work that is typed in and kept: nothing of it is lost. */
export const STILL_TYPED = noAnswer('what you typed stands here and can be kept again');
export const TRY_AGAIN = noAnswer('try again');
