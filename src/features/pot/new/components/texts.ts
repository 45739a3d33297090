/** What people read in pot/new. */

// new-sheet.tsx
export const whatPotCalled = 'What is the pot called?';
export const linesYouAlreadyPasted = 'Lines you have already, pasted from a message or a file (or none)';
export const example40GButter300 = '40 g butter\n300 g shallots\nsweat 10 min\n2 l water\nreduce by half';
export const copy = (name: string): string => `A copy of ${name}`;
export const newRecipe = 'New recipe';
export const allStepsLaterChanges = 'With all its steps. Later changes to one do not change the other.';
export const writeStepsSheetOne = 'Write its steps on the sheet, one after the other.';
export const whatCalled = 'What it is called';
export const onionSauce = 'Onion sauce';
export const cooked = 'Cooked in';
export const saucepan24Cm = 'Saucepan 24 cm';
export const stands = 'Stands on';
export const largeGasBurner = 'Large gas burner';
export const opening = 'Opening …';
export const openSheet = 'Open the sheet';
export const chooseHob = 'Choose what it stands on: yours, or a standard one.';
export const chooseVessel = 'Choose the vessel it is cooked in: yours, or a standard one.';
