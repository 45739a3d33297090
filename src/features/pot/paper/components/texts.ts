/** What people read in pot/paper. */

// wall-view.tsx
export const pdfWall = 'PDF for the wall';
export const costCardPdf = 'Cost card (PDF)';
export const printPage = 'Print this page';
export const backSheet = 'Back to the sheet';
export const stepDone = (n: number): string => `Step ${n} is done`;
export const now = (vessel: string): string => `in the ${vessel} now`;
export const cm = (cm: string): string => `${cm} cm`;
export const fromRim = (hot: boolean): string => `from the rim${hot ? ', hot' : ''}`;
export const takes = (hours: string): string => `takes ${hours}`;
export const dipRead = 'dip read';
export const timeWho = 'time, who';
