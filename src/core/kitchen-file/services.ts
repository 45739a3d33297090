/** How plates are served: what is lost on the way to the guest is another for each. */
export const SERVICES = ['à la carte', 'banquet', 'staff', 'jar or tub'] as const;

/** What a mix of sales is stated in: portions of a usual time, or shares that make a hundred. */
export const MIXES = ['portions', '%'] as const;
export const MOST_ON_A_MENU = 200;
