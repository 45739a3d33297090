/** What the command line says. */

export const noVesselFits = 'None of the vessels can make it.';
