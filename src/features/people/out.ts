/** The cookie that says that somebody has signed out here. */
export const OUT = 'half-pot-out';
