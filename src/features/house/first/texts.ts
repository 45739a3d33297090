/** What people read in house/first. */

// wire.ts
export const typeWordCommandPrinted = 'Type the word that the command printed.';
export const kitchenFileMost16 = 'A kitchen file has at most 16 million characters.';
export const whoManages = 'Who manages it?';
export const nameMost120Characters = (count: number): string =>
  `A name has at most 120 characters; this has ${count}.`;

// service.ts
export const wrongMomentAgoTry = 'That was wrong a moment ago: try again in a second.';
export const notWordCommandPrinted = 'That is not the word that the command printed.';
export const kitchenAlreadyExistsSign = 'This kitchen already exists: sign in.';
export const filesHistoryWrittenStep = (step: number, ours: number): string =>
  `This file’s history was written at step ${step}, and this Half Pot is at ${ours}: bring it in with ./halfpot import, which brings it up to date.`;
export const nothingTaken = (message: string): string => `${message} Nothing was taken in.`;
export const chooseKitchenFileFirst = 'Choose the kitchen file first.';
export const fileCannotTaken = (where: string, message: string, more: number): string =>
  `This file cannot be taken in. ${where}${message}${more > 0 ? ` And ${more} more.` : ''}`;
