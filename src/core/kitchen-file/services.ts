/** How plates are served: what is lost on the way to the guest is another for each. */
export const SERVICES = ['à la carte', 'banquet', 'staff'] as const;
